import { Grid } from 'antd';
import { Link, Outlet, useMatch, useParams } from 'react-router';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { useRoundBook, type RoundBook } from '../book/useRound.ts';
import { useMe } from '../session/session.ts';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { Stream } from './Stream.tsx';

/** Follows one round's book for every page below it. */
export function RoundShell() {
  const { round: id = '' } = useParams();
  const inField = useMatch('/rounds/:round/at/:visit/*') !== null;
  const onDay = useMatch('/rounds/:round/day') !== null;
  const onPrepare = useMatch('/rounds/:round/prepare') !== null;
  // On a phone the bottles of a form come first, and the way to the round stands above.
  const isPhone = Grid.useBreakpoint().md === false;
  const onCustody = useMatch('/rounds/:round/custody') !== null;
  const isInside = inField || onDay || onPrepare || (onCustody && isPhone);
  const isHousehold = useMe().role === 'householder';
  const book = useRoundBook(id);
  const { round, entries, error, refresh, trouble } = book;
  if (!entries) return error ? <Failed error={error} retry={() => void refresh()} /> : <Loading what="the round" />;
  if (!round)
    return (
      <Empty title="There is no such round">
        <Link to="/rounds">All rounds</Link>
      </Empty>
    );
  return (
    <>
      {trouble && (
        <p className="problem" role="alert">
          Refused: {trouble}
        </p>
      )}
      {round.unknown.length > 0 && (
        <p className="problem" role="alert">
          This round is judged by {round.unknown.join(', ')}, which this copy of Fonte does not have. Update Fonte: nothing is judged by it
          here.
        </p>
      )}
      {!isHousehold && (
        <div className="row between">
          <p className="crumb">
            <Link to="/">Today</Link> / {isInside ? <Link to={`/rounds/${id}`}>{round.plan.name}</Link> : <span>{round.plan.name}</span>}{' '}
            <span className="soft">{round.plan.code}</span>
          </p>
          <p className="crumb">
            <Link to={`/rounds/${id}/prepare`}>Prepare</Link> · <Link to={`/rounds/${id}/day`}>The day</Link> ·{' '}
            <Link to={`/rounds/${id}/book`}>Field book</Link>
          </p>
        </div>
      )}
      {!isInside && !isHousehold && <Stream id={id} round={round} />}
      {round.givenUp && isInside && !isHousehold && (
        <div className="finding question">
          <Mark kind="question" />
          <p>
            <span className="strong">This round was abandoned {showMoment(round.givenUp.at, round.plan.zone)}.</span> {round.givenUp.reason}
          </p>
          <p className="small">
            Nothing more is asked for in the field. To measure or sample after all, <Link to={`/rounds/${id}`}>resume the round</Link> and
            say why.
          </p>
        </div>
      )}
      <Outlet context={{ ...book, entries, round } satisfies RoundBook} />
    </>
  );
}
