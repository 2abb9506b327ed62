import { rowOfLab, type BottleRule, type RuleId } from '../bottles/index.ts';
import type { Lab } from '../registers/index.ts';
import { hour } from '../time/index.ts';

/** How long a bottle may wait, whose rule that is, and until when, in ms. */
export interface Holding {
  hours: number;
  deadline: number;
  by: 'lab' | 'rule';
}

/** `18 h by the lab`: how long a bottle may wait and whose rule that is, alike on its card, its form and its clock. */
export const sayHolding = ({ hours, by }: Pick<Holding, 'hours' | 'by'>): string =>
  `${hours >= 72 ? `${hours / 24} d` : `${hours} h`} by the ${by}`;

/**
 * The holding deadline of a bottle filled at a moment (ms). The shorter of the rule's and the lab's time stands. Hours
 * are elapsed ones, so a daylight-saving change does not move them.
 */
export function holdingOf(rule: RuleId, { holdingHours: own }: BottleRule, filledAt: number, lab: Lab | null): Holding {
  const row = lab && rowOfLab(rule, (one) => Object.hasOwn(lab.holding, one));
  const labs = row ? lab.holding[row] : undefined;
  const hours = labs !== undefined && labs < own ? labs : own;
  return { hours, deadline: filledAt + hours * hour, by: hours === own ? 'rule' : 'lab' };
}

/**
 * By when the analysis of a bottle that was filled at a moment (ms) must have begun, and how many hours after receipt its lab begins;
 * null where the lab does not say. Rules count to the start of the analysis, labs to receipt: both ends must hold.
 */
export function startBy(
  rule: RuleId,
  { holdingHours }: BottleRule,
  filledAt: number,
  { startsAfter = {} }: Lab,
): { deadline: number; after: number } | null {
  const row = rowOfLab(rule, (one) => Object.hasOwn(startsAfter, one));
  const after = row ? startsAfter[row]! : null;
  return after === null ? null : { deadline: filledAt + holdingHours * hour, after };
}
