import { arrivalsAt, sayFound } from '@fonte/core/arrive';
import { hazard } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { showMoment } from '../time/show.ts';

/** So many earlier visits are told. */
const told = 5;

/** What was found here on earlier visits, the last one first. */
export function Earlier({ visit }: { visit: VisitState }) {
  const { round } = useRound();
  const { data = [] } = useAnswer(arrivalsAt, { in: { point: visit.point.id } });
  const others = data.filter((one) => one.visit !== visit.id).slice(0, told);
  if (others.length === 0) return null;
  return (
    <section className="stack">
      <h2>What was odd before</h2>
      <ul className="plain earlier">
        {others.map(({ visit: id, at, hazards, found, odd }) => (
          <li key={id}>
            <span className="soft small">{showMoment(at, round.plan.zone)}</span>
            <span>{[...found.map(sayFound), ...(odd ? [odd] : []), ...hazards.map((one) => hazard(one).name)].join('; ')}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
