import { showDate } from '@fonte/core/time';
import { sayNext, listRounds } from '@fonte/core/round';
import { Link } from 'react-router';
import { Button } from 'antd';
import { DataTable } from '../feedback/DataTable.tsx';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { usePages } from '../api/usePages.ts';
import { roundPlanned } from '@fonte/core/plan';
import { May } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';

export function RoundsPage() {
  const { items: data, error, retry, more } = usePages(listRounds, {}, 50, (round) => `${round.date} ${round.code}`);
  if (error && !data) return <Failed error={error} retry={retry} />;
  if (!data) return <Loading what="the rounds" />;
  return (
    <>
      <div className="row between">
        <h1>Rounds</h1>
        <span className="row">
          <Link to="/due">What is due</Link>
          <Link to="/compliance">Compliance over time</Link>
          <May do={roundPlanned}>
            <Link className="strong" to="/rounds/new">
              Plan a round
            </Link>
          </May>
        </span>
      </div>
      {data.length === 0 ? (
        <Empty title="No round was planned yet">
          <May do={roundPlanned}>
            <Link to="/rounds/new">Plan a round</Link>
          </May>
        </Empty>
      ) : (
        <DataTable
          label="Rounds"
          rows={data}
          rowKey={(round) => round.id}
          columns={[
            { title: 'Round', render: (round) => <Link to={`/rounds/${round.id}`}>{round.name}</Link> },
            { title: 'Date', isShort: true, render: (round) => showDate(round.date) },
            { title: 'Code', render: (round) => round.code },
            {
              title: 'What is next',
              render: (round) =>
                round.closed ? (
                  <span className="word tone-good">
                    <Mark kind="good" size={15} />
                    Done
                  </span>
                ) : (
                  round.overview.next && sayNext(round.overview.next)
                ),
            },
          ]}
        />
      )}
      {more && (
        <div>
          <Button onClick={more}>Earlier rounds</Button>
        </div>
      )}
    </>
  );
}
