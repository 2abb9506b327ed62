import { sayNext, listRounds } from '@fonte/core/round';
import { Link } from 'react-router';
import { Button } from 'antd';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { usePages } from '../api/usePages.ts';
import { Mark } from '../theme/Mark.tsx';
import { showDate } from '../time/show.ts';

export function RoundsPage() {
  const { items: data, error, retry, more } = usePages(listRounds, {}, 50, (round) => `${round.date} ${round.code}`);
  if (error && !data) return <Failed error={error} retry={retry} />;
  if (!data) return <Loading what="the rounds" />;
  return (
    <>
      <div className="row between">
        <h1>Rounds</h1>
        <Link className="strong" to="/rounds/new">
          Plan a round
        </Link>
      </div>
      {data.length === 0 ? (
        <Empty title="No round was planned yet">
          <Link to="/rounds/new">Plan a round</Link>
        </Empty>
      ) : (
        <div className="scroll" tabIndex={0} role="region" aria-label="Rounds">
          <table className="dense">
            <thead>
              <tr>
                <th>Date</th>
                <th>Round</th>
                <th>Code</th>
                <th>What is next</th>
              </tr>
            </thead>
            <tbody>
              {data.map((round) => (
                <tr key={round.id}>
                  <td style={{ whiteSpace: 'nowrap' }}>{showDate(round.date)}</td>
                  <td>
                    <Link to={`/rounds/${round.id}`}>{round.name}</Link>
                  </td>
                  <td>{round.code}</td>
                  <td>
                    {round.closed ? (
                      <span className="word tone-good">
                        <Mark kind="good" size={15} />
                        Done
                      </span>
                    ) : (
                      round.overview.next && sayNext(round.overview.next)
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {more && (
        <div>
          <Button onClick={more}>Earlier rounds</Button>
        </div>
      )}
    </>
  );
}
