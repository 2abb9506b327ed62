import { rulesFor, type AnalysisId, type BottleTable, type RuleId } from '../bottles/index.ts';
import type { PlannedVisit } from './entries.ts';

/** A bottle that the plan calls for. Its id is what stands on the label. */
export interface PlannedBottle {
  id: string;
  visit: string;
  rule: RuleId;
}

/** The label's identifier: round, point and bottle letter, such as `261123A-MW3-N`. */
export function bottleId(roundCode: string, pointCode: string, letter: string): string {
  return `${roundCode}-${pointCode}-${letter}`;
}

/** The bottles that a plan calls for at one of its points, in filling order. */
export function bottlesAt(visit: PlannedVisit, roundCode: string, table: BottleTable): PlannedBottle[] {
  return rulesFor(table, visit.analyses).map((rule) => ({
    id: bottleId(roundCode, visit.point.code, table.rules[rule].letter),
    visit: visit.id,
    rule,
  }));
}

/** One line of the packing count. Spares are bottles without a label: one of each kind in ten, at least one. */
export interface BottleCount {
  rule: RuleId;
  needed: number;
  spares: number;
}

/**
 * How many bottles of each kind to pack.
 * Source: "always carry extra bottles", at least one in ten, common practice.
 */
export function countBottles(table: BottleTable, chosen: readonly (readonly AnalysisId[])[]): BottleCount[] {
  const counts = new Map<RuleId, number>();
  for (const analyses of chosen) for (const rule of rulesFor(table, analyses)) counts.set(rule, (counts.get(rule) ?? 0) + 1);
  return [...counts]
    .map(([rule, needed]) => ({ rule, needed, spares: Math.ceil(needed / 10) }))
    .sort((a, b) => table.rules[a.rule].order - table.rules[b.rule].order);
}
