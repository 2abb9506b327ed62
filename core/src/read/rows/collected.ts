import type { BottleAtLab } from '../at-lab.ts';
import { reader, type Reader, type RowContext } from './context.ts';
import type { TableRow, Unread } from '../shape/table.ts';

/** A time of collection to the minute that is another point's and not this one's: the lab may have changed two samples. */
export function swapped(
  { cell, fail }: Reader,
  { label, bottle }: { label: string; bottle: BottleAtLab },
  { filledAt, words, mapping }: RowContext,
): Unread | null {
  const time = words.time(cell('collectedTime')) ?? words.time(cell('collected'));
  const days = words.days(cell('collected'));
  if (!time || !bottle.filledTime || bottle.filledTime === time || (days.length > 0 && !days.includes(bottle.filledOn))) return null;
  const said = mapping.labels;
  if (said && Object.hasOwn(said, cell('sample'))) return null;
  const same = filledAt.get(`${bottle.filledOn} ${time}`) ?? [];
  const other = same.find(([, one]) => one.visit !== bottle.visit);
  if (!other || same.some(([, one]) => one.visit === bottle.visit)) return null;
  return fail('collected', 'swapped', { label: other[0], own: label });
}

/** Where the day or the time of collection in a row is another than the book's; an empty cell says nothing. */
export function doubtCollected(row: TableRow, { mapping, words, bottles }: RowContext, label: string): Unread | null {
  const { cell, fail } = reader(row, mapping);
  const { filledOn, filledTime } = bottles.get(label)!;
  const written = cell('collected');
  if (written !== '' && filledOn !== '' && !words.days(written).includes(filledOn))
    return fail('collected', 'other-day', { day: filledOn });
  const time = words.time(cell('collectedTime')) ?? words.time(written);
  if (!time || !filledTime || time === filledTime) return null;
  return fail(cell('collectedTime') === '' ? 'collected' : 'collectedTime', 'other-time', { time: filledTime });
}
