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
 * The most hours that any regulation bears for a bottle, where that is more than its rule says: so long a lab may be given that time.
 * Source: 40 CFR 141.852(a) (30 h for total coliforms and E. coli; from memory).
 */
export const longestHours: Readonly<Partial<Record<RuleId, number>>> = { bacteria: 30 };

/**
 * The holding deadline of a bottle filled at a moment (ms): the time that somebody registered for the lab, shorter or longer than the rule's,
 * but never longer than a regulation bears; else the rule's. Hours are elapsed ones, so a daylight-saving change does not move them.
 */
export function holdingOf(rule: RuleId, { holdingHours: own }: BottleRule, filledAt: number, lab: Lab | null): Holding {
  const row = lab && rowOfLab(rule, (one) => Object.hasOwn(lab.holding, one));
  const labs = row ? lab.holding[row] : undefined;
  const hours = labs === undefined ? own : Math.min(labs, Math.max(own, longestHours[rule] ?? 0));
  return { hours, deadline: filledAt + hours * hour, by: hours === own ? 'rule' : 'lab' };
}

/**
 * By when the analysis of a bottle that was filled at a moment (ms) must have begun, and how many hours after receipt its lab begins;
 * null where the lab does not say. Rules count to the start of the analysis, labs to receipt: both ends must hold.
 */
export function startBy(
  rule: RuleId,
  card: BottleRule,
  filledAt: number,
  lab: Lab,
): { deadline: number; hours: number; after: number } | null {
  const { startsAfter = {} } = lab;
  const row = rowOfLab(rule, (one) => Object.hasOwn(startsAfter, one));
  const after = row ? startsAfter[row]! : null;
  // A longer time that the lab was given is the regulation's, to the start of the analysis too.
  const hours = Math.max(card.holdingHours, holdingOf(rule, card, filledAt, lab).hours);
  return after === null ? null : { deadline: filledAt + hours * hour, hours, after };
}
