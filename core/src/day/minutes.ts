import { cardAt, type BottleTable } from '../bottles/index.ts';
import { holdingOf } from '../custody/index.ts';
import { firstWaterAt, type PlannedBottle, type PlannedVisit } from '../plan/index.ts';
import { standingWater } from '../purge/index.ts';
import { belowMark, type Lab, type Point } from '../registers/index.ts';
import { protocolsFor, stepsFor, takenBy, type Protocol, type Step } from '../tap/index.ts';
import { hour } from '../time/index.ts';
import { usual } from './tables/usual.ts';
import type { DayBottle } from './solve/problem.ts';

/** What the time at a stop goes into. */
export type PieceCode = 'walk' | 'arrive' | 'level' | 'purge' | 'protocol' | 'fill' | 'leave';

/** A piece of the work at a stop, in ms; `about` names the protocol it is. */
export interface Piece {
  code: PieceCode;
  lasts: number;
  about?: string;
}

/** What a stop takes and what is filled there, worked out from its own clocks. */
export interface StopWork {
  pieces: readonly Piece[];
  lasts: number;
  /** So long nobody uses the outlet before, in ms; 0 where that does not matter. */
  unusedFor: number;
  bottles: readonly (DayBottle & Pick<PlannedBottle, 'rule'>)[];
}

const minutes = (count: number) => count * 60_000;

/** Nobody plans seconds. */
const wholeMinutes = (lasts: number) => Math.ceil(lasts / 60_000) * 60_000;

/**
 * The water that a purge by volumes brings out of a well, in m³; null where the well is not known well enough.
 * @param depth the last level at rest, in m below the mark; null where there is none
 */
export function purgeWater(point: Point, depth: number | null): number | null {
  if (point.type !== 'well' || depth === null) return null;
  const { bottom, insideDiameter, measuringPoints } = point.well;
  const mark = measuringPoints.find(({ until }) => until === undefined) ?? measuringPoints[0]!;
  const below = belowMark(mark, bottom);
  if (below === null || insideDiameter === undefined) return null;
  const one = standingWater(point.well, mark, { insideDiameter, depth, bottom: below });
  return one && usual.volumes * one.value;
}

/** How long a purge takes (ms): three casing volumes at the usual rate, and never less than readings need to hold; the usual time where the well is not known. */
function purgeLasts(point: Point, depth: number | null): number {
  if (point.type !== 'well') return 0;
  const water = purgeWater(point, depth);
  if (water === null) return minutes(usual.purge);
  return Math.max(minutes(usual.leastPurge), minutes((water * 1000) / usual.litresPerMinute));
}

/** The clocks of a protocol at a point up to its bottle, in ms. */
export function clocksBefore(protocol: Protocol, point: Point): number {
  const steps = stepsFor(protocol, point);
  const fill = steps.findIndex(({ act }) => act.type === 'fill');
  return steps.slice(0, fill < 0 ? steps.length : fill).reduce((time, { act }) => time + (act.type === 'clock' ? act.least * 1000 : 0), 0);
}

/** What a protocol takes (ms) at a point up to the bottle and after it: its clocks, and a little for every other step. */
function runLasts(protocol: Protocol, point: Point): { before: number; after: number } {
  const steps = stepsFor(protocol, point);
  const fill = steps.findIndex(({ act }) => act.type === 'fill');
  const sum = (part: readonly Step[]) =>
    part.reduce((time, { act }) => time + (act.type === 'clock' ? act.least * 1000 : minutes(usual.step)), 0);
  const place = fill < 0 ? steps.length : fill;
  return { before: sum(steps.slice(0, place)), after: sum(steps.slice(place + 1)) };
}

/**
 * The work at a stop.
 * @param depth the last level at rest, in m below the mark; null where there is none
 */
export function stopWork(
  visit: PlannedVisit,
  bottles: readonly PlannedBottle[],
  table: BottleTable,
  { lab, depth }: { lab: Lab | null; depth: number | null },
): StopWork {
  const { point } = visit;
  const pieces: Piece[] = [];
  const filled: StopWork['bottles'][number][] = [];
  let time = 0;
  const spend = (code: PieceCode, lasts: number, about?: string) => {
    if (lasts <= 0) return;
    pieces.push({ code, lasts: wholeMinutes(lasts), ...(about === undefined ? {} : { about }) });
    time += wholeMinutes(lasts);
  };
  const fill = (some: readonly PlannedBottle[]) => {
    const each = (bottle: PlannedBottle) => minutes(usual.bottle + (cardAt(table, bottle.rule, point).filter ? usual.filter : 0));
    const from = time;
    spend(
      'fill',
      some.reduce((sum, bottle) => sum + each(bottle), 0),
    );
    some.reduce((at, bottle) => {
      const full = at + each(bottle);
      const { hours } = holdingOf(bottle.rule, cardAt(table, bottle.rule, point), 0, lab);
      filled.push({ id: bottle.id, rule: bottle.rule, filledAfter: full, keeps: hours * hour });
      return full;
    }, from);
  };
  const walk = (point.walk ?? 0) * 1000;
  spend('walk', walk);
  spend('arrive', minutes(usual.arrive));
  if (point.type === 'well') spend('level', minutes(usual.level));
  if (point.type === 'well' && visit.analyses.length > 0) spend('purge', purgeLasts(point, depth));
  const left = new Set(bottles);
  const take = (some: readonly PlannedBottle[]) => {
    for (const bottle of some) left.delete(bottle);
    fill(some);
  };
  // The first water before anything runs.
  const first = firstWaterAt(visit).flatMap(({ analysis }) => table.analyses[analysis]?.bottles ?? []);
  take(bottles.filter(({ rule }) => first.includes(rule)));
  for (const protocol of protocolsFor(visit.analyses, point)) {
    const { before, after } = runLasts(protocol, point);
    spend('protocol', before, protocol.title);
    const rules = takenBy(protocol).flatMap((analysis) => table.analyses[analysis]?.bottles ?? []);
    const own = bottles.filter((bottle) => left.has(bottle) && rules.includes(bottle.rule));
    take(own);
    spend('protocol', after, protocol.title);
  }
  fill([...left]);
  spend('leave', minutes(usual.leave));
  spend('walk', walk);
  const unusedFor = Math.max(0, ...firstWaterAt(visit).map(({ unusedHours }) => unusedHours * hour));
  return { pieces, lasts: time, unusedFor, bottles: filled };
}
