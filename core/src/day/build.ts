import type { BottleTable } from '../bottles/index.ts';
import { intakeOn } from '../custody/index.ts';
import type { Finding } from '../findings/index.ts';
import { bottlesAt, nthVisit, type DaySettings, type PlannedExtra, type PlannedVisit } from '../plan/index.ts';
import { distance, type Lab, type Point, type Position } from '../registers/index.ts';
import { atWall, wallTime } from '../time/index.ts';
import { stopWork, type StopWork } from './minutes.ts';
import type { DayProblem, DayStop, Span } from './problem.ts';
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

/** When the lab takes in all that the day brings; until the evening where there is no lab. */
function intakeOf({ date, zone, lab }: DayOf, works: readonly StopWork[]): Span[] {
  const noon = atWall(date, '12:00', zone);
  const rules = new Set(works.flatMap(({ bottles }) => bottles.map(({ rule }) => rule)));
  if (!lab || rules.size === 0) return [{ from: 0, to: atWall(date, usual.evening, zone) }];
  const spans = [...rules].map((rule) => intakeOn(lab, noon, rule === 'bacteria'));
  if (spans.some((span) => span === null)) return [];
  const [from, to] = [Math.max(...spans.map((span) => span!.opens)), Math.min(...spans.map((span) => span!.closes))];
  return from <= to ? [{ from, to }] : [];
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
      bottlesAt(visit, of.code, of.table, {
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
    windows: windowsOn(visit.point, of),
    bottles: works[number]!.bottles,
    after: before(visits, number),
  }));
  const home = settings.from ?? lab?.position;
  // Where nothing is brought to the lab the day ends where it began.
  const isBrought = works.some(({ bottles }) => bottles.length > 0);
  const places = [...visits.map(({ point }) => point.position), home, (isBrought ? lab?.position : undefined) ?? home];
  const travel = places.map((from, row) => places.map((to, column) => (row === column ? 0 : driveLasts(from, to, settings))));
  const [opens, closes] = usual.noon;
  const lunch = settings.lunch ? { from: atWall(date, opens, zone), to: atWall(date, closes, zone), lasts: settings.lunch * 1000 } : null;
  const findings = visits.flatMap(({ point }): Finding[] => [
    ...(point.position
      ? []
      : [{ code: 'no-position', severity: 'question' as const, field: 'visits', data: { name: point.name, minutes: usual.unknownDrive } }]),
    ...(point.outOfUse
      ? [{ code: 'out-of-use', severity: 'stop' as const, field: 'visits', data: { name: point.name, reason: point.outOfUse.reason } }]
      : []),
  ]);
  if (lab && !lab.position)
    findings.push({ code: 'no-position', severity: 'question', field: 'lab', data: { name: lab.name, minutes: usual.unknownDrive } });
  return {
    problem: { stops, travel, start: atWall(date, settings.start, zone), intake: intakeOf(of, works), lunch },
    works,
    findings,
  };
}
