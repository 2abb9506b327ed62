import { followUpTables, type FollowUpTable } from '../act/index.ts';
import { bottleTables, type BottleTable } from '../bottles/index.ts';
import { refOf, type Edition } from '../editions/index.ts';
import { limitSetNamed, limitSets, type LimitSet } from '../limits/index.ts';
import { tolerances, type Tolerances } from '../level/index.ts';
import type { PlannedVisit, RoundEditions } from '../plan/index.ts';
import type { OwnLimitSet } from '../registers/index.ts';
import { criteria } from '../purge/index.ts';
import { protocols } from '../tap/index.ts';

/** The tables that judge a round; null where this copy of the product does not have the edition. */
export interface RoundTables {
  bottles: BottleTable | null;
  tolerances: Tolerances | null;
  /** In the round's order; the first one leads. */
  limits: LimitSet[];
  followUps: FollowUpTable | null;
}

const shelves = { bottles: bottleTables, tolerances, limits: limitSets, followUps: followUpTables };

/** What a round planned for a day (`YYYY-MM-DD`) is judged by, unless another set is chosen. */
export function editionsOn(day: string): RoundEditions {
  const named = (found: { id: string; edition: string } | null, first: { id: string; edition: string }) => refOf(found ?? first);
  return {
    bottles: named(bottleTables.on('bottles', day), bottleTables.newest[0]!),
    tolerances: named(tolerances.on('tolerances', day), tolerances.newest[0]!),
    limits: [named(limitSets.on('eu-2020-2184', day), limitSets.newest[0]!)],
    followUps: named(followUpTables.on('follow-ups', day), followUpTables.newest[0]!),
  };
}

/** The tables of a round; `own` are the limit sets of the house that came with its book. */
export function tablesOf(editions: RoundEditions, own: readonly OwnLimitSet[]): RoundTables {
  return {
    bottles: bottleTables.find(editions.bottles),
    tolerances: tolerances.find(editions.tolerances),
    limits: editions.limits.flatMap((ref) => limitSetNamed(ref, own) ?? []),
    followUps: followUpTables.find(editions.followUps),
  };
}

/** The editions a round or one of its points names that this copy of the product does not have. */
export function unknownEditions(editions: RoundEditions, visits: readonly PlannedVisit[], own: readonly OwnLimitSet[]): string[] {
  const { limits, ...others } = editions;
  const names = Object.keys(others) as (keyof typeof others)[];
  const ofRound = names.map((name) => editions[name]).filter((ref, at) => shelves[names[at]!].find(ref) === null);
  const sets = [...limits, ...visits.flatMap((visit) => visit.limits ?? [])].filter((ref) => limitSetNamed(ref, own) === null);
  return [...new Set([...ofRound, ...sets])];
}

/** Every edition of every table that judges, for the guard that none is edited once it is released. */
export const allEditions: readonly Edition[] = [...Object.values(shelves), criteria, protocols].flatMap((one) => [...one.all]);
