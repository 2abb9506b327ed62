import { bottleRule, rulesFor, type AnalysisId, type RuleId } from '../bottles/index.ts';
import type { Plan } from './plan.ts';

/** A bottle that the plan calls for. Its id is what stands on the label. */
export interface PlannedBottle {
  id: string;
  visit: string;
  rule: RuleId;
}

/** The label's identifier: round, point and bottle letter, such as `261123A-MW3-N`. */
export function bottleId(roundCode: string, pointCode: string, rule: RuleId): string {
  return `${roundCode}-${pointCode}-${bottleRule(rule).letter}`;
}

/** The bottles of a plan, in the order of its points and, within a point, in filling order. */
export function bottlesOf(plan: Plan): PlannedBottle[] {
  return plan.visits.flatMap((visit) =>
    rulesFor(visit.analyses).map((rule) => ({ id: bottleId(plan.code, visit.point.code, rule), visit: visit.id, rule })),
  );
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
export function countBottles(chosen: readonly (readonly AnalysisId[])[]): BottleCount[] {
  const counts = new Map<RuleId, number>();
  for (const analyses of chosen) for (const rule of rulesFor(analyses)) counts.set(rule, (counts.get(rule) ?? 0) + 1);
  return [...counts]
    .map(([rule, needed]) => ({ rule, needed, spares: Math.ceil(needed / 10) }))
    .sort((a, b) => bottleRule(a.rule).order - bottleRule(b.rule).order);
}
