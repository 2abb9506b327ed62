import { purpose } from '@fonte/core/bottles';
import { foretell } from '@fonte/core/custody';
import { wayToLab } from '@fonte/core/day';
import { bottleFilled } from '@fonte/core/fill';
import { formLine, type BottleState, type RoundState } from '@fonte/core/round';
import { Button } from 'antd';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { May } from '../session/May.tsx';
import { useNow } from '../time/useNow.ts';
import { useSettled } from '../time/useSettled.ts';
import { FilledEarlier } from './FilledEarlier.tsx';
import { BottlePicture } from './BottlePicture.tsx';
import { Discard } from './Discard.tsx';
import { RuleCard } from './RuleCard.tsx';

/** What its lab would refuse of a bottle that is filled now (ms) and driven there at once. */
function refusedIfFilled(round: RoundState, bottle: BottleState, now: number) {
  const visit = round.visits.find(({ id }) => id === bottle.visit)!;
  const line = formLine(round, visit, { ...bottle, filledAt: now }, now);
  const way = line.lab ? (wayToLab(visit.point.position, line.lab, round.day) ?? 0) : 0;
  return foretell({
    stage: 'tap',
    now,
    arrival: now + way,
    lines: [line],
    boxes: new Map(),
    conditions: {},
    said: {},
    counted: null,
  });
}

/** The bottle that is filled next, with its rule card. Tapping “Filled” records the time. */
export function FillNow({ bottle }: { bottle: BottleState }) {
  const { append, round } = useRound();
  const time = useNow(15_000);
  const { busy, run, say } = useAction();
  const rule = bottle.card;
  const { on } = purpose(bottle.purpose);
  const settled = useSettled();
  return (
    <section className="fill-card" aria-label={`Bottle ${bottle.id}`}>
      <BottlePicture rule={rule} filled={false} />
      <div className="stack">
        <div>
          <p className="soft small">
            {bottle.spare ? 'Spare: write its own label' : 'Next bottle'}
            {bottle.purpose === 'sample' ? '' : `. ${purpose(bottle.purpose).name}: ${purpose(bottle.purpose).why}`}
          </p>
          <p className="label-like">{bottle.id}</p>
          <h2>{rule.name}</h2>
        </div>
        {on && <p className="finding question small">{on.asks}</p>}
        {bottle.supply && (
          <p className="finding question small">
            Open {bottle.supply}, the water that the lab supplied, here at the point and pour all of it into this bottle.
          </p>
        )}
        <RuleCard rule={rule} />
        <Findings of={refusedIfFilled(round, bottle, time)} />
        <Said say={say} />
        <May do={bottleFilled}>
          <div className="row">
            <Button
              type="primary"
              size="large"
              loading={busy}
              disabled={!settled}
              onClick={() => void run(() => append(bottleFilled, { bottle: bottle.id }, { at: bottle.visit }))}
            >
              {on?.done ?? 'Filled and capped'}
            </Button>
            <FilledEarlier bottle={bottle} />
            <Discard bottle={bottle} />
          </div>
        </May>
      </div>
    </section>
  );
}
