import { requestsOf } from '@fonte/core/round';
import { useMe } from '../app/session.ts';
import { useRound } from '../book/useRound.ts';

/** The labels as they go on the bottles: everything but the time is on them before leaving. */
export function Labels() {
  const { round } = useRound();
  const me = useMe();
  const bottles = round.visits.flatMap((visit) =>
    visit.bottles.filter((bottle) => bottle.state === 'empty').map((bottle) => ({ visit, bottle })),
  );
  if (bottles.length === 0) return null;
  return (
    <details className="labels">
      <summary>{bottles.length === 1 ? '1 label' : `${bottles.length} labels`}, filled in but for the time</summary>
      <ul className="plain">
        {bottles.map(({ visit, bottle }) => {
          const rule = bottle.card;
          return (
            <li key={bottle.id}>
              <span className="label-id">{bottle.id}</span>
              <span>
                {round.plan.date} <span className="soft">at</span> __:__ {me.initials}
              </span>
              <span className="small">
                {visit.point.name}, {requestsOf(visit, bottle.rule).join(', ')}
              </span>
              <span className="small">{rule.preservative?.name ?? 'No preservative'}</span>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
