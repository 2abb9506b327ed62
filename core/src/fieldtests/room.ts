import { misfit, type Entry, type Misfit, type Room } from '../book/index.ts';
import { inOwnUnit, parameter, type ParameterId } from '../parameters/index.ts';
import { isShut, kindReadiness, type PrepareBook } from '../prepare/index.ts';
import { originOf, type Point } from '../registers/index.ts';
import type { RunningClock } from '../tap/index.ts';
import { localDate, millis, minute, second } from '../time/index.ts';
import { readNumber } from '../units/index.ts';
import { testBegun, testDropped, testRead, type Kit, type Shown } from './entries.ts';
import { isFreeAboveTotal, questionTest, saturationOf, tell, type Beside, type Told } from './judge.ts';
import { hasClock, method, type MethodId } from './methods.ts';
import type { z } from 'zod';

/** Why less may be believed of a test, as a code with its words' data. */
export interface Doubt {
  code: 'otherwise' | 'expired' | 'too-early' | 'too-late' | 'unchecked' | 'by-eye' | 'free-above-total';
  says?: string;
}

/** A test as it stands. */
export interface FieldTest {
  /** The entry that began it, or that read it where nothing was waited for. */
  id: string;
  method: MethodId;
  instrument: string | null;
  lot: { id?: string | undefined; lot: string } | null;
  parts: number;
  /** The kit that it is made with; null where the method has a chart of its own, or none. */
  kit: Kit | null;
  /** When its reagent went in (ms); null where there is none. */
  begunAt: number | null;
  readAt: number | null;
  /** The entry that read it. */
  entry: string | null;
  shown: Shown | null;
  told: Told | null;
  /** Of oxygen: the part of what air gives, where the temperature was said. */
  saturation: number | null;
  doubts: readonly Doubt[];
  kept: string | null;
  dropped: string | null;
}

export type FieldTestsBook = readonly FieldTest[];

export interface FieldTestsAround {
  point: Point;
  prepare: PrepareBook;
  zone: string;
}

interface FieldTestsView {
  tests: readonly FieldTest[];
}

/** Tests of one water are made within so long of each other. Common practice. */
const together = 30 * minute;

/** The last test of a parameter that tells something, not older than another one allows. */
function lastOf(tests: readonly FieldTest[], id: ParameterId, at: number): FieldTest | null {
  return (
    tests.findLast(
      ({ told, readAt, doubts }) =>
        told?.parameter === id && readAt !== null && at - readAt <= together && !doubts.some(({ code }) => code === 'free-above-total'),
    ) ?? null
  );
}
const otherChlorine = (id: ParameterId): ParameterId | null =>
  id === 'freeChlorine' ? 'totalChlorine' : id === 'totalChlorine' ? 'freeChlorine' : null;

/** What free or total chlorine was told last where the other of the two is read. */
export function otherTold(tests: readonly FieldTest[], id: ParameterId, at: number): Told | null {
  const other = otherChlorine(id);
  return other && (lastOf(tests, other, at)?.told ?? null);
}

/** The test that a reading belongs to: begun, and neither read nor given up. */
const running = (tests: readonly FieldTest[], id: string) =>
  tests.find((test) => test.id === id && test.readAt === null && test.dropped === null) ?? null;

/** How a reading departs from its method's clock, or null. `at` in ms. */
export function departsFrom(test: FieldTest, at: number): 'too-early' | 'too-late' | null {
  const { clock } = method(test.method);
  if (!clock || test.begunAt === null) return null;
  const ran = (at - test.begunAt) / second;
  return ran < clock.least ? 'too-early' : ran > clock.most ? 'too-late' : null;
}

/** Whether what was read is what its method shows, with what it asks for beside it. */
function readingFits(
  by: MethodId,
  test: FieldTest | null,
  { shown, compensation, temperature }: z.infer<typeof testRead.payload>,
): Misfit | null {
  const { beside, name, range } = method(by);
  const chart = chartOf(by, test);
  if ((chart !== undefined) !== (shown.is === 'class')) return misfit('other-reading', 'payload.shown', { name });
  if (shown.is === 'class' && ![shown.from, shown.to].every((one) => chart!.includes(one))) return misfit('no-such-step', 'payload.shown');
  if (shown.is === 'over' && !range) return misfit('no-range', 'payload.shown');
  if (beside === 'compensation' && !compensation) return misfit('say-compensation', 'payload.compensation');
  const isWarmthAsked = beside === 'temperature-and-elevation' || compensation === 'none';
  const isWarmthSaid = temperature !== undefined && readNumber(temperature.text).ok;
  return isWarmthAsked && !isWarmthSaid ? misfit('say-temperature', 'payload.temperature') : null;
}

