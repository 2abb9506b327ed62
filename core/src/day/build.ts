import type { BottleTable } from '../bottles/index.ts';
import type { Finding } from '../findings/index.ts';
import {
  bottlesAt,
  labellingOf,
  labPlace,
  nthVisit,
  questionFirstWater,
  questionLab,
  questionOutOfUse,
  questionSurface,
  startPlace,
  type DaySettings,
  type PlannedExtra,
  type PlannedVisit,
} from '../plan/index.ts';
import { distance, type Lab, type Point, type Position } from '../registers/index.ts';
import { protocolsFor } from '../tap/index.ts';
import { atWall, wallTime } from '../time/index.ts';
import { daylightOn } from './daylight.ts';
import { doorOn } from './doors.ts';
import { clocksBefore, stopWork, type StopWork } from './minutes.ts';
import { inBoth, type DayProblem, type DayStop, type Span } from './solve/problem.ts';
import { usual } from './tables/usual.ts';

/** What of a round makes a day. */
export interface DayOf {
  date: string;
  zone: string;
  code: string;
  visits: readonly PlannedVisit[];
  lab: Lab | null;
  table: BottleTable;
  extras: readonly PlannedExtra[];
  /** The last level at rest of a point, in m below the mark, by its id. */
  depths: ReadonlyMap<string, number>;
}

/** A day as it is sought, with what its stops take, and what is odd about it. */
export interface BuiltDay {
  problem: DayProblem;
  /** What the rows of its travel are: points, where the day begins, the doors. */
  places: readonly string[];
  works: readonly StopWork[];
  findings: readonly Finding[];
}

/** Settings of a day that nobody has set yet. */
export const usualSettings: DaySettings = { start: '08:00', speed: 40 / 3.6, roadFactor: 1.4, lunch: 1800 };

const minute = 60_000;

/** Places nearer than this (m) are one: nobody moves the van. */
const sameSpot = 40;

/** A drive from place to place (ms): the straight line, made longer as roads are, at the usual speed, and parking. */
export function driveLasts(from: Position | undefined, to: Position | undefined, { speed, roadFactor }: DaySettings): number {
  if (!from || !to) return usual.unknownDrive * minute;
  const metres = distance(from, to);
  return metres < sameSpot ? 0 : Math.ceil((metres * roadFactor) / speed / 60) * minute + usual.parking * minute;
}

/** When somebody lets one in at a point that day; at any time where nobody has to. */
function windowsOn({ contacts = [] }: Point, { date, zone }: DayOf): Span[] {
  const { weekday } = wallTime(atWall(date, '12:00', zone), zone);
  const all = contacts.flatMap(({ windows = [] }) => windows);
  if (all.length === 0) return [];
  const today = all.filter(({ weekdays = [] }) => weekdays.length === 0 || weekdays.includes(weekday));
  const spans = today.map(({ from, to }) => ({ from: atWall(date, from, zone), to: atWall(date, to, zone) }));
  // Nobody is there all day: no work fits.
  return spans.length > 0 ? spans : [{ from: 0, to: 0 }];
}

/** Hours in which the work at a point can be done: somebody lets one in, and by daylight where it is out of doors and that is wanted. */
function hoursAt(point: Point, of: DayOf, { byDaylight }: DaySettings): Span[] {
  const windows = windowsOn(point, of);
  const light = byDaylight && point.building === undefined && point.position ? daylightOn(of.date, point.position, of.zone) : null;
  if (!light) return windows;
  if (windows.length === 0) return [light];
  const both = inBoth(windows, [light]);
  return both.length > 0 ? both : [{ from: 0, to: 0 }];
}

interface Place {
  /** A point, where the day begins, or the lab. */
  id: string;
  position: Position | undefined;
}

const placeOf = (dropOff: string | undefined) => (dropOff === undefined ? labPlace : `${labPlace}: ${dropOff}`);

/** A drive between two places (ms): as it is known, or by the straight line. */
function drive(from: Place, to: Place, settings: DaySettings): number {
  if (from.id === to.id) return 0;
  const known = settings.drives?.find(({ ends }) => ends.includes(from.id) && ends.includes(to.id));
  return known ? Math.round(known.lasts * 1000) : driveLasts(from.position, to.position, settings);
}

/** Whether two points stand in one room of one building. */
const isOneRoom = (one: Point, other: Point) =>
  one.id !== other.id &&
  one.room !== undefined &&
  (['room', 'floor', 'building', 'place'] as const).every((name) => one[name] === other[name]);

