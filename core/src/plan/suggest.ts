import { analysisIds, type AnalysisId } from '../bottles/index.ts';
import type { Point } from '../registers/index.ts';
import { suggestions, type SuggestionRow } from './tables/suggestions.ts';

/** An analysis that suits a point, and why. */
export interface Suggestion {
  analysis: AnalysisId;
  why: string;
  source: string;
}

type Facts = Pick<Point, 'kind' | 'water' | 'source' | 'disinfection' | 'use' | 'surroundings'>;

function holds({ kinds, water, source, disinfection, use, about }: SuggestionRow['when'], point: Facts): boolean {
  // What is not known of a point suggests nothing.
  const isIn = <T>(known: readonly T[] | undefined, value: T | undefined) => !known || (value !== undefined && known.includes(value));
  return (
    isIn(kinds, point.kind) &&
    isIn(water, point.water) &&
    isIn(source, point.source) &&
    isIn(disinfection, point.disinfection) &&
    (!use || use === point.use) &&
    (!about || about.some((one) => point.surroundings?.includes(one)))
  );
}

/** What a point asks to be tested for, by its kind, water, source, disinfection and what lies about it; each analysis once, with its first reason. */
export function suggest(point: Facts): Suggestion[] {
  const found = new Map<AnalysisId, Suggestion>();
  for (const { when, analyses, why, source } of suggestions)
    if (holds(when, point)) for (const analysis of analyses) if (!found.has(analysis)) found.set(analysis, { analysis, why, source });
  return analysisIds.flatMap((id) => found.get(id) ?? []);
}
