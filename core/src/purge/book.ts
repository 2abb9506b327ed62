import { Trail, type Entry } from '../book/index.ts';
import { millis } from '../time/index.ts';
import { base, type Typed } from '../units/index.ts';
import { flowTimed, pumpingLevelRead, pumpSwitched, purgeDecided, purgeEnded, purgeReading, purgeSetUp } from './entries.ts';
import type { ProbeParameter, PurgeChoice } from './entries.ts';
import { flowOf } from './pumping/flow.ts';
import { marked, notPumping, pumpedAt, switched, timed, type Pumping } from './pumping/pumped.ts';
import { choiceOf, type TroubleId } from './troubles.ts';
import type { z } from 'zod';

export interface PurgeSet {
  entry: string;
  at: number;
  /** m³ since the purge began; by marks, or by flow and time. */
  pumped: number;
  /** What was typed of it; null where flow and time tell it. */
  pumpedTyped: Typed | null;
  values: Partial<Record<ProbeParameter, Typed>>;
  /** m below the mark while pumping. */
  level: number | null;
  levelTyped: Typed | null;
  note?: string;
}

/** A level while pumping or recovering, in m below the mark. */
export interface PumpingLevel {
  entry: string;
  at: number;
  depth: number;
}

export interface FlowTiming {
  entry: string;
  at: number;
  /** m³/s: the mean of its timings. */
  flow: number;
  /** Largest less smallest, as a part of the mean; 0 of a single one. */
  spread: number;
  timings: z.infer<typeof flowTimed.payload>['timings'];
}

/** The pump was put on, stopped, or ran the well dry. */
export interface PumpSwitch {
  entry: string;
  at: number;
  pump: z.infer<typeof pumpSwitched.payload>['pump'];
}

export interface PurgeDecision {
  entry: string;
  at: number;
  trouble: TroubleId;
  choice: string;
  reason: string;
}

type Ended = z.infer<typeof purgeEnded.payload>;

/** What a book says of the purge of one visit. */
export interface PurgeBook {
  setUp: { entry: string; at: number; chosen: PurgeChoice } | null;
  sets: Trail<PurgeSet>;
  /** The greatest total, in m³. */
  pumped: number;
  pumping: Pumping;
  switches: Trail<PumpSwitch>;
  flows: Trail<FlowTiming>;
  levels: Trail<PumpingLevel>;
  lowest: number | null;
  /** Sets whose pumped total is less than that of the set before. */
  fell: Trail<string>;
  /** When the well ran dry, the last time. */
  ranDry: number | null;
  decisions: Trail<PurgeDecision>;
  /** From so many sets on readings count: water stood before, or another came. */
  anewFrom: number;
  ended: ({ at: number; entry: string } & Pick<Ended, 'filling' | 'reason'>) | null;
}

export const emptyPurge: PurgeBook = {
  setUp: null,
  sets: Trail.of(),
  pumped: 0,
  pumping: notPumping,
  switches: Trail.of(),
  flows: Trail.of(),
  levels: Trail.of(),
  lowest: null,
  fell: Trail.of(),
  ranDry: null,
  decisions: Trail.of(),
  anewFrom: 0,
  ended: null,
};

const lower = (lowest: number | null, depth: number) => Math.max(lowest ?? depth, depth);

function withSet(book: PurgeBook, entry: Entry<string, z.infer<typeof purgeReading.payload>>, at: number): PurgeBook {
  const { pumped: pumpedTyped = null, values, level: levelTyped = null, note } = entry.payload;
  const pumped = pumpedTyped ? base(pumpedTyped) : (pumpedAt(book.pumping, at) ?? book.pumped);
  const level = levelTyped && base(levelTyped);
  const set: PurgeSet = { entry: entry.id, at, pumped, pumpedTyped, values, level, levelTyped };
  if (note) set.note = note;
  // Written out, not spread: there are thousands of these in a long book.
  return {
    setUp: book.setUp,
    sets: book.sets.with(set),
    pumped: Math.max(book.pumped, pumped),
    pumping: pumpedTyped ? marked(book.pumping, at, pumped) : book.pumping,
    switches: book.switches,
    flows: book.flows,
    levels: level === null ? book.levels : book.levels.with({ entry: entry.id, at, depth: level }),
    lowest: level === null ? book.lowest : lower(book.lowest, level),
    fell: pumped < (book.sets.at(-1)?.pumped ?? 0) ? book.fell.with(entry.id) : book.fell,
    ranDry: book.ranDry,
    decisions: book.decisions,
    anewFrom: book.anewFrom,
    ended: book.ended,
  };
}

/** The book of a purge after an entry that fits. */
export function advancePurge(book: PurgeBook, entry: Entry): PurgeBook {
  const at = millis(entry.at);
  const { id } = entry;
  if (purgeReading.is(entry)) return withSet(book, entry, at);
  if (purgeSetUp.is(entry)) {
    const { payload: chosen } = entry;
    // What is not purged is over as it is decided; another set-up opens it again.
    const ended =
      chosen.method === 'none' ? { at, entry: id, reason: chosen.reason } : book.setUp?.chosen.method === 'none' ? null : book.ended;
    return { ...book, setUp: { entry: id, at, chosen }, ended };
  }
  if (pumpSwitched.is(entry)) {
    const { pump } = entry.payload;
    const pumping = switched(book.pumping, at, pump === 'on');
    return {
      ...book,
      pumping,
      switches: book.switches.with({ entry: id, at, pump }),
      pumped: Math.max(book.pumped, pumpedAt(pumping, at) ?? 0),
      ranDry: pump === 'ran-dry' ? at : book.ranDry,
    };
  }
  if (flowTimed.is(entry)) {
    const { timings } = entry.payload;
    const { flow, spread } = flowOf(timings.map(({ caught, took }) => ({ volume: base(caught), seconds: base(took) })));
    const pumping = timed(book.pumping, at, flow.value);
    const flows = book.flows.with({ entry: id, at, flow: flow.value, spread, timings });
    return { ...book, pumping, pumped: Math.max(book.pumped, pumpedAt(pumping, at) ?? 0), flows };
  }
  if (pumpingLevelRead.is(entry)) {
    const depth = base(entry.payload.level);
    return { ...book, levels: book.levels.with({ entry: id, at, depth }), lowest: lower(book.lowest, depth) };
  }
  if (purgeDecided.is(entry)) {
    const { trouble, choice, reason } = entry.payload;
    const isAnew = choiceOf(trouble, choice)?.anew === true;
    return {
      ...book,
      decisions: book.decisions.with({ entry: id, at, trouble, choice, reason }),
      anewFrom: isAnew ? book.sets.length : book.anewFrom,
    };
  }
  if (!purgeEnded.is(entry)) return book;
  const { filling, reason } = entry.payload;
  const pumped = Math.max(book.pumped, pumpedAt(book.pumping, at) ?? 0);
  return { ...book, pumped, ended: { at, entry: id, ...(filling ? { filling } : {}), ...(reason ? { reason } : {}) } };
}
