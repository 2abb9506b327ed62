import { purpose, stages } from '@fonte/core/bottles';
import { bottleFilled } from '@fonte/core/fill';
import type { VisitState } from '@fonte/core/round';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';
import { Deadline } from '../time/Countdown.tsx';
import { showTime } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { Discard } from './Discard.tsx';

const lostWords = { refused: 'Refused', discarded: 'Thrown away', missing: 'Not found' } as const;

/** The bottles of a point, and what became of each. */
export function Bottles({ visit }: { visit: VisitState }) {
  const { round } = useRound();
  const now = useNow(15_000);
  if (visit.bottles.length === 0) return null;
  return (
    <section className="stack">
      <h2>Bottles at this point</h2>
      <ul className="bottle-list plain">
        {visit.bottles.map((bottle) => {
          const [kind, word] = bottle.lost
            ? (['stop', lostWords[bottle.lost.how]] as const)
            : bottle.state === 'filled'
              ? (['good', 'Filled'] as const)
              : (['note', 'Empty'] as const);
          const open = !bottle.lost && stages.indexOf(bottle.stage) < stages.indexOf('handed-over');
          return (
            <li key={bottle.id}>
              <span className={`word tone-${kind}`}>
                <Mark kind={kind} />
                {word}
              </span>
              <span>
                <span className="strong">{bottle.lost ? <s>{bottle.id}</s> : bottle.id}</span> {bottle.card.name}
                {bottle.purpose === 'sample' ? '' : `, ${purpose(bottle.purpose).name.toLowerCase()}`}
                <span className="small soft">
                  {bottle.filledAt !== null ? `, ${showTime(bottle.filledAt, round.plan.zone)}` : ''}
                  {bottle.lost
                    ? `: ${bottle.lost.reason}`
                    : bottle.holder && bottle.stage === 'filled'
                      ? `, with ${bottle.holder.party.name}`
                      : ''}
                </span>
              </span>
              <span>
                {bottle.stage === 'filled' && bottle.holding && !bottle.lost && <Deadline at={bottle.holding.deadline} now={now} />}
              </span>
              <span className="row">
                {bottle.state === 'filled' && bottle.entry && <Correct entry={bottle.entry} kind={bottleFilled} what={bottle.id} />}
                {open && bottle.state === 'filled' && <Discard bottle={bottle} />}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
