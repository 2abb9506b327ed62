import type { Finding } from '../findings/index.ts';
import { distance, type Point } from '../registers/index.ts';
import { day } from '../time/index.ts';
import type { LevelOfRecord } from './endpoints.ts';
import { middle } from './expected.ts';
import type { Tolerances } from './tables/tolerances.ts';

type Level = Pick<LevelOfRecord, 'at' | 'measuringPoint' | 'depth'>;

/** A well near by with its levels at rest, oldest first. */
export interface Beside {
  id: string;
  name: string;
  /** m. */
  away: number;
  levels: LevelOfRecord[];
}

/** Wells further away than this, in m, are no neighbours; so many of the nearest are looked at. Common practice. */
const nearBy = 5000;
const mostBeside = 3;
/** Two wells are read at the same time when no more than this lies between, in ms: the days of one round. */
const sameTime = 7 * day;
/** Fewer steps that both wells made tell nothing of how they move together. */
const enoughSteps = 5;
/** A step may be so many robust standard deviations from how both have moved. */
const mayDiffer = 4;

/** The nearest wells of a register that have a place and levels at rest. `levelsOf` gives the record of one of them. */
export async function besideOf(
  point: Point,
  points: readonly Point[],
  levelsOf: (id: string) => Promise<readonly LevelOfRecord[]>,
): Promise<Beside[]> {
  const { position } = point;
  if (!position) return [];
  const near = points
    .flatMap((one) => {
      if (one.id === point.id || one.type !== 'well' || !one.position) return [];
      const away = distance(position, one.position);
      return away <= nearBy ? [{ id: one.id, name: one.name, away }] : [];
    })
    .sort((a, b) => a.away - b.away);
  const found: Beside[] = [];
  for (const one of near) {
    if (found.length === mostBeside) break;
    const levels = (await levelsOf(one.id)).filter(({ water }) => water === 'static');
    if (levels.length > 0) found.push({ ...one, levels });
  }
  return found;
}

/** The level nearest in time to a moment, of those read at the same time. */
function levelAbout(levels: readonly Level[], at: number, mark?: string): Level | null {
  const near = levels.filter((one) => Math.abs(one.at - at) <= sameTime && (mark === undefined || one.measuringPoint === mark));
  return near.reduce<Level | null>((best, one) => (best === null || Math.abs(one.at - at) < Math.abs(best.at - at) ? one : best), null);
}

/** How far, in m, a well went down between two moments; null where it was not read about both. */
function wentDown(levels: readonly Level[], from: number, to: number): number | null {
  const now = levelAbout(levels, to);
  const before = now && levelAbout(levels, from, now.measuringPoint);
  return now && before && now !== before ? now.depth - before.depth : null;
}

/** How much further down this well went than another, at each step that both were read at. */
function stepsApart(own: readonly Level[], other: readonly Level[]): number[] {
  return own.slice(1).flatMap((level, place) => {
    const before = own[place]!;
    if (before.measuringPoint !== level.measuringPoint) return [];
    const by = wentDown(other, before.at, level.at);
    return by === null ? [] : [level.depth - before.depth - by];
  });
}

/** A level that is judged, with what its well had last at the same mark. */
interface Judged {
  depth: number;
  at: number;
  last: Level;
  /** Levels at rest at the same mark, oldest first. */
  record: readonly Level[];
}

/** What the wells near by did in the time in which a level moved so far that it is asked about. */
export function besideJump({ depth, at, last }: Judged, beside: readonly Beside[]): Finding[] {
  const by = depth - last.depth;
  return beside.flatMap(({ name, away, levels }) => {
    const theirs = wentDown(levels, last.at, at);
    if (theirs === null) return [];
    const isToo = Math.sign(theirs) === Math.sign(by) && Math.abs(theirs) >= Math.abs(by) / 2;
    return [{ code: isToo ? 'beside-too' : 'beside-not', severity: 'note' as const, field: 'depth', data: { name, away, by: theirs } }];
  });
}

/**
 * Asks about a level that its own record lets pass, where it did not move as it has always moved together with the wells near by: every
 * one of them that tells something has to say so.
 */
export function unlikeBeside({ depth, at, last, record }: Judged, beside: readonly Beside[], { jump }: Tolerances): Finding[] {
  const told = beside.flatMap(({ name, levels }) => {
    const theirs = wentDown(levels, last.at, at);
    const apart = stepsApart(record, levels);
    if (theirs === null || apart.length < enoughSteps) return [];
    const usual = middle(apart);
    const spread = 1.4826 * middle(apart.map((one) => Math.abs(one - usual)));
    const off = depth - last.depth - theirs - usual;
    return [{ name, theirs, off, isOdd: Math.abs(off) > Math.max(jump.least / 2, mayDiffer * spread) }];
  });
  if (told.length === 0 || !told.every(({ isOdd }) => isOdd)) return [];
  const { name, theirs, off } = told[0]!;
  return [{ code: 'unlike-beside', severity: 'question', field: 'depth', data: { name, theirs, by: depth - last.depth, off } }];
}
