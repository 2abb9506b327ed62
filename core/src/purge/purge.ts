import { misfit, Trail, type Ask, type Entry, type Misfit, type Room } from '../book/index.ts';
import type { Finding } from '../findings/index.ts';
import type { AgreedLevel } from '../level/index.ts';
import { inOwnUnit, type ParameterId } from '../parameters/index.ts';
import { bottomBelow, type Point, type WellPoint } from '../registers/index.ts';
import { millis } from '../time/index.ts';
import { base, showNumber, type Typed } from '../units/index.ts';
import type { Computed } from '../working/index.ts';
import { criteria, type Criterion } from './criteria.ts';
import { purgeEnded, purgeReading, purgeSetUp, type ProbeParameter } from './entries.ts';
import { judgeStability, type ReadingSet, type Stability } from './stability.ts';
import { casingVolume, waterColumn } from './volume.ts';

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
  insideDiameter: number;
  insideDiameterTyped: Typed;
  pipe?: string;
  volumes: number;
  /** Name of the criterion's edition, and the criterion, null where this copy of the product does not have it. */
  criterion: string;
  rule: Criterion | null;
  parameters: ProbeParameter[];
  column: Computed;
  oneVolume: Computed;
  target: Computed;
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
  setUp: { entry: string; at: number; chosen: (typeof purgeSetUp)['payload']['_output'] } | null;
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

/** `volumes` times one volume, in m³. */
export function purgeTarget(one: Computed, volumes: number): Computed {
  const value = one.value * volumes;
  return {
    value,
    unit: 'm3',
    working: {
      formula: 'to remove = volumes · one volume',
      inputs: [
        { symbol: 'n', name: 'volumes', value: volumes, unit: '1', decimals: 0 },
        { symbol: 'V', name: 'one volume', value: one.value * 1000, unit: 'L', decimals: 2 },
      ],
      steps: [...one.working.steps, `${volumes} · ${showNumber(one.value * 1000, 2)} L = ${showNumber(value * 1000, 1)} L`],
      source: 'Three or more casing volumes: US EPA Region 4, groundwater sampling procedure; common practice',
    },
  };
}

function setUpState(book: PurgeBook, point: WellPoint, level: AgreedLevel | null): PurgeSetUp | null {
  const mark = point.well.measuringPoints.find((candidate) => candidate.name === level?.measuringPoint);
  if (!book.setUp || !level || !mark) return null;
  const { entry, at, chosen } = book.setUp;
  const column = waterColumn({ bottom: bottomBelow(mark, point.well), depth: level.depth });
  const oneVolume = casingVolume({ insideDiameter: base(chosen.insideDiameter), column: Math.max(0, column.value) });
  return {
    entry,
    at,
    insideDiameter: base(chosen.insideDiameter),
    insideDiameterTyped: chosen.insideDiameter,
    ...(chosen.pipe ? { pipe: chosen.pipe } : {}),
    volumes: chosen.volumes,
    criterion: chosen.criterion,
    rule: criteria.find(chosen.criterion),
    parameters: chosen.parameters,
    column,
    oneVolume,
    target: purgeTarget(oneVolume, chosen.volumes),
  };
}

function questions(book: PurgeBook, setUp: PurgeSetUp | null, stability: Stability | null): Finding[] {
  const findings = book.fell.all().map((set): Finding => ({
    code: 'total-fell',
    severity: 'question',
    about: set,
    message: 'The pumped total is less than at the reading before.',
    advice: 'The total counts from the start of the purge. Correct the one that is wrong.',
  }));
  if (setUp && !setUp.rule) {
    findings.push({
      code: 'criterion-unknown',
      severity: 'stop',
      message: `The stability criterion ${setUp.criterion} is not known to this copy of Fonte: nothing is judged by it.`,
      advice: 'Update Fonte, or change the set-up to a criterion that it has.',
    });
  }
  const over = setUp && setUp.oneVolume.value > 0 && (book.sets.at(-1)?.pumped ?? 0) / setUp.oneVolume.value >= 5;
  if (over && !stability?.stable) {
    findings.push({
      code: 'five-volumes',
      severity: 'question',
      message: 'Five volumes are out and the readings still move.',
      advice: 'Decide whether to sample, and say so when you end the purge.',
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

/** The purge of one visit by casing volumes, against the level that stands. */
export function purgeState(book: PurgeBook, point: WellPoint, level: AgreedLevel | null): PurgeState {
  const setUp = setUpState(book, point, level);
  const stability = setUp?.rule ? judgeStability(setUp.rule, readingSets(book.sets.last(setUp.rule.sets)), setUp.parameters) : null;
  return {
    setUp,
    get sets() {
      return book.sets.all();
    },
    count: book.sets.length,
    setsFrom: (place) => book.sets.last(Math.max(0, book.sets.length - place)),
    pumped: book.pumped,
    stability,
    volumesDone: setUp && setUp.oneVolume.value > 0 ? book.pumped / setUp.oneVolume.value : 0,
    drawdown: level && book.lowest !== null ? book.lowest - level.depth : null,
    pumpingLevel: book.pumpingLevel,
    findings: questions(book, setUp, stability),
    ready: setUp !== null && book.pumped >= setUp.target.value - 1e-9 && stability?.stable === true,
    ended: book.ended,
  };
}

// What lies around is taken one by one: the level is worked out only where it matters.
function fits(book: PurgeBook, entry: Entry, around: PurgeAround): Misfit | null {
  const { point } = around;
  if (point.type !== 'well') return misfit('no-purge', 'visit');
  if (purgeSetUp.is(entry)) return around.level ? null : misfit('level-first', 'visit');
  if (!book.setUp) return misfit('set-up-first', 'visit');
  if (book.ended) return misfit('purge-ended', 'visit');
  if (!purgeEnded.is(entry) || entry.payload.reason) return null;
  return purgeState(book, point, around.level).ready ? null : misfit('ended-early', 'payload.reason');
}

export const purgeRoom: Room<PurgeBook, PurgeAround> = {
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
export function askPurge({ setUp, ended, ready }: PurgeState): Ask | null {
  if (!setUp) return { code: 'set-up-purge' };
  return ended ? null : { code: ready ? 'end-purge' : 'purge-on' };
}
