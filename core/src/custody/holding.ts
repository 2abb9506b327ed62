import type { BottleRule, RuleId } from '../bottles/index.ts';
import type { Finding } from '../findings/index.ts';
import type { Lab } from '../registers/index.ts';
import { hour } from '../time/index.ts';
import { latestHandOver, nextIntake } from './intake.ts';

/** How long a bottle may wait, whose rule that is, and until when, in ms. */
export interface Holding {
  hours: number;
  deadline: number;
  by: 'lab' | 'rule';
}

/**
 * The holding deadline of a bottle filled at a moment (ms). The shorter of the rule's and the lab's time stands. Hours
 * are elapsed ones, so a daylight-saving change does not move them.
 */
export function holdingOf(rule: RuleId, { holdingHours: own }: BottleRule, filledAt: number, lab: Lab | null): Holding {
  const labs = lab && Object.hasOwn(lab.holding, rule) ? lab.holding[rule] : undefined;
  const hours = labs !== undefined && labs < own ? labs : own;
  return { hours, deadline: filledAt + hours * hour, by: hours === own ? 'rule' : 'lab' };
}

/** Says before a bottle is filled that it cannot reach the lab in time. `now` in ms. */
export function questionReach(rule: RuleId, card: BottleRule, now: number, lab: Lab | null): Finding[] {
  if (!lab) return [];
  const { deadline, hours } = holdingOf(rule, card, now, lab);
  if (latestHandOver(lab, now, deadline, rule) !== null) return [];
  const next = nextIntake(lab, now, rule);
  const data = { hours, ...(next ? { opens: next.opens - now } : {}) };
  return [{ code: 'cannot-reach', severity: 'stop', field: 'bottle', data }];
}