/**
 * Clocks of one protocol run together at the taps of one room (ms): whoever goes from one straight to the next waits once, so the
 * work at the next begins so much before the work at the first ends.
 */
function sharedClocks(one: PlannedVisit, next: PlannedVisit): number {
  const shared = protocolsFor(next.analyses, next.point).filter(({ id }) =>
    protocolsFor(one.analyses, one.point).some((other) => other.id === id),
  );
  return shared.reduce((sum, protocol) => sum + clocksBefore(protocol, next.point), 0);
}

/** Wells that are known to be contaminated: at one visit it stands in the register is enough. */
const dirtyWells = (visits: readonly PlannedVisit[]): ReadonlySet<string> =>
  new Set(visits.flatMap(({ point: { id, type, hazards = [] } }) => (type === 'well' && hazards.includes('contaminated') ? [id] : [])));

/** Visits that come before one: earlier ones of its point, and of wells the clean ones before what is contaminated. */
function before(visits: readonly PlannedVisit[], at: number): number[] {
  const { point } = visits[at]!;
  const dirty = dirtyWells(visits);
  return visits.flatMap((other, number) => {
    const isEarlier = other.point.id === point.id && number < at;
    const isCleaner = dirty.has(point.id) && other.point.type === 'well' && !dirty.has(other.point.id);
    return isEarlier || isCleaner ? [number] : [];
  });
}

/** A round's day as a problem to be solved. */
export function buildDay(of: DayOf, settings: DaySettings): BuiltDay {
  const { visits, date, zone, lab } = of;
  const works = visits.map((visit) =>
    stopWork(
      visit,
      bottlesAt(visit, labellingOf(of), of.table, {
        nth: nthVisit(visits, visit.id),
        extras: of.extras.filter((extra) => extra.visit === visit.id),
      }),
      of.table,
      { lab, depth: of.depths.get(visit.point.id) ?? null },
    ),
  );
  const stops = visits.map((visit, number): DayStop => ({
    id: visit.id,
    name: visit.point.name,
    lasts: works[number]!.lasts,
    windows: hoursAt(visit.point, of, settings),
    bottles: works[number]!.bottles,
    after: before(visits, number),
  }));
  const home = settings.from ?? lab?.position;
  const rules = [...new Set(works.flatMap(({ bottles }) => bottles.map(({ rule }) => rule)))];
  const { position: end, ...door } = doorOn(of, rules, settings.at, home);
  const midway = settings.midway && rules.length > 0 ? doorOn(of, rules, settings.midway.at, home) : null;
  const after = visits.findIndex(({ id }) => id === settings.midway?.after);
  // Where nothing is brought to the lab the day ends where it began.
  const places: Place[] = [
    ...visits.map(({ point }) => ({ id: point.id, position: point.position })),
    { id: startPlace, position: home },
    { id: rules.length > 0 ? placeOf(settings.at) : startPlace, position: end },
    ...(midway ? [{ id: placeOf(settings.midway?.at), position: midway.position }] : []),
  ];
  const [opens, closes] = usual.noon;
  const lunch = settings.lunch ? { from: atWall(date, opens, zone), to: atWall(date, closes, zone), lasts: settings.lunch * 1000 } : null;
  return {
    problem: {
      ...door,
      stops,
      travel: places.map((from, row) =>
        places.map((to, column) => {
          const [one, next] = [visits[row], visits[column]];
          return one && next && isOneRoom(one.point, next.point) ? -sharedClocks(one, next) : drive(from, to, settings);
        }),
      ),
      start: atWall(date, settings.start, zone),
      lunch,
      midway: midway && after >= 0 ? { intake: midway.intake, byRule: midway.byRule, reaches: midway.reaches, after } : undefined,
    },
    places: places.map(({ id }) => id),
    works,
    findings: questionDayOf(of),
  };
}

/** What is odd about the visits of a day, whatever its order. */
function questionDayOf({ visits, lab }: DayOf): Finding[] {
  const unknown = (field: string, name: string): Finding => ({
    code: 'no-position',
    severity: 'question',
    field,
    data: { name, minutes: usual.unknownDrive },
  });
  return [
    ...visits.flatMap(({ point }): Finding[] => [...(point.position ? [] : [unknown('visits', point.name)])]),
    ...questionOutOfUse(visits.map(({ point }) => point)),
    ...questionSurface(visits),
    ...questionFirstWater(visits),
    ...questionLab(
      lab,
      visits.flatMap(({ analyses }) => analyses),
    ),
    ...(lab && !lab.position ? [unknown('lab', lab.name)] : []),
  ];
}
