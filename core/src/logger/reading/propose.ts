import { dateOrders, type DateOrder, type SeriesKind } from '../../registers/index.ts';
import type { DecimalMark, UnitId } from '../../units/index.ts';
import { numberIn } from './read.ts';
import { shownIn } from './stamps.ts';
import { eachRow, layoutOf, type LoggerRefusal } from './table.ts';
import { columnWords, unitWords } from '../tables/words.ts';

/** What a file lets one propose of how it is read. What could be read two ways is null, and asked. */
export interface LoggerLook {
  header: string[];
  sample: string[][];
  rows: number;
  date: number | null;
  time: number | null;
  /** Orders of day, month and year in which every date of the file is one. */
  orders: DateOrder[];
  /** Each moment says how far it is from UTC. */
  isWritten: boolean;
  /** Columns that hold numbers, each with what its name says. */
  columns: { place: number; decimals: DecimalMark | null; unit: UnitId | null; shows: SeriesKind | null }[];
}

const shownRows = 5;
/** So much of a file is shown: columns, and letters of a cell. */
const [shownColumns, shownLetters] = [200, 60];
const shownOf = (cells: readonly string[]) => cells.slice(0, shownColumns).map((cell) => cell.slice(0, shownLetters));
const numeric = /^[-+−]?\d[\d.,]*(e[-+]?\d+)?$/i;

/** Which mark parts decimals, told from all numbers of a column; null where they would all read both ways. */
class Marks {
  private readonly can = { point: true, comma: true };
  private isMarked = false;
  see(cell: string): void {
    const text = cell.trim();
    if (!/[.,]/.test(text)) return;
    this.isMarked = true;
    for (const mark of ['point', 'comma'] as const) if (this.can[mark] && Number.isNaN(numberIn(text, mark))) this.can[mark] = false;
  }
  /** Numbers without any mark read alike by both. */
  get told(): DecimalMark | 'either' | null {
    const { point, comma } = this.can;
    if (!this.isMarked) return 'either';
    if (point !== comma) return point ? 'point' : 'comma';
    return null;
  }
}

/** Looks through a file of a logger: what is where, and what has to be asked. */
export function lookThrough(text: string): { look: LoggerLook } | { refusal: LoggerRefusal } {
  const found = layoutOf(text);
  if ('refusal' in found) return found;
  const { header, sample } = found.layout;
  const first = sample[0]!;
  const isDate = (cell: string) => dateOrders.some((order) => shownIn(cell, order) !== null);
  const isDateOnly = (cell: string) => isDate(cell) && !/\d{1,2}:\d{2}/.test(cell);
  const date = first.findIndex(isDate);
  const time = date >= 0 && isDateOnly(first[date]!) ? first.findIndex((cell, place) => place !== date && /^\d{1,2}:\d{2}/.test(cell)) : -1;
  const numbers = first.flatMap((cell, place) => (place !== date && place !== time && numeric.test(cell) ? [place] : []));
  const marks = new Map(numbers.map((place) => [place, new Marks()]));
  const orders = new Set(dateOrders);
  let [rows, isWritten] = [0, true];
  const refusal = eachRow(text, found.layout, (cells) => {
    rows += 1;
    const stamp = (time < 0 ? cells[date] : `${cells[date] ?? ''} ${(cells[time] ?? '').trim()}`) ?? '';
    const shown = [...orders].map((order) => shownIn(stamp, order));
    // A row that is no date in any order that is left says nothing of the order.
    if (shown.some((one) => one !== null)) {
      for (const [place, order] of [...orders].entries()) if (shown[place] === null) orders.delete(order);
      if (shown.every((one) => one === null || one.written === null)) isWritten = false;
    }
    for (const [place, mark] of marks) if (numeric.test((cells[place] ?? '').trim())) mark.see(cells[place]!);
  });
  if (refusal) return { refusal };
  // A file has one way of writing numbers: one column tells it for those that could be read two ways.
  const told = new Set([...marks.values()].flatMap((mark) => (mark.told === 'point' || mark.told === 'comma' ? [mark.told] : [])));
  const ofFile = told.size === 1 ? [...told][0]! : null;
  const decimalsOf = (mark: Marks['told']) => (mark === 'either' ? (ofFile ?? 'point') : (mark ?? ofFile));
  return {
    look: {
      header: shownOf(header),
      sample: sample.slice(0, shownRows).map(shownOf),
      rows,
      date: date < 0 ? null : date,
      time: time < 0 ? null : time,
      orders: [...orders],
      isWritten: isWritten && rows > 0,
      columns: numbers
        .filter((place) => place < shownColumns)
        .map((place) => ({ place, decimals: decimalsOf(marks.get(place)!.told), ...meantBy(header[place]!) })),
    },
  };
}

/** What the name of a column says of what it holds. */
export function meantBy(name: string): { unit: UnitId | null; shows: SeriesKind | null } {
  const text = name.toLowerCase();
  const unit = unitWords.find(([pattern]) => pattern.test(text))?.[1] ?? null;
  const shows = columnWords.find(([pattern]) => pattern.test(text))?.[1] ?? null;
  return { unit, shows };
}
