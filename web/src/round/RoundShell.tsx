import { Link, Outlet, useMatch, useParams } from 'react-router';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { useRoundBook, type RoundBook } from '../book/useRound.ts';
import { useLasting } from '../time/useLasting.ts';
import { Mark } from '../theme/Mark.tsx';
import { Stream } from './Stream.tsx';

/** Follows one round's book for every page below it. */
export function RoundShell() {
  const { round: id = '' } = useParams();
  const inField = useMatch('/rounds/:round/at/:visit/*') !== null;
  const book = useRoundBook(id);
  const { round, entries, error, refresh, trouble, unsent } = book;
  const isHeldUp = useLasting(unsent > 0, 1200);
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
      {isHeldUp && (
        <p className="unsent small" role="status">
          <Mark kind="question" size={15} /> {unsent === 1 ? '1 entry is' : `${unsent} entries are`} only on this device so far, and sent
          again by itself.
        </p>
      )}
      {round.unknown.length > 0 && (
        <p className="problem" role="alert">
          This round is judged by {round.unknown.join(', ')}, which this copy of Fonte does not have. Update Fonte: nothing is judged by it
          here.
        </p>
      )}
      {error !== undefined && !trouble && unsent === 0 && (
        <p className="problem" role="alert">
          No connection: this is the round as it was last read.
        </p>
      )}
      <div className="row between">
        <p className="crumb">
          <Link to="/">Today</Link> / {inField ? <Link to={`/rounds/${id}`}>{round.plan.name}</Link> : <span>{round.plan.name}</span>}{' '}
          <span className="soft">{round.plan.code}</span>
        </p>
        <p className="crumb">
          <Link to={`/rounds/${id}/book`}>Field book</Link>
        </p>
      </div>
      {!inField && <Stream id={id} round={round} />}
      <Outlet context={{ ...book, entries, round } satisfies RoundBook} />
    </>
  );
}
