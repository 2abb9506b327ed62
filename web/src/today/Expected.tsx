import { sayExpected, type ResultsExpected } from '@fonte/core/round';
import { wallTime } from '@fonte/core/time';
import { Link } from 'react-router';
import { Mark } from '../theme/Mark.tsx';
import { siteZone, showNear } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { roomPath } from '../visit/paths.ts';
import type { Agenda } from './agenda.ts';

/** Labs that may be asked for a result today: a result that nobody sent is one that nobody acts on. */
export function Expected({ results: { first } }: { results: Agenda<ResultsExpected> }) {
  const time = useNow(10_000);
  const today = wallTime(time, siteZone()).date;
  const due = first.filter(({ item }) => wallTime(item.from, siteZone()).date <= today);
  if (due.length === 0) return null;
  return (
    <section className="stack">
      <h2>Results to ask for</h2>
      {due.map(({ round, item }) => {
        const { what, about } = sayExpected(item);
        return (
          <Link key={`${round} ${item.bottles[0]!.bottle}`} className="tile" to={roomPath(round, 'report', null)}>
            <span>
              {what}
              <br />
              <span className="soft small">
                {about}; from {showNear(item.from, time, siteZone())}
              </span>
            </span>
            <Mark kind="question" />
          </Link>
        );
      })}
    </section>
  );
}
