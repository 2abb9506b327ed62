import { z } from 'zod';
import { shelf, type Edition } from '../editions/index.ts';
import { analyses, type AnalysisRow } from './tables/analyses.ts';
import { rules, type BottleRule } from './tables/rules.ts';

export type { AnalysisRow, BottleRule };
export type AnalysisId = keyof typeof analyses;
export type RuleId = keyof typeof rules;

export const analysisIds = Object.keys(analyses) as [AnalysisId, ...AnalysisId[]];
export const AnalysisId = z.enum(analysisIds);
export const ruleIds = Object.keys(rules) as [RuleId, ...RuleId[]];
export const RuleId = z.enum(ruleIds);

/** What can be asked of a lab, and the bottles it takes, as released together. */
export interface BottleTable extends Edition {
  analyses: Readonly<Record<AnalysisId, AnalysisRow>>;
  rules: Readonly<Record<RuleId, BottleRule>>;
}

export const bottleTables = shelf<BottleTable>([
  { id: 'bottles', edition: '2026-1', from: '2020-01-01', source: '40 CFR 136.3 Table II; ISO 19458 (from memory)', analyses, rules },
]);

/** The bottle rules that a choice of analyses needs, each once, in filling order. */
export function rulesFor(table: BottleTable, chosen: readonly AnalysisId[]): RuleId[] {
  const needed = new Set(chosen.flatMap((id) => table.analyses[id].bottles as readonly RuleId[]));
  return [...needed].sort((a, b) => table.rules[a].order - table.rules[b].order);
}
