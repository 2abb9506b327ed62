import type { AnalysisId } from '../bottles/index.ts';
import { day } from '../time/index.ts';
import { causes } from './because.ts';
import { lastDayIn, periodBefore, periodOf, shareOver, type Period } from './period.ts';
import type { Programme } from './programme.ts';
import type { SampleOfRecord } from './samples.ts';

/** Where an analysis stands in the period of a day: nothing to do, planned, to be taken, behind what an even spread would have, or not to be had at a point out of use. */
export type DueState = 'done' | 'planned' | 'due' | 'behind' | 'not-now' | 'out-of-use';

/** One thing that a programme counts: an analysis at a point, or over all points together (`point` null). */
export interface DueLine {
  point: string | null;
  analysis: AnalysisId;
  state: DueState;
  needed: number;
  taken: number;
  planned: number;
  /** Samples of this period that do not count: they are owed still. */
  owed: readonly SampleOfRecord[];
  /** How many the period before lacked. */
  missed: number;
  /** The last day it was taken as a routine sample; null where that is not known. */
  last: string | null;
  /** The last day on which it can be taken in this period. */
  until: string | null;
}

/** So far back (ms) samples are looked at: two of the longest periods. */
export const lookBack = 6 * 366 * day;

const isIn = ({ from, to }: Period, { date }: SampleOfRecord) => from <= date && date <= to;

/** Whether a programme asks for anything in a period. */
const isOn = ({ from, until }: Programme, period: Period) => from <= period.to && (until === undefined || period.from <= until);

function lineOf(
  programme: Programme,
  point: string | null,
  analysis: AnalysisId,
  samples: readonly SampleOfRecord[],
  today: string,
): DueLine {
  const period = periodOf(programme.per, today);
  const before = periodBefore(programme.per, period);
  const own = samples.filter((one) => isIn(period, one));
  const count = (state: SampleOfRecord['state'], of = own) => of.filter((one) => one.state === state).length;
  const until = isOn(programme, period) ? lastDayIn(period, programme.months) : null;
  const needed = until === null ? 0 : programme.times;
  const [taken, planned] = [count('taken'), count('planned')];
  // What began within the period before did not have all of it.
  const wasOn = isOn(programme, before) && programme.from <= before.from && lastDayIn(before, programme.months) !== null;
  const takenBefore = count(
    'taken',
    samples.filter((one) => isIn(before, one)),
  );
  const last = samples
    .filter(({ state }) => state === 'taken')
    .reduce<string | null>((latest, { date }) => (latest === null || date > latest ? date : latest), null);
  const isSeason = !programme.months || programme.months.includes(Number(today.slice(5, 7)));
  const expected = Math.floor(needed * shareOver({ from: period.from, to: until ?? period.to }, today) + 1e-9);
  const state: DueState =
    taken >= needed
      ? 'done'
      : taken + planned >= needed
        ? 'planned'
        : !isSeason
          ? 'not-now'
          : taken + planned < expected
            ? 'behind'
            : 'due';
  return {
    point,
    analysis,
    state,
    needed,
    taken,
    planned,
    owed: own.filter(isOwed),
    missed: wasOn ? Math.max(0, programme.times - takenBefore) : 0,
    last,
    until,
  };
}

/** Points that are not sampled now, by their ids. */
export type Closed = ReadonlySet<string>;
const noneClosed: Closed = new Set();

/** Where a programme stands on a day (`YYYY-MM-DD`), line by line. What a point out of use still lacks is said, and not asked for there. */
export function dueOf(programme: Programme, samples: readonly SampleOfRecord[], today: string, closed: Closed = noneClosed): DueLine[] {
  const known = new Map<string, SampleOfRecord[]>();
  const points = new Set(programme.points);
  const keyOf = (point: string | null, analysis: AnalysisId) => `${programme.counts === 'together' ? '' : point} ${analysis}`;
  for (const sample of samples) {
    // A repeat after a finding is no sample of the programme.
    if (!points.has(sample.point) || (sample.because && !causes[sample.because.as].isCounted)) continue;
    const key = keyOf(sample.point, sample.analysis);
    const own = known.get(key);
    if (own) own.push(sample);
    else known.set(key, [sample]);
  }
  const line = (point: string | null) =>
    programme.analyses.map((analysis): DueLine => {
      const one = lineOf(programme, point, analysis, known.get(keyOf(point, analysis)) ?? [], today);
      const isLacking = one.state === 'due' || one.state === 'behind' || one.state === 'planned';
      return point !== null && closed.has(point) && isLacking ? { ...one, state: 'out-of-use' } : one;
    });
  return programme.counts === 'together' ? line(null) : programme.points.flatMap(line);
}

