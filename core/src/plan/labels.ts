import type { LabelStock } from './tables/label-stock.ts';
import { labelStocks } from './tables/label-stock.ts';

export type { LabelStock };
export type LabelStockId = keyof typeof labelStocks;
export const labelStockIds = Object.keys(labelStocks) as [LabelStockId, ...LabelStockId[]];
export const labelStock = (id: LabelStockId): LabelStock => labelStocks[id];

/** A line of a label: how large it is at best and at least, in pt. */
export interface LabelLine {
  text: string;
  size: number;
  least: number;
  isBold?: boolean;
}

/** Lines as they are printed, and what did not fit. */
export interface FittedLabel {
  lines: LabelLine[];
  /** Texts that were left out or cut, the least important first. */
  lost: string[];
  /** Even the identifier does not fit: this label would be wrong. */
  isTooSmall: boolean;
}

/** The width of a text in pt, at a size in pt. */
export type Measure = (text: string, size: number, isBold: boolean) => number;

/** Height of a line, as a part of its size. */
export const lineHeight = 1.2;

const heightOf = (lines: readonly LabelLine[], scale: number) =>
  lines.reduce((sum, { size, least }) => sum + Math.max(least, size * scale) * lineHeight, 0);

/** A text cut to a width, with a sign that it was. */
function cut(text: string, fits: (text: string) => boolean): string {
  for (let length = text.length - 1; length > 0; length -= 1) {
    const short = `${text.slice(0, length).trimEnd()}…`;
    if (fits(short)) return short;
  }
  return '';
}

/**
 * Fits lines, the most important first, into a box in pt. They are made smaller, down to the least that can be read; then the least
 * important ones are left out; a line that is too wide is cut at its end. The first line is never cut: without it the label is wrong.
 */
export function fitLabel(lines: readonly LabelLine[], box: { width: number; height: number }, measure: Measure): FittedLabel {
  const kept = lines.filter(({ text }) => text !== '');
  const lost: string[] = [];
  while (kept.length > 1 && heightOf(kept, 0) > box.height) lost.push(kept.pop()!.text);
  const scales = Array.from({ length: 21 }, (_, step) => 1 - step / 20);
  const scale = scales.find((one) => heightOf(kept, one) <= box.height) ?? 0;
  const [first] = kept;
  const fitted = kept.map((line): LabelLine => {
    const isBold = line.isBold ?? false;
    const fits = (size: number) => (text: string) => measure(text, size, isBold) <= box.width;
    let size = Math.max(line.least, line.size * scale);
    while (size > line.least && !fits(size)(line.text)) size = Math.max(line.least, size - 0.5);
    if (fits(size)(line.text) || line === first) return { ...line, size };
    lost.push(line.text);
    return { ...line, size, text: cut(line.text, fits(size)) };
  });
  const head = fitted[0];
  const isTooSmall =
    head === undefined || measure(head.text, head.size, head.isBold ?? false) > box.width || heightOf(fitted.slice(0, 1), 0) > box.height;
  return { lines: fitted.filter(({ text }) => text !== ''), lost, isTooSmall };
}

/** What stands on the label of a bottle; the time is written by hand. */
export interface BottleLabel {
  id: string;
  date: string;
  initials: string;
  place: string;
  /** What it is for, and what is in it. */
  about: string;
  preservative: string;
}

/** The lines of a label in the order of their importance: identifier, date, initials and time, place, then the rest. */
export function linesOf({ id, date, initials, place, about, preservative }: BottleLabel): LabelLine[] {
  return [
    { text: id, size: 13, least: 7, isBold: true },
    { text: date || '____ - __ - __', size: 10, least: 6 },
    { text: `${initials || '______'}   at ____ : ____`, size: 10, least: 7 },
    { text: place, size: 9, least: 6 },
    { text: about, size: 8, least: 5.5 },
    { text: preservative, size: 8, least: 5.5 },
  ];
}

/** A place on a page, in mm from its corner. */
export interface LabelPlace {
  page: number;
  left: number;
  top: number;
}

/** Where labels come to lie on their sheets, row by row; the first `used` places of the first sheet are empty already. */
export function placeLabels(count: number, { columns, rows, from, pitch }: LabelStock, used = 0): LabelPlace[] {
  const each = columns * rows;
  return Array.from({ length: count }, (_, index) => {
    const place = index + Math.min(Math.max(0, Math.floor(used)), each - 1);
    const within = place % each;
    return {
      page: Math.floor(place / each),
      left: from.left + (within % columns) * pitch.across,
      top: from.top + Math.floor(within / columns) * pitch.down,
    };
  });
}
