import type { BottleRule, RuleId } from '../bottles/index.ts';
import { holdingOf } from '../custody/index.ts';
import type { Lab } from '../registers/index.ts';
import { atWall, hour } from '../time/index.ts';
import type { PickUp } from './entries.ts';

/** From the doorstep to the lab's bench, in ms. Common practice: half a working day. */
const onwards = 4 * hour;

interface Kept {
  rule: RuleId;
  card: BottleRule;
  lab: Lab | null;
}

/**
 * From when on (ms) a household may fill bottles so that the one that keeps shortest is at the lab in time, counted from the end of their
 * pick-up; and how many hours that one keeps. Null without bottles.
 */
export function fillFrom(bottles: readonly Kept[], { date, to }: PickUp, zone: string): { from: number; hours: number } | null {
  if (bottles.length === 0) return null;
  const hours = Math.min(...bottles.map(({ rule, card, lab }) => holdingOf(rule, card, 0, lab).hours));
  return { from: atWall(date, to, zone) + onwards - hours * hour, hours };
}
