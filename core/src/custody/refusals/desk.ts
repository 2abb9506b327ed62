import { base, type Typed } from '../../units/index.ts';
import type { BottleCondition, ColdId, HandedBox } from '../entries.ts';
import type { FormLine } from '../line.ts';
import type { BoxNow, Situation } from './situation.ts';

/** What is known where bottles change hands: the form as far as it is filled in. */
export interface DeskForm {
  lines: readonly FormLine[];
  boxes: readonly (Pick<HandedBox, 'box' | 'name' | 'cooling' | 'seal' | 'sealIs'> & { temperature?: Typed | null | undefined })[];
  /** What keeps each box cold, where that was written down. */
  colds?: ReadonlyMap<string, ColdId | null>;
  conditions?: Readonly<Record<string, BottleCondition>>;
  said?: Readonly<Record<string, string>>;
  counted?: number | null;
  /** ms. */
  now: number;
  /** When they are at the lab's door, in ms; now, where the lab itself takes them. */
  arrival?: number;
}

/** A form that is filled in, as what a lab would refuse is asked of. */
export function atDesk({ lines, boxes, colds, conditions = {}, said = {}, counted = null, now, arrival = now }: DeskForm): Situation {
  const asNow = boxes.map(({ box, temperature, ...rest }): [string, BoxNow] => [
    box,
    { ...rest, id: box, temperature: temperature ? base(temperature) : null, cold: colds?.get(box) ?? null },
  ]);
  return { stage: 'desk', now, arrival, lines, boxes: new Map(asNow), conditions, said, counted };
}
