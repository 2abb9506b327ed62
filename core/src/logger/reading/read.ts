import type { Coded } from '../../findings/index.ts';
import { recordedUnits, type Recording, type SeriesKind } from '../../registers/index.ts';
import { second } from '../../time/index.ts';
import { readStyled, toBase, unit, type DecimalMark } from '../../units/index.ts';
import { instants } from './stamps.ts';
import { eachRow, layoutOf, type LoggerRefusal } from './table.ts';

/** So many places that were not read are named. */
const mostNamed = 8;

/** Values that can be, in base units: beyond them it is an error code or a slip. Air at 5500 m has 50 kPa. */
const possible: Readonly<Record<SeriesKind, readonly [number, number]>> = {
  air: [50e3, 110e3],
  absolute: [45e3, 20e6],
  gauge: [-10e3, 20e6],
  head: [-2, 2000],
  depth: [-50, 2000],
  cold: [-60, 90],
};

/** A place of the file that was not read. */
export interface LoggerUnread extends Coded {
  line: number;
  cell: string;
}

/** Readings through time, oldest first, each moment once. */
export interface Recorded {
  /** ms since 1970 in UTC. */
  times: Float64Array;
  /** Pa, m or °C. */
  values: Float64Array;
  /** Rows of the file, and those that were not read, by code; the first of them with their places. */
  rows: number;
  unread: { count: number; byCode: Record<string, number>; first: LoggerUnread[] };
  /** Rows whose moment lies before that of the row above, and the line of the first. */
  back: { count: number; line: number } | null;
}

const raised = /^(.*\d[.,]?)e([-+]?\d{1,3})$/i;

/** The number in a cell by the mark that was said; NaN where it holds none. */
export function numberIn(cell: string, decimals: DecimalMark): number {
  const text = cell.trim();
  const [, mantissa = text, power = '0'] = raised.exec(text) ?? [];
  const reading = readStyled(mantissa, { decimals, isSaid: true });
  if (!reading.ok) return Number.NaN;
  // As a computer would read it: times a power of ten a number is not always what was written.
  return power === '0' ? reading.value : Number(`${reading.value}e${power}`);
}

/** A list of numbers that grows. */
class Numbers {
  private held = new Float64Array(1 << 12);
  length = 0;
  push(value: number): void {
    if (this.length === this.held.length) {
      const wider = new Float64Array(this.held.length * 2);
      wider.set(this.held);
      this.held = wider;
    }
    this.held[this.length++] = value;
  }
  done = (): Float64Array => this.held.slice(0, this.length);
}

/**
 * Reads a file of a logger in the one way that was said. What cannot be read so is counted with its place and left out; of two readings at
 * one moment that differ, both are.
 */
export function readRecording(text: string, recording: Recording, shows: SeriesKind): { recorded: Recorded } | { refusal: LoggerRefusal } {
  const found = layoutOf(text);
  if ('refusal' in found) return found;
  if (unit(recording.unit).dimension !== recordedUnits(shows)) throw new RangeError(`${recording.unit} is no unit of what it shows`);
  const unread: Recorded['unread'] = { count: 0, byCode: {}, first: [] };
  const refuse = (code: string, line: number, cell: string) => {
    unread.count += 1;
    unread.byCode[code] = (unread.byCode[code] ?? 0) + 1;
    if (unread.first.length < mostNamed) unread.first.push({ code, line, cell: cell.slice(0, 40) });
  };
  const { date, time, order, clock, ahead, value, decimals, unit: of } = recording;
  const instant = instants(order, clock);
  const [least, most] = possible[shows];
  const [times, values, lines] = [new Numbers(), new Numbers(), new Numbers()];
  let rows = 0;
  let before = -Infinity;
  let back: Recorded['back'] = null;
  /** The hour that autumn repeats: its rows wait until it is known whether it came twice. */
  let pending: { first: number; second: number; value: number; line: number; cell: string }[] = [];
  const take = (at: number, base: number, line: number) => {
    if (at < before) back = { count: (back?.count ?? 0) + 1, line: back?.line ?? line };
    before = at;
    times.push(at - ahead * second);
    values.push(base);
    lines.push(line);
  };
  const settle = () => {
    const [waiting, turn] = [pending, turnOf(pending)];
    pending = [];
    for (const [place, one] of waiting.entries())
      if (turn === null) refuse('hour-twice', one.line, one.cell);
      else take(place < turn ? one.first : one.second, one.value, one.line);
  };
  const refusal = eachRow(text, found.layout, (cells, line) => {
    rows += 1;
    const stamp = time === undefined ? (cells[date] ?? '') : `${cells[date] ?? ''} ${(cells[time] ?? '').trim()}`;
    const when = instant(stamp);
    if ('code' in when) return refuse(when.code, line, stamp);
    const cell = cells[value] ?? '';
    const number = numberIn(cell, decimals);
    if (Number.isNaN(number)) return refuse(cell.trim() === '' ? 'no-value' : 'no-number', line, cell);
    const base = toBase(number, of);
    if (!(base >= least && base <= most)) return refuse('impossible', line, cell);
    if ('first' in when) pending.push({ ...when, value: base, line, cell: stamp });
    else {
      if (pending.length > 0) settle();
      take(when.at, base, line);
    }
  });
  if (refusal) return { refusal };
  settle();
  const lineOf = lines.done();
  const once = inOrderOnce(times.done(), values.done(), (place) => refuse('differs-at-one-moment', lineOf[place]!, ''));
  return { recorded: { ...once, rows, unread, back } };
}

/** Where the repeated hour begins anew among its rows; null where they do not show it. */
function turnOf(rows: readonly { first: number }[]): number | null {
  const turns = rows.flatMap(({ first }, place) => (place > 0 && first <= rows[place - 1]!.first ? [place] : []));
  return turns.length === 1 ? turns[0]! : null;
}

/** In the order of time, each moment once; of readings at one moment that differ, none. */
function inOrderOnce(times: Float64Array, values: Float64Array, differs: (place: number) => void): Pick<Recorded, 'times' | 'values'> {
  const places = Uint32Array.from(times, (_, place) => place);
  const isOrdered = times.every((at, place) => place === 0 || at >= times[place - 1]!);
  if (!isOrdered) places.sort((a, b) => times[a]! - times[b]! || a - b);
  const kept = new Numbers();
  for (let i = 0; i < places.length;) {
    let j = i + 1;
    while (j < places.length && times[places[j]!] === times[places[i]!]) j++;
    const alike = places.subarray(i, j).every((place) => values[place] === values[places[i]!]);
    if (alike) kept.push(places[i]!);
    else for (const place of places.subarray(i, j)) differs(place);
    i = j;
  }
  const all = kept.done();
  return { times: Float64Array.from(all, (place) => times[place]!), values: Float64Array.from(all, (place) => values[place]!) };
}
