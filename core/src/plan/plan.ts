import type { z } from 'zod';
import { analysisIds, type AnalysisId } from '../bottles/index.ts';
import type { Entry } from '../book/index.ts';
import { analysisAdded, analysisRemoved, roundPlanned, type PlannedVisit } from './entries.ts';

export type Plan = z.infer<typeof roundPlanned.payload>;

/** The plan as it stands after its changes; null for a book that has none yet. `entries` are corrected ones. */
export function foldPlan(entries: readonly Entry[]): Plan | null {
  const first = entries.find(roundPlanned.is);
  if (!first) return null;
  const chosen = new Map(first.payload.visits.map((visit) => [visit.id, new Set<AnalysisId>(visit.analyses)]));
  for (const entry of entries) {
    if (analysisAdded.is(entry)) chosen.get(entry.payload.visit)?.add(entry.payload.analysis);
    if (analysisRemoved.is(entry)) chosen.get(entry.payload.visit)?.delete(entry.payload.analysis);
  }
  const visits: PlannedVisit[] = first.payload.visits.map((visit) => ({
    ...visit,
    analyses: analysisIds.filter((id) => chosen.get(visit.id)?.has(id)),
  }));
  return { ...first.payload, visits };
}