const isOwed = ({ state }: SampleOfRecord) => state !== 'planned' && state !== 'taken';

/** What no programme asks for stays owed for so long (ms): later another reason has to be found to go there. */
const owedFor = 366 * day;

/**
 * Samples that are owed and that no programme counts: special, spoilt, refused or not there, with no routine one taken or planned since then at that
 * point. The latest of each analysis at a point, the newest first.
 * @param today `YYYY-MM-DD`
 */
export function owedElsewhere(programmes: readonly Programme[], samples: readonly SampleOfRecord[], today: string): SampleOfRecord[] {
  const isCounted = ({ point, analysis }: SampleOfRecord) =>
    programmes.some(({ points, analyses }) => points.includes(point) && analyses.includes(analysis));
  const since = new Date(Date.parse(today) - owedFor).toISOString().slice(0, 10);
  const latest = new Map<string, SampleOfRecord>();
  for (const one of samples.filter((sample) => sample.date >= since && !isCounted(sample))) {
    const key = `${one.point} ${one.analysis}`;
    const known = latest.get(key);
    // On the day itself the one that holds makes up for the one that does not.
    if (!known || one.date > known.date || (one.date === known.date && !isOwed(one))) latest.set(key, one);
  }
  return [...latest.values()].filter(isOwed).sort((one, other) => (one.date < other.date ? 1 : one.date > other.date ? -1 : 0));
}

/** How many are still to be planned. */
export const openOf = ({ needed, taken, planned }: Pick<DueLine, 'needed' | 'taken' | 'planned'>): number =>
  Math.max(0, needed - taken - planned);

/** A visit that would take something that is due. */
export interface DueVisit {
  point: string;
  analyses: AnalysisId[];
}

/**
 * Visits that would take what a programme still lacks. Where points count together, those that were sampled longest ago come first:
 * so the period is spread over all of them.
 */
export function visitsFor(
  programme: Programme,
  lines: readonly DueLine[],
  samples: readonly SampleOfRecord[],
  closed: Closed = noneClosed,
): DueVisit[] {
  const visits = new Map<string, AnalysisId[]>();
  const add = (point: string, analysis: AnalysisId) => visits.set(point, [...(visits.get(point) ?? []), analysis]);
  for (const line of lines) {
    if (line.state === 'not-now' || line.state === 'out-of-use' || openOf(line) === 0) continue;
    if (line.point !== null) {
      add(line.point, line.analysis);
      continue;
    }
    const lastAt = (point: string) =>
      samples.reduce((last, one) => (one.point === point && one.analysis === line.analysis && one.date > last ? one.date : last), '');
    const order = programme.points
      .filter((point) => !closed.has(point))
      .map((point) => ({ point, last: lastAt(point) }))
      .sort((a, b) => (a.last < b.last ? -1 : a.last > b.last ? 1 : 0));
    for (const { point } of order.slice(0, openOf(line))) add(point, line.analysis);
  }
  return [...visits].map(([point, analyses]) => ({ point, analyses }));
}

/** What a point lacks of any programme: behind an even spread, or to be taken. Where points count together, those that would be taken next. */
export function dueAt(
  programmes: readonly Programme[],
  samples: readonly SampleOfRecord[],
  today: string,
  closed: Closed = noneClosed,
): Map<string, 'behind' | 'due'> {
  const found = new Map<string, 'behind' | 'due'>();
  for (const programme of programmes) {
    const lines = dueOf(programme, samples, today, closed);
    for (const { point, analyses } of visitsFor(programme, lines, samples, closed)) {
      const isBehind = lines.some(
        (line) => line.state === 'behind' && analyses.includes(line.analysis) && (line.point === null || line.point === point),
      );
      if (isBehind) found.set(point, 'behind');
      else if (!found.has(point)) found.set(point, 'due');
    }
  }
  return found;
}
