import { z } from 'zod';
import { shelf, type Edition } from '../editions/index.ts';
import type { AnalysisRow, BottleRule } from './rule.ts';
import { analyses2026 } from './tables/analyses.ts';
import { analyses as analyses2, rules as rules2 } from './tables/bottles-2026-2.ts';
import { rules as rules3 } from './tables/bottles-2026-3.ts';
import { analyses, rules } from './tables/bottles-2026-4/index.ts';
import { gear, type GearId, type GearRow } from './tables/gear.ts';
import { purposes, type PurposeRow } from './tables/purposes.ts';
import { rules2026 } from './tables/rules.ts';

export * from './rule.ts';
export type { GearId, GearRow, PurposeRow };
export const gearIds = Object.keys(gear) as [GearId, ...GearId[]];
export const gearRow = (id: GearId): GearRow => gear[id];
export type PurposeId = keyof typeof purposes;
/** What may be planned beside the sample itself. */
export const extraPurposes = (Object.keys(purposes) as PurposeId[]).filter((id): id is Exclude<PurposeId, 'sample'> => id !== 'sample');
export const purpose = (id: PurposeId): PurposeRow => purposes[id];
export type AnalysisId = keyof typeof analyses;
export type RuleId = keyof typeof rules;

export const analysisIds = Object.keys(analyses) as [AnalysisId, ...AnalysisId[]];
export const AnalysisId = z.enum(analysisIds);
export const ruleIds = Object.keys(rules) as [RuleId, ...RuleId[]];
export const RuleId = z.enum(ruleIds);

/** What can be asked of a lab, and the bottles it takes, as released together. An edition need not know all that a later one does. */
export interface BottleTable extends Edition {
  analyses: Readonly<Partial<Record<AnalysisId, AnalysisRow>>>;
  rules: Readonly<Partial<Record<RuleId, BottleRule>>>;
}

const common = { id: 'bottles', from: '2020-01-01', source: '40 CFR 136.3 Table II; ISO 19458 (from memory)' };

export const bottleTables = shelf<BottleTable>([
  { ...common, edition: '2026-1', analyses: analyses2026, rules: rules2026 },
  { ...common, edition: '2026-2', source: `${common.source}; 40 CFR 141.86`, analyses: analyses2, rules: rules2 },
  {
    ...common,
    edition: '2026-3',
    source: '40 CFR 136.3 Table II; ISO 19458:2006; 40 CFR 141.86',
    analyses: { ...analyses2, metals: { ...analyses2.metals, name: 'Metals' } },
    rules: rules3,
  },
  {
    ...common,
    edition: '2026-4',
    source: '40 CFR 136.3 Table II; ISO 19458:2006; EPA methods for drinking water; each bottle says its own',
    analyses,
    rules,
  },
]);

/** The name of an analysis in an edition; its id where the edition does not know it. */
export function analysisName(table: BottleTable | null, id: AnalysisId): string {
  return table?.analyses[id]?.name ?? id;
}

/** The card of a rule. @throws Error where the edition has none: a rule comes out of {@link rulesFor} of the same edition. */
export function cardOf(table: BottleTable, rule: RuleId): BottleRule {
  const card = table.rules[rule];
  if (!card) throw new Error(`${table.id}@${table.edition} has no rule ${rule}`);
  return card;
}

/** The card of a rule as it holds at a kind of point. */
export function cardAt(table: BottleTable, rule: RuleId, at: 'well' | 'tap'): BottleRule {
  const card = cardOf(table, rule);
  return card.filterAt && card.filterAt !== at ? { ...card, filter: null } : card;
}

/** The bottle rules that a choice of analyses needs, each once, in filling order. */
export function rulesFor(table: BottleTable, chosen: readonly AnalysisId[]): RuleId[] {
  const needed = new Set(chosen.flatMap((id) => (table.analyses[id]?.bottles ?? []) as readonly RuleId[]));
  return [...needed].sort((a, b) => cardOf(table, a).order - cardOf(table, b).order);
}
export * from './stage.ts';
