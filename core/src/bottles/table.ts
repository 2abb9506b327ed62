import { z } from 'zod';
import { shelf, type Edition } from '../editions/index.ts';
import type { AnalysisId } from './analyses.ts';
import type { AnalysisRow, BottleRule } from './rule.ts';
import { analyses2026 } from './tables/analyses.ts';
import { analyses as analyses2 } from './tables/bottles-2026-2-analyses.ts';
import { rules as rules2 } from './tables/bottles-2026-2.ts';
import { rules as rules3 } from './tables/bottles-2026-3.ts';
import { analyses as analyses4 } from './tables/bottles-2026-4/analyses.ts';
import { rules as rules4 } from './tables/bottles-2026-4/rules.ts';
import { analyses as analyses5 } from './tables/bottles-2026-5-analyses.ts';
import { rules as rules5 } from './tables/bottles-2026-5.ts';
import { rules } from './tables/bottles-2026-6.ts';
import { rules2026 } from './tables/rules.ts';

export type RuleId = keyof typeof rules;

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
    analyses: analyses4,
    rules: rules4,
  },
  {
    ...common,
    edition: '2026-5',
    source: '40 CFR 136.3 Table II; ISO 19458:2006; EPA methods for drinking water; each bottle says its own',
    analyses: analyses5,
    rules: rules5,
  },
  {
    ...common,
    edition: '2026-6',
    source: '40 CFR 136.3 Table II; ISO 19458:2006; EPA methods for drinking water; each bottle says its own',
    analyses: analyses5,
    rules,
  },
]);

/** Bottles that are taken like another one: what a lab says of that one holds for them, where it says nothing of them. */
const takenLike: Partial<Record<RuleId, RuleId>> = { legionellaFlushed: 'legionella', leadFifth: 'lead' };

/**
 * The bottle whose row of a lab holds for a rule: its own where the lab has one, else that of the bottle that it is taken like; null for
 * neither.
 */
export function rowOfLab(rule: RuleId, has: (rule: RuleId) => boolean): RuleId | null {
  if (has(rule)) return rule;
  const like = takenLike[rule];
  return like && has(like) ? like : null;
}

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

/** The card of a rule as it holds at a point, by its type and kind. */
export function cardAt(table: BottleTable, rule: RuleId, { type, kind }: { type: 'well' | 'tap'; kind: string }): BottleRule {
  const { at = {}, ...card } = cardOf(table, rule);
  const here = { ...card, ...(Object.hasOwn(at, kind) ? at[kind] : {}) };
  return here.filterAt && here.filterAt !== type ? { ...here, filter: null } : here;
}

/** The bottle rules that a choice of analyses needs, each once, in filling order. */
export function rulesFor(table: BottleTable, chosen: readonly AnalysisId[]): RuleId[] {
  const needed = new Set(chosen.flatMap((id) => (table.analyses[id]?.bottles ?? []) as readonly RuleId[]));
  return [...needed].sort((a, b) => cardOf(table, a).order - cardOf(table, b).order);
}
