import { misfit, type Ask, type Entry, type Misfit, type Room } from '../book/index.ts';
import type { AgreedLevel } from '../level/index.ts';
import type { Point } from '../registers/index.ts';
import { advancePurge, emptyPurge, type PurgeBook } from './book.ts';
import {
  flowTimed,
  pumpingLevelRead,
  pumpSwitched,
  purgeDecided,
  purgeEnded,
  purgeReading,
  purgeSetUp,
  type PurgeChoice,
} from './entries.ts';
import { purgeMethod } from './methods/index.ts';
import { pumpedAt, type Pumping } from './pumping/pumped.ts';
import { purgeState, type PurgeState } from './state.ts';
import { millis, second } from '../time/index.ts';

export interface PurgeAround {
  point: Point;
  /** The level as it stands at that time. */
  level: AgreedLevel | null;
}

/** Whether a set has to say how much was pumped: where the method counts it, and flow and time do not tell. `now` in ms. */
export function asksTotal({ setUp, pumping }: { setUp: { chosen: PurgeChoice } | null; pumping: Pumping }, now: number): boolean {
  return setUp !== null && purgeMethod(setUp.chosen.method).counts && pumpedAt(pumping, now) === null;
}

// What lies around is taken one by one: the level is worked out only where it matters.
function fits(book: PurgeBook, entry: Entry, around: PurgeAround): Misfit | null {
  const { point } = around;
  if (point.type !== 'well') return misfit('no-purge', 'visit');
  if (purgeSetUp.is(entry)) {
    const method = purgeMethod(entry.payload.method);
    if (!method.needsLevel) return null;
    if (!around.level) return misfit('level-first', 'visit');
    // No water column, no volume: a target of nothing would be reached at once.
    return entry.payload.method === 'volumes' && !method.aim(entry.payload, point, around.level)
      ? misfit('no-column', 'payload.bottom')
      : null;
  }
  if (!book.setUp) return misfit('set-up-first', 'visit');
  if (book.ended) return misfit('purge-ended', 'visit');
  if (
    purgeReading.is(entry) &&
    !entry.payload.pumped &&
    asksTotal({ setUp: { chosen: book.setUp.chosen }, pumping: book.pumping }, millis(entry.at))
  )
    return misfit('total-unknown', 'payload.pumped');
  if (!purgeEnded.is(entry) || entry.payload.reason) return null;
  return purgeState(book, point, around.level, millis(entry.at)).ready ? null : misfit('ended-early', 'payload.reason');
}

/** What the next step of a purge depends on. */
interface PurgeView {
  analyses: readonly unknown[];
  purge: PurgeState | null;
}

/** The clock of the next set: it runs from the last one. */
export interface PurgeClock {
  code: 'next-set';
  /** When it began (ms) and how many seconds it runs. */
  from: number;
  least: number;
  most: null;
}

function clocks({ purge }: PurgeView): PurgeClock[] {
  if (!purge?.clock || purge.ended || purge.ready) return [];
  const { from, until } = purge.clock;
  return [{ code: 'next-set', from, least: (until - from) / second, most: null }];
}

export const purgeRoom: Room<PurgeBook, PurgeAround, PurgeView, PurgeClock> = {
  // A well without analyses is visited for its level alone.
  next: { purge: ({ analyses, purge }) => (purge && analyses.length > 0 ? askPurge(purge) : null) },
  waiting: clocks,
  kinds: [purgeSetUp, purgeReading, pumpSwitched, flowTimed, pumpingLevelRead, purgeDecided, purgeEnded],
  empty: emptyPurge,
  fits,
  advance: advancePurge,
};

/** What is asked for next of a purge, or null when it has ended. */
function askPurge({ setUp, ended, ready }: PurgeState): Ask | null {
  if (!setUp) return { code: 'set-up-purge' };
  return ended ? null : { code: ready ? 'end-purge' : 'purge-on' };
}
