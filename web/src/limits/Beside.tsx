import { parameter } from '@fonte/core/parameters';
import type { RoundVerdict } from '@fonte/core/round';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';

/** What blanks held: never the water of a point. */
export function Blanks({ verdict: { blanks } }: { verdict: RoundVerdict }) {
  if (blanks.length === 0) return null;
  return (
    <section className="stack">
      <h2>Blanks</h2>
      <ul className="plain">
        {blanks.map(({ result, pointName, isHit }) => (
          <li key={`${result.bottle} ${result.parameter}`} className={`word tone-${isHit ? 'stop' : 'good'}`}>
            <Mark kind={isHit ? 'stop' : 'good'} size={15} />
            {pointName}, {result.bottle}: {parameter(result.parameter).name}{' '}
            {isHit ? `found, ${result.written.result} ${result.written.unit}. What it went along with is in doubt.` : 'not found'}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Bottles that the lab refused: there is no result of them. */
export function Refused() {
  const { round } = useRound();
  const refused = round.bottles.filter((bottle) => bottle.lost?.how === 'refused');
  if (refused.length === 0) return null;
  return (
    <section className="stack">
      <h2>No result</h2>
      <ul>
        {refused.map((bottle) => (
          <li key={bottle.id}>
            {bottle.id}: refused, {bottle.lost!.reason}
          </li>
        ))}
      </ul>
    </section>
  );
}
