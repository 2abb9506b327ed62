import { cardOf, purpose, rulesFor, type BottleTable, type PurposeId, type RuleId } from '../bottles/index.ts';
import { byPattern, usualPattern, type Lab } from '../registers/index.ts';
import type { MadeUpPoint, PlannedVisit } from './entries.ts';
import type { PlannedExtra } from './plan.ts';

/** A bottle that the plan calls for. Its id is what stands on the label. */
export interface PlannedBottle {
  id: string;
  visit: string;
  rule: RuleId;
  purpose: PurposeId;
  /** The label of the bottle that is poured into this one; null where there is none. */
  supply: string | null;
  /** The label of the sample that it is, or is a part of: several vials are one sample. */
  set: string;
  /** The made-up point under which it goes to its lab; null where it goes under its own. */
  blind: MadeUpPoint | null;
}

/** What of a round stands in its identifiers. */
export interface Labelling {
  /** The round's own code. */
  code: string;
  /** Its day, as `2026-11-23`. */
  date: string;
  /** How the lab wants them; the usual way where it is left out. */
  pattern?: string | undefined;
}

/** How a round's bottles are labelled. */
export const labellingOf = ({ code, date, lab }: { code: string; date: string; lab: Pick<Lab, 'labels'> | null }): Labelling => ({
  code,
  date,
  pattern: lab?.labels,
});

/** The label's identifier, such as `261123A-MW3-N`; `261123A-MW3.2-N` at the second visit of a point. */
export function bottleId({ code, date, pattern = usualPattern }: Labelling, point: string, bottle: string, nth = 1): string {
  return byPattern(pattern, {
    round: code,
    point: `${point}${nth > 1 ? `.${nth}` : ''}`,
    bottle,
    date: date.slice(2).replaceAll('-', ''),
  });
}

/** Bottles that make one sample together are told apart by a letter: `…-VA`, `…-VB`, `…-VC`. */
const parts = 'ABCDEF';

/** Whether a visit is the first of its point in the round, the second, …: 1, 2, … */
export function nthVisit(visits: readonly PlannedVisit[], id: string): number {
  const place = visits.findIndex((visit) => visit.id === id);
  return visits.slice(0, place + 1).filter((visit) => visit.point.id === visits[place]?.point.id).length;
}

/**
 * The bottles that a plan calls for at one of its visits: blanks first, as nothing of the point's water may have been about;
 * then in filling order, each sample with its duplicate. Of several analyses that share a bottle there is one.
 */
export function bottlesAt(
  visit: PlannedVisit,
  labelling: Labelling,
  table: BottleTable,
  { nth = 1, extras = [] }: { nth?: number; extras?: readonly Pick<PlannedExtra, 'analysis' | 'purpose' | 'as'>[] } = {},
): PlannedBottle[] {
  const rules = rulesFor(table, visit.analyses);
  const of = (rule: RuleId, id: PurposeId, blind: MadeUpPoint | null = null): PlannedBottle[] => {
    const { mark, supply, isSingle } = purpose(id);
    const { letter, copies = 1 } = cardOf(table, rule);
    const label = (added: string, part = '') =>
      bottleId(labelling, blind?.code ?? visit.point.code, letter + part + (added === '' ? '' : `-${added}`), nth);
    const set = label(mark);
    const one = { visit: visit.id, rule, purpose: id, supply: supply && label(supply), set, blind };
    if (copies === 1 || isSingle) return [{ ...one, id: set }];
    return [...parts].slice(0, copies).map((part) => ({ ...one, id: label(mark, part) }));
  };
  const asked = (rule: RuleId, isWater: boolean) => {
    const own = extras.filter(({ analysis }) => visit.analyses.includes(analysis) && rulesFor(table, [analysis]).includes(rule));
    return [...new Map(own.map((one) => [one.purpose, one])).values()].filter((one) => purpose(one.purpose).isWater === isWater);
  };
  const besides = (rule: RuleId, isWater: boolean) => asked(rule, isWater).flatMap((one) => of(rule, one.purpose, one.as ?? null));
  return [...rules.flatMap((rule) => besides(rule, false)), ...rules.flatMap((rule) => [...of(rule, 'sample'), ...besides(rule, true)])];
}
