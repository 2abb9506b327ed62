import { z } from 'zod';
import { analyses, type AnalysisRow } from './tables/analyses.ts';
import { rules, type BottleRule } from './tables/rules.ts';

export type { AnalysisRow, BottleRule };
export type AnalysisId = keyof typeof analyses;
export type RuleId = keyof typeof rules;

export const analysisIds = Object.keys(analyses) as [AnalysisId, ...AnalysisId[]];
export const AnalysisId = z.enum(analysisIds);
export const ruleIds = Object.keys(rules) as [RuleId, ...RuleId[]];
export const RuleId = z.enum(ruleIds);

export function analysis(id: AnalysisId): AnalysisRow {
  return analyses[id];
}

export function bottleRule(id: RuleId): BottleRule {
  return rules[id];
}

/** The bottle rules that a choice of analyses needs, each once, in filling order. */
export function rulesFor(chosen: readonly AnalysisId[]): RuleId[] {
  const needed = new Set(chosen.flatMap((id) => analysis(id).bottles as readonly RuleId[]));
  return [...needed].sort((a, b) => rules[a].order - rules[b].order);
}
