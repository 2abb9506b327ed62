import { cardOf, rulesFor, type AnalysisId, type BottleTable, type RuleId } from '../bottles/index.ts';
import type { PlannedVisit } from './entries.ts';

/** A bottle that the plan calls for. Its id is what stands on the label. */
export interface PlannedBottle {
  id: string;
  visit: string;
  rule: RuleId;
}

/** The label's identifier: round, point and bottle letter, such as `261123A-MW3-N`; `261123A-MW3.2-N` at the second visit of a point. */
export function bottleId(roundCode: string, pointCode: string, letter: string, nth = 1): string {
  return `${roundCode}-${pointCode}${nth > 1 ? `.${nth}` : ''}-${letter}`;
}

/** Whether a visit is the first of its point in the round, the second, …: 1, 2, … */
export function nthVisit(visits: readonly PlannedVisit[], id: string): number {
  const place = visits.findIndex((visit) => visit.id === id);
  return visits.slice(0, place + 1).filter((visit) => visit.point.id === visits[place]?.point.id).length;
}

/** The bottles that a plan calls for at one of its points, in filling order. */
export function bottlesAt(visit: PlannedVisit, roundCode: string, table: BottleTable, nth = 1): PlannedBottle[] {
  return rulesFor(table, visit.analyses).map((rule) => ({
    id: bottleId(roundCode, visit.point.code, cardOf(table, rule).letter, nth),
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
    .sort((a, b) => cardOf(table, a.rule).order - cardOf(table, b.rule).order);
}
