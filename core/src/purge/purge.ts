import { misfit, Trail, type Ask, type Entry, type Misfit, type Room } from '../book/index.ts';
import type { Finding } from '../findings/index.ts';
import type { AgreedLevel } from '../level/index.ts';
import { inOwnUnit, parameter, type ParameterId } from '../parameters/index.ts';
import type { Point, WellPoint } from '../registers/index.ts';
import { millis } from '../time/index.ts';
import { base, convert, decimalsOf, type Typed } from '../units/index.ts';
import { criteria, type Criterion } from './criteria.ts';
import { purgeEnded, purgeReading, purgeSetUp, type ProbeParameter, type PurgeChoice } from './entries.ts';
import { purgeMethod, type PurgeAim, type PurgeMethod } from './methods/index.ts';
import { judgeStability, type ReadingSet, type ReadingSteps, type Stability } from './stability.ts';

export interface PurgeSet {
  entry: string;
  at: number;
  /** m³ since the purge began. */
  pumped: number;
  pumpedTyped: Typed;
  values: Partial<Record<ProbeParameter, Typed>>;
  /** m below the mark while pumping. */
  level: number | null;
  levelTyped: Typed | null;
  note?: string;
}

export interface PurgeSetUp {
  entry: string;
  at: number;
  chosen: PurgeChoice;
  method: PurgeMethod;
  /** The criterion, null where this copy of the product does not have its edition. */
  rule: Criterion | null;
  parameters: readonly ProbeParameter[];
  /** What is to be pumped; null where the method does not say. */
  aim: PurgeAim | null;
}

export interface PurgeState {
  setUp: PurgeSetUp | null;
  readonly sets: PurgeSet[];
  count: number;
  /** The sets from a place on, without the cost of listing all. */
  setsFrom: (place: number) => PurgeSet[];
  /** m³. */
  pumped: number;
  /** Volumes removed so far. */
  volumesDone: number;
  /** Lowest level while pumping against the level before, in m; null when none was read. */
  drawdown: number | null;
  /** The latest level while pumping, in m below the mark; null when none was read. */
  pumpingLevel: number | null;
  stability: Stability | null;
  findings: Finding[];
  /** Volume target reached and readings stable. */
  ready: boolean;
  ended: { at: number; entry: string; reason?: string } | null;
}

/** What a book says of the purge of one visit. */
export interface PurgeBook {
  setUp: { entry: string; at: number; chosen: PurgeChoice } | null;
  sets: Trail<PurgeSet>;
  pumped: number;
  lowest: number | null;
  pumpingLevel: number | null;
  /** Sets whose pumped total is less than that of the set before. */
  fell: Trail<string>;
  ended: PurgeState['ended'];
}

export interface PurgeAround {
  point: Point;
  /** The level as it stands at that time. */
  level: AgreedLevel | null;
}

function setUpState(book: PurgeBook, point: WellPoint, level: AgreedLevel | null): PurgeSetUp | null {
  if (!book.setUp) return null;
  const { entry, at, chosen } = book.setUp;
  const method = purgeMethod(chosen.method);
  const aim = method.aim(chosen, point, level);
  // What a method was set up on may be gone since: then it is to be set up anew.
  if (method.needsLevel && !aim) return null;
  return { entry, at, chosen, method, rule: criteria.find(chosen.criterion), parameters: chosen.parameters, aim };
}

function questions(book: PurgeBook, setUp: PurgeSetUp | null, stability: Stability | null): Finding[] {
  const findings = book.fell.all().map((set): Finding => ({
    code: 'total-fell',
    severity: 'question',
    field: set,
  }));
  if (setUp && !setUp.rule) {
    findings.push({
      code: 'criterion-unknown',
      severity: 'stop',
      data: { criterion: setUp.chosen.criterion },
    });
  }
  const one = setUp?.aim?.oneVolume.value ?? 0;
  const over = one > 0 && (book.sets.at(-1)?.pumped ?? 0) / one >= 5;
  if (over && !stability?.stable) {
    findings.push({
      code: 'five-volumes',
      severity: 'question',
      source: 'Common practice',
    });
  }
  return findings;
}

function readingSets(sets: readonly PurgeSet[]): ReadingSet[] {
  return sets.map(
    (set) => Object.fromEntries(Object.entries(set.values).map(([id, typed]) => [id, inOwnUnit(id as ParameterId, typed)])) as ReadingSet,
  );
}

