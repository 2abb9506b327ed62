import { isSameParty } from '@fonte/core/custody';
import type { RoundLine } from '@fonte/core/round';
import { showDate } from '@fonte/core/time';
import { Button } from 'antd';
import { Link, useNavigate } from 'react-router';
import { Empty } from '../feedback/Feedback.tsx';
import { useMe } from '../session/session.ts';
import { Mark } from '../theme/Mark.tsx';
import { Deadline } from '../time/Countdown.tsx';
import { useNow } from '../time/useNow.ts';
import { roomPath } from '../visit/paths.ts';

const count = (bottles: number) => (bottles === 1 ? '1 bottle' : `${bottles} bottles`);

/** What a courier has to bring and by when, and what waits to be fetched: nothing else is a courier's to do. */
export function CourierToday({ rounds }: { rounds: readonly RoundLine[] }) {
  const me = useMe();
  const navigate = useNavigate();
  const time = useNow(10_000);
  const isMine = (party: { as: 'courier' | 'person' | 'lab' | 'place' | 'household'; name: string }) =>
    (['courier', 'person'] as const).some((as) => isSameParty(party, { as, name: me.name }));
  const mine = rounds.flatMap(({ id, overview }) => overview.held.filter(isMine).map((one) => ({ ...one, id, overview })));
  const toFetch = rounds.flatMap(({ id, name, date, overview }) => {
    const bottles = overview.waiting.filter(({ holder }) => holder === null || !isMine(holder));
    const first = Math.min(...bottles.map(({ handOverBy, deadline }) => handOverBy ?? deadline));
    return bottles.length > 0 ? [{ id, name, date, bottles: bottles.length, first, code: overview.code }] : [];
  });
  return (
    <div className="stack-wide">
      <section className="stack" aria-labelledby="with-you">
        <h1 id="with-you">
          {mine.length === 0 ? 'Nothing is with you' : `With you: ${count(mine.reduce((sum, one) => sum + one.count, 0))}`}
        </h1>
        {mine
          .sort((a, b) => (a.deadline ?? Infinity) - (b.deadline ?? Infinity))
          .map(({ id, overview, as, count: bottles, deadline }) => (
            <div key={`${id} ${as}`} className="tile">
              <span>
                {count(bottles)} of {overview.name}
                <br />
                <span className="soft small">{overview.code}</span>
              </span>
              <span className="row">
                {deadline !== null && <Deadline at={deadline} now={time} />}
                <Button type="primary" size="large" onClick={() => void navigate(roomPath(id, 'custody', null))}>
                  Hand over
                </Button>
              </span>
            </div>
          ))}
      </section>
      <section className="stack" aria-labelledby="to-fetch">
        <h2 id="to-fetch">Filled, and not with you</h2>
        {toFetch.length === 0 && (
          <Empty title="No bottle waits to be fetched">
            <p>Bottles are listed here once they are filled.</p>
          </Empty>
        )}
        {toFetch.map(({ id, name, date, bottles, first, code }) => (
          <Link key={id} className="tile" to={roomPath(id, 'custody', null)}>
            <span>
              {count(bottles)} of {name}
              <br />
              <span className="soft small">
                {code}, {showDate(date)}
              </span>
            </span>
            {first < Infinity ? <Deadline at={first} now={time} /> : <Mark kind="note" />}
          </Link>
        ))}
      </section>
    </div>
  );
}
