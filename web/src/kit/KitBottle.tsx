import { purpose } from '@fonte/core/bottles';
import { bottleFilled } from '@fonte/core/fill';
import type { BottleState } from '@fonte/core/round';
import { Button } from 'antd';
import { useRound } from '../book/useRound.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { BottlePicture, Discard } from '../fill/index.ts';
import { Mark } from '../theme/Mark.tsx';
import { useSettled } from '../time/useSettled.ts';

/** The bottle that a household fills now: which one, how far, and what is in it. Where the step says how it is filled, `isTold`. */
export function KitBottle({ bottle, isTold = false }: { bottle: BottleState; isTold?: boolean }) {
  const { append } = useRound();
  const { busy, run, say } = useAction();
  const settled = useSettled();
  const { card } = bottle;
  const { on, isWater } = purpose(bottle.purpose);
  return (
    <section className="fill-card" aria-label={`Bottle ${bottle.id}`}>
      <BottlePicture rule={card} filled={false} />
      <div className="stack">
        <div>
          <p className="soft small">{isWater ? 'The bottle with this label' : 'The bottle for the blank, with this label'}</p>
          <p className="label-like">{bottle.id}</p>
        </div>
        {on && <p className="finding question small">{on.asks}</p>}
        {bottle.supply && <p className="finding question small">Pour all of {bottle.supply}, which came with it, into this bottle.</p>}
        {bottle.supplyWentWith && (
          <p className="finding question small">The water for this bottle is gone. Call whoever gave you the kit.</p>
        )}
        {card.preservative && (
          <p className="finding question small">
            <Mark kind="question" />
            <span>
              <span className="strong">{card.preservative.name}.</span> {card.preservative.hazard} Keep children and pets away.
            </span>
          </p>
        )}
        <p>{[card.rinse, ...(isTold ? [] : [card.fill]), card.headspace].join('. ')}.</p>
        <Said say={say} />
        <div className="row fill-do">
          <Button
            type="primary"
            size="large"
            loading={busy}
            disabled={!settled}
            onClick={() => void run(() => append(bottleFilled, { bottle: bottle.id }, { at: bottle.visit }))}
          >
            {on?.done ?? 'Filled and capped'}
          </Button>
          <Discard bottle={bottle} />
        </div>
      </div>
    </section>
  );
}