function readFits(tests: readonly FieldTest[], entry: Entry, { point }: FieldTestsAround): Misfit | null {
  if (!testRead.is(entry)) return null;
  const { test: id, method: by, shown, departure, kept, compensation, temperature, elevation } = entry.payload;
  const test = id === undefined ? null : running(tests, id);
  if (id !== undefined && test?.method !== by) return misfit('no-such-test', 'payload.test');
  if (hasClock(by) && !test) return misfit('reagent-first', 'payload.test');
  const unfit = readingFits(by, test, entry.payload);
  if (unfit) return unfit;
  const departs = test && departsFrom(test, millis(entry.at));
  if (departs && !departure) return misfit(departs, 'payload.departure');
  const asked = questionTest(
    by,
    shown,
    { parts: test?.parts ?? 1, compensation, temperature, elevation },
    { isRaw: originOf(point) === 'raw', other: otherTold(tests, method(by).parameter, millis(entry.at)) },
  );
  const stop = asked.find(({ severity }) => severity === 'stop');
  if (stop) return misfit('test-cannot-be', 'payload.shown', { ...stop.data, finding: stop.code });
  const question = asked.find(({ severity }) => severity === 'question');
  return question && !kept ? misfit('test-asked', 'payload.kept', { ...question.data, finding: question.code }) : null;
}

/** The steps with which a test is compared, lowest first: of its kit, else of its method; undefined where it has no chart. */
export function chartOf(by: MethodId, test: Pick<FieldTest, 'kit'> | null): readonly number[] | undefined {
  const { chart, parameter: of } = method(by);
  return test?.kit ? test.kit.shades.map(({ value }) => inOwnUnit(of, value)).sort((a, b) => a - b) : chart;
}

/** With an instrument that was to be checked and was not, or failed, what is read at a moment (ms) proves nothing. */
function isUnchecked(by: MethodId, at: number, { prepare, zone }: FieldTestsAround, hasInstrument: boolean): boolean {
  const { instrument, parameter: of } = method(by);
  if (instrument === null) return false;
  const readiness = kindReadiness(instrument, [of], prepare, { at, zone });
  return readiness === 'overridden' || isShut(instrument, readiness, hasInstrument);
}

/** A test that was not begun before it was read. */
const notBegun: Pick<FieldTest, 'instrument' | 'lot' | 'parts' | 'kit' | 'begunAt' | 'doubts'> = {
  instrument: null,
  lot: null,
  parts: 1,
  kit: null,
  begunAt: null,
  doubts: [],
};

function read(tests: readonly FieldTest[], entry: Entry, around: FieldTestsAround): FieldTest | null {
  if (!testRead.is(entry)) return null;
  const { test: id, method: by, shown, departure, kept, instrument, compensation, temperature, elevation } = entry.payload;
  const at = millis(entry.at);
  const begun = id === undefined ? null : running(tests, id);
  const { parts, lot, kit, begunAt, doubts, instrument: before } = begun ?? notBegun;
  const beside: Beside = { parts, compensation, temperature, elevation };
  const told = tell(by, shown, beside);
  const departed = begun && departsFrom(begun, at);
  const isOver = told !== null && isFreeAboveTotal(told, otherTold(tests, told.parameter, at));
  const used = instrument?.name ?? before;
  return {
    id: begun?.id ?? entry.id,
    method: by,
    instrument: used,
    lot,
    parts,
    kit,
    begunAt,
    readAt: at,
    entry: entry.id,
    shown,
    told,
    saturation: told?.parameter === 'oxygen' ? saturationOf(told, beside) : null,
    doubts: [
      ...doubts,
      ...(departed ? [{ code: departed, says: departure ?? '' } as const] : []),
      ...(method(by).chart ? [{ code: 'by-eye' } as const] : []),
      ...(isUnchecked(by, at, around, used !== null) ? [{ code: 'unchecked' } as const] : []),
      ...(isOver ? [{ code: 'free-above-total' } as const] : []),
    ],
    kept: kept ?? null,
    dropped: null,
  };
}