/** The coarsest step in which each parameter was read, as it was typed, in its own unit. */
function readingSteps(sets: readonly PurgeSet[]): ReadingSteps {
  const steps: ReadingSteps = {};
  for (const { values } of sets) {
    for (const [id, typed] of Object.entries(values) as [ProbeParameter, Typed][]) {
      const own = parameter(id).unit;
      const step = convert(10 ** -decimalsOf(typed), typed.unit, own) - convert(0, typed.unit, own);
      steps[id] = Math.max(steps[id] ?? 0, step);
    }
  }
  return steps;
}

/** The purge of one visit by casing volumes, against the level that stands. */
export function purgeState(book: PurgeBook, point: WellPoint, level: AgreedLevel | null): PurgeState {
  const setUp = setUpState(book, point, level);
  const aim = setUp?.aim ?? null;
  const window = setUp?.rule ? book.sets.last(setUp.rule.sets) : [];
  const stability = setUp?.rule ? judgeStability(setUp.rule, readingSets(window), setUp.parameters, readingSteps(window)) : null;
  return {
    setUp,
    get sets() {
      return book.sets.all();
    },
    count: book.sets.length,
    setsFrom: (place) => book.sets.last(Math.max(0, book.sets.length - place)),
    pumped: book.pumped,
    stability,
    volumesDone: aim && aim.oneVolume.value > 0 ? book.pumped / aim.oneVolume.value : 0,
    drawdown: level && book.lowest !== null ? book.lowest - level.depth : null,
    pumpingLevel: book.pumpingLevel,
    findings: questions(book, setUp, stability),
    ready: setUp !== null && (aim === null || book.pumped >= aim.target.value - 1e-9) && stability?.stable === true,
    ended: book.ended,
  };
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
    return method.aim(entry.payload, point, around.level) ? null : misfit('no-column', 'payload.bottom');
  }
  if (!book.setUp) return misfit('set-up-first', 'visit');
  if (book.ended) return misfit('purge-ended', 'visit');
  if (!purgeEnded.is(entry) || entry.payload.reason) return null;
  return purgeState(book, point, around.level).ready ? null : misfit('ended-early', 'payload.reason');
}

/** What the next step of a purge depends on. */
interface PurgeView {
  analyses: readonly unknown[];
  purge: PurgeState | null;
}

export const purgeRoom: Room<PurgeBook, PurgeAround, PurgeView> = {
  // A well without analyses is visited for its level alone.
  next: { purge: ({ analyses, purge }) => (purge && analyses.length > 0 ? askPurge(purge) : null) },
  kinds: [purgeSetUp, purgeReading, purgeEnded],
  empty: { setUp: null, sets: Trail.of(), pumped: 0, lowest: null, pumpingLevel: null, fell: Trail.of(), ended: null },
  fits,
  advance: (book, entry) => {
    const at = millis(entry.at);
    if (purgeSetUp.is(entry)) return { ...book, setUp: { entry: entry.id, at, chosen: entry.payload } };
    if (purgeReading.is(entry)) {
      const { pumped: pumpedTyped, values, level: levelTyped = null, note } = entry.payload;
      const pumped = base(pumpedTyped);
      const level = levelTyped && base(levelTyped);
      const set: PurgeSet = { entry: entry.id, at, pumped, pumpedTyped, values, level, levelTyped };
      if (note) set.note = note;
      // Written out, not spread: there are thousands of these in a long book.
      return {
        setUp: book.setUp,
        ended: book.ended,
        sets: book.sets.with(set),
        pumped: Math.max(book.pumped, pumped),
        lowest: level === null ? book.lowest : Math.max(book.lowest ?? level, level),
        pumpingLevel: level ?? book.pumpingLevel,
        fell: pumped < (book.sets.at(-1)?.pumped ?? 0) ? book.fell.with(entry.id) : book.fell,
      };
    }
    if (!purgeEnded.is(entry)) return book;
    const { reason } = entry.payload;
    return { ...book, ended: { at, entry: entry.id, ...(reason ? { reason } : {}) } };
  },
};

/** What is asked for next of a purge, or null when it has ended. */
function askPurge({ setUp, ended, ready }: PurgeState): Ask | null {
  if (!setUp) return { code: 'set-up-purge' };
  return ended ? null : { code: ready ? 'end-purge' : 'purge-on' };
}
