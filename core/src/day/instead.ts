import type { AnalysisId } from '../bottles/index.ts';
import type { DaySettings, PlannedVisit } from '../plan/index.ts';
import { wallTime } from '../time/index.ts';
import type { DayOf } from './build.ts';
import { tryDay, type Fault } from './solve/faults.ts';
import { fromHere, type Standing } from './from-here.ts';

/** What a point that is not fit leaves to another one. */
export interface Instead {
  /** The visit that is not fit, and what cannot be taken there. */
  here: string;
  analyses: readonly AnalysisId[];
  /** The visit that takes its place, with its point. */
  visit: PlannedVisit;
}

/** A day in which another point takes over what this one cannot give; it comes next. */
export function withInstead(of: DayOf, { here, analyses, visit }: Instead): DayOf {
  const visits = of.visits.flatMap((one) =>
    one.id === here ? [{ ...one, analyses: one.analyses.filter((id) => !analyses.includes(id)) }, visit] : [one],
  );
  return { ...of, visits };
}

/** How the rest of a day ends. */
export interface RestOfDay {
  /** When the lab takes in (ms), or when one is at its door where it does not. */
  handOver: number;
  faults: readonly Fault[];
  /** The names of its stops, as its faults number them. */
  problem: ReturnType<typeof fromHere>['problem'];
}

/** The rest of a day from where somebody stands, begun now. */
export function restOfDay(of: DayOf, settings: DaySettings, standing: Standing): RestOfDay {
  const { problem, faults } = fromHere(of, settings, standing);
  const { day } = tryDay(
    problem,
    problem.stops.map((_, number) => number),
  );
  return { handOver: day.handOver, faults, problem };
}

/** The wall-clock time at which a rest of the day ends. */
export const endsAt = ({ handOver }: RestOfDay, zone: string): string => wallTime(handOver, zone).time.slice(0, 5);