export const fieldTestsRoom: Room<FieldTestsBook, FieldTestsAround, FieldTestsView, Omit<RunningClock, 'procedure'>> = {
  kinds: [testBegun, testRead, testDropped],
  empty: [],
  waiting: ({ tests }) =>
    tests.flatMap((test) => {
      const { clock, name } = method(test.method);
      if (!clock || test.begunAt === null || test.readAt !== null || test.dropped !== null) return [];
      return [{ say: `Read: ${name}`, from: test.begunAt, least: clock.least, most: clock.most }];
    }),
  fits: (book, entry, around) => {
    if (testRead.is(entry)) return readFits(book, entry, around);
    if (testDropped.is(entry)) return running(book, entry.payload.test) ? null : misfit('no-such-test', 'payload.test');
    if (!testBegun.is(entry)) return null;
    const { method: by, lot, otherwise } = entry.payload;
    if (!hasClock(by)) return misfit('no-reagent', 'payload.method', { name: method(by).name });
    return lot && lot.expires < localDate(entry.at) && !otherwise ? misfit('lot-expired', 'payload.otherwise', { lot: lot.lot }) : null;
  },
  advance: (book, entry, around) => {
    if (testBegun.is(entry)) {
      const { method: by, instrument, lot, parts, kit = null, otherwise } = entry.payload;
      const isExpired = lot !== undefined && lot.expires < localDate(entry.at);
      const begun: FieldTest = {
        id: entry.id,
        method: by,
        instrument: instrument?.name ?? null,
        lot: lot ? { id: lot.id, lot: lot.lot } : null,
        parts,
        kit,
        begunAt: millis(entry.at),
        readAt: null,
        entry: null,
        shown: null,
        told: null,
        saturation: null,
        doubts: otherwise ? [{ code: isExpired ? 'expired' : 'otherwise', says: otherwise }] : [],
        kept: null,
        dropped: null,
      };
      return [...book, begun];
    }
    if (testDropped.is(entry)) {
      const { test: id, reason } = entry.payload;
      return book.map((test) => (test.id === id ? { ...test, dropped: reason } : test));
    }
    const test = read(book, entry, around);
    if (!test) return book;
    // Of a pair that cannot be, nobody knows which of the two is wrong.
    const isOver = test.doubts.some(({ code }) => code === 'free-above-total');
    const other = isOver ? lastOf(book, otherChlorine(test.told!.parameter)!, test.readAt!) : null;
    const others = book
      .filter(({ id }) => id !== test.id)
      .map((one) => (one === other ? { ...one, doubts: [...one.doubts, { code: 'free-above-total' as const }] } : one));
    return [...others, test];
  },
};

/** Whether a test tells something that may be believed as it stands. A doubt of chlorine falls on both of a pair. */
export function isSound({ told, doubts, dropped }: FieldTest): boolean {
  return told !== null && dropped === null && doubts.length === 0;
}

/** Combined chlorine of the last free and total that belong together, in mg/L: what total has over free. Null where there is no such pair. */
export function combinedChlorine(tests: readonly FieldTest[]): { low: number; high: number } | null {
  const total = tests.findLast((test) => test.told?.parameter === 'totalChlorine' && test.dropped === null);
  const free = tests.findLast((test) => test.told?.parameter === 'freeChlorine' && test.dropped === null);
  if (!total?.told || !free?.told || total.readAt === null || free.readAt === null) return null;
  if (![total, free].every(isSound) || Math.abs(total.readAt - free.readAt) > together) return null;
  if (!Number.isFinite(total.told.high) || !Number.isFinite(free.told.high)) return null;
  const round = (value: number) => Math.max(0, Number(value.toFixed(parameter('totalChlorine').decimals + 2)));
  return { low: round(total.told.low - free.told.high), high: round(total.told.high - free.told.low) };
}

/** How many tests of a lot were begun, by the id it has in the register. */
export const usedOf = (tests: readonly FieldTest[], lot: string): number => tests.filter((test) => test.lot?.id === lot).length;
