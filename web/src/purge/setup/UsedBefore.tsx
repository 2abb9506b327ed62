import { otherSetUps, saySetUp, setUpsAt, type EarlierSetUp } from '@fonte/core/purge';
import { Button } from 'antd';
import { useAnswer } from '../../api/useAnswer.ts';
import { useRound } from '../../book/useRound.ts';
import { showDay } from '../../time/show.ts';

/** So many set-ups are offered. */
const offered = 3;

/** How this well was set up before: one touch takes it over whole, to be looked at and changed. */
export function UsedBefore({ point, visit, use }: { point: string; visit: string; use: (earlier: EarlierSetUp) => void }) {
  const { round } = useRound();
  const { data = [] } = useAnswer(setUpsAt, { in: { point } });
  const others = otherSetUps(data, visit).slice(0, offered);
  if (others.length === 0) return null;
  return (
    <section className="stack used-before" aria-label="Used here before">
      {others.map((earlier) => (
        <div key={earlier.visit} className="row between">
          <p className="small">
            <span className="strong">Used here on {showDay(earlier.at, round.plan.zone)}:</span> {saySetUp(earlier.chosen)}
          </p>
          <Button size="large" onClick={() => use(earlier)}>
            Set up as then
          </Button>
        </div>
      ))}
    </section>
  );
}
