import { misfit, type Ask, type Misfit, type Room } from '../book/index.ts';
import type { AnalysisId, BottleTable, SampleReason } from '../bottles/index.ts';
import { hazard, type HazardId } from '../registers/index.ts';
import { millis } from '../time/index.ts';
import { fitnessJudged, placeRestored, riskChecked } from './entries.ts';
import { fault, judgeFitness, testKindsOf, toRestore, type FitnessFor, type FoundFault } from './fitness.ts';

/** What a book says of the arrival at a visit. */
export interface ArriveBook {
  risk: { entry: string; at: number; hazards: readonly HazardId[]; permit: string | null; left: boolean } | null;
  fitness: { entry: string; at: number; found: readonly FoundFault[]; odd: string } | null;
  /** Every look at the place, oldest first: a sample rests on the one before it, and on what was found after. */
  looks: readonly { at: number; found: readonly FoundFault[] }[];
  restored: { entry: string; at: number; open: string } | null;
}

/** The arrival at a visit as it stands. */
export interface ArrivalState extends ArriveBook {
  /** By kind of test; empty before anybody looked, and where nothing is sampled. */
  verdicts: readonly FitnessFor[];
  /** What must be put back before leaving. */
  toRestore: readonly string[];
}

/** Hazards at which nobody goes on without leave. */
export const stopping = (hazards: readonly HazardId[]): HazardId[] => hazards.filter((id) => hazard(id).stops === true);

function riskFits({
  hazards,
  permit = '',
  left,
}: {
  hazards: readonly HazardId[];
  permit?: string | undefined;
  left: boolean;
}): Misfit | null {
  const [first] = stopping(hazards);
  return first && !left && permit.length < 3 ? misfit('stops-here', 'payload.permit', { name: hazard(first).name }) : null;
}

/** What the rooms of a visit tell the arrival. */
interface ArriveView {
  arrival: ArrivalState;
  analyses: readonly AnalysisId[];
  level: { readings: readonly unknown[]; leftOut: unknown } | null;
  purge: { setUp: unknown } | null;
  runs: readonly unknown[];
  unknownRuns: readonly unknown[];
  bottles: readonly { filledAt: number | null; state: string }[];
}

/** Whether anything was measured or taken yet: then one has arrived, whatever the book says. */
const isBegun = ({ level, purge, runs, unknownRuns, bottles }: ArriveView) =>
  (level !== null && (level.readings.length > 0 || level.leftOut !== null)) ||
  (purge?.setUp ?? null) !== null ||
  runs.length + unknownRuns.length > 0 ||
  bottles.some(({ filledAt }) => filledAt !== null);

function askArrive(view: ArriveView): Ask | null {
  if (isBegun(view)) return null;
  const { risk, fitness } = view.arrival;
  if (!risk) return { code: 'look-round' };
  // It is not safe here now: others come first.
  if (risk.left) return { code: 'left-for-danger', waits: true };
  return fitness || view.analyses.length === 0 ? null : { code: 'look-at-place' };
}

function askRestore({ arrival, bottles }: ArriveView): Ask | null {
  const isOpen = arrival.toRestore.length > 0 && !arrival.restored && !bottles.some(({ state }) => state === 'empty');
  return isOpen ? { code: 'restore', data: { count: arrival.toRestore.length } } : null;
}

export const arriveRoom: Room<ArriveBook, object, ArriveView> = {
  next: { arrive: askArrive, leave: askRestore },
  kinds: [riskChecked, fitnessJudged, placeRestored],
  empty: { risk: null, fitness: null, looks: [], restored: null },
  fits: ({ fitness }, entry) => {
    if (riskChecked.is(entry)) return riskFits(entry.payload);
    if (placeRestored.is(entry)) return fitness && toRestore(fitness.found).length > 0 ? null : misfit('nothing-to-restore', 'kind');
    return null;
  },
  advance: (book, entry) => {
    const done = { entry: entry.id, at: millis(entry.at) };
    if (riskChecked.is(entry)) {
      const { hazards, permit, left } = entry.payload;
      return { ...book, risk: { ...done, hazards, permit: permit || null, left } };
    }
    // Looked at once more: the last look holds, and what it moves is to be put back.
    if (fitnessJudged.is(entry)) {
      const look = { at: done.at, found: entry.payload.found };
      return { ...book, fitness: { ...done, ...entry.payload }, looks: [...book.looks, look], restored: null };
    }
    return placeRestored.is(entry) ? { ...book, restored: { ...done, ...entry.payload } } : book;
  },
};

/** The arrival with what follows from it for what is planned. */
export function arrivalState(book: ArriveBook, table: BottleTable | null, analyses: readonly AnalysisId[]): ArrivalState {
  const { fitness } = book;
  return {
    ...book,
    verdicts: fitness ? judgeFitness(fitness.found, testKindsOf(table, analyses)) : [],
    toRestore: fitness ? toRestore(fitness.found) : [],
  };
}

/**
 * Why a sample of some kinds of tests is less than a routine one by the place where it was taken: by the look that stood when it was
 * filled (ms; null before it is), and by what was found later. Who looked wrong strikes the look; another one afterwards mends nothing.
 */
export function placeReasons({ looks }: ArrivalState, kinds: readonly FitnessFor['kind'][], filledAt: number | null): SampleReason[] {
  const before = looks.findLast(({ at }) => filledAt === null || at <= filledAt);
  const after = filledAt === null ? [] : looks.filter(({ at }) => at > filledAt);
  const verdicts = [...(before ? [before] : []), ...after].flatMap(({ found }) => judgeFitness(found, kinds));
  const of = (fitness: 'not-fit' | 'caution') => [
    ...new Set(verdicts.filter((one) => one.fitness === fitness).flatMap(({ because }) => because)),
  ];
  const unfit = of('not-fit');
  return [
    ...unfit.map((id): SampleReason => ({ code: 'not-fit', makes: 'special', data: { seen: fault(id).seen } })),
    ...of('caution')
      .filter((id) => !unfit.includes(id))
      .map((id): SampleReason => ({ code: 'place-caution', makes: 'routine', data: { seen: fault(id).seen } })),
  ];
}
