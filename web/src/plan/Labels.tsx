import { purpose } from '@fonte/core/bottles';
import { requestNames } from '@fonte/core/round';
import { useMe } from '../session/session.ts';
import { useRound } from '../book/useRound.ts';

/** The labels as they go on the bottles: everything but the time is on them before leaving. */
export function Labels() {
  const { round } = useRound();
  const me = useMe();
  const bottles = round.visits.flatMap((visit) =>
    visit.bottles
      .filter((bottle) => bottle.state === 'empty')
      .flatMap((bottle) => [...(bottle.supply ? [{ visit, bottle, label: bottle.supply }] : []), { visit, bottle, label: bottle.id }]),
  );
  if (bottles.length === 0) return null;
  return (
    <details className="labels">
      <summary>{bottles.length === 1 ? '1 label' : `${bottles.length} labels`}, filled in but for the time</summary>
      <ul className="plain">
        {bottles.map(({ visit, bottle, label }) => {
          const rule = bottle.card;
          return (
            <li key={label}>
              <span className="label-id">{label}</span>
              <span>
                {round.plan.date} <span className="soft">at</span> __:__ {me.initials}
              </span>
              <span className="small">
                {visit.name}, {requestNames(visit, bottle).join(', ')}
                {bottle.purpose === 'sample' ? '' : `. ${purpose(bottle.purpose).name}${label === bottle.supply ? ', water supplied' : ''}`}
              </span>
              <span className="small">{rule.preservative?.name ?? 'No preservative'}</span>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
