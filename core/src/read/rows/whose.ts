import { parameter, type ParameterId } from '../../parameters/index.ts';
import type { BottleAtLab } from '../at-lab.ts';
import type { LabResult } from '../entries.ts';
import type { TableRow, Unread } from '../shape/table.ts';
import { toConfirm } from './confirm.ts';
import type { Reader, RowContext } from './context.ts';
import { tight, type Whose } from './labels.ts';

const notHeld: Partial<Record<Whose['is'], string>> = { none: 'no-label', unknown: 'unknown-label' };

/** A bottle that a row may belong to, with its label. */
export interface Held {
  label: string;
  bottle: BottleAtLab;
}

/** The bottles that a row may belong to, or why it belongs to none: one, or all of a point that it names. */
export function bottlesOf({ cell, fail }: Reader, { bottles, whose }: RowContext): Held[] | Unread {
  const whoseIs = whose(cell('sample'));
  const held = (labels: readonly string[]) => labels.map((label) => ({ label, bottle: bottles.get(label)! }));
  if (whoseIs.is === 'ours' || whoseIs.is === 'point') {
    const all = held(whoseIs.is === 'ours' ? [whoseIs.label] : whoseIs.labels);
    const there = all.filter(({ bottle }) => !bottle.isElsewhere);
    return there.length > 0 ? there : fail('sample', 'not-at-lab');
  }
  if (whoseIs.is === 'near') return fail('sample', 'near-label', { labels: whoseIs.labels.slice(0, 6).join(', ') });
  if (whoseIs.is === 'quality') return fail('sample', 'quality');
  if (whoseIs.is === 'other') return fail('sample', 'other-sample');
  // A line without a result and without a bottle of ours is a remark, or a line of units.
  const isEmpty = cell('result') === '' && cell('qualifier') === '';
  return fail('sample', isEmpty ? 'note' : notHeld[whoseIs.is]!);
}

/**
 * Of the bottles of a point, the one that a result is of: those that may bring the parameter, in the fraction that is said; first the one that
 * was filled for it.
 */
export function bottleFor(held: readonly Held[], id: ParameterId, fraction: LabResult['fraction'] | null): Held | null {
  const may = held.filter(({ bottle }) => bottle.parameters.includes(id));
  const isOf = ({ bottle }: Held) => !fraction || !parameter(id).isBound || !bottle.fraction || bottle.fraction === fraction;
  const fits = may.filter(isOf);
  const of = fits.length > 0 ? fits : may;
  return of.find(({ bottle }) => (bottle.asked ?? bottle.parameters).includes(id)) ?? of[0] ?? null;
}

/** What of a row besides its label says that it is another's: a client, a number of the lab, another label or point. */
export function anotherOnes(
  row: TableRow,
  from: Reader,
  { mapping, bottles, client, twiceNumbered, visits }: RowContext,
  held: readonly Held[],
): Unread | null {
  const sample = from.cell('sample');
  const label = row.cells.find((one) => one !== '' && one !== sample && bottles.has(one) && held.every((each) => each.label !== one));
  if (label !== undefined) return from.fail('sample', 'two-labels', { label });
  const of = from.cell('client');
  if (client !== null && of !== client)
    return of === '' ? toConfirm(from, mapping, 'client', 'no-client') : from.fail('sample', 'other-sample');
  if (twiceNumbered.has(from.cell('labNumber'))) {
    const twice = toConfirm(from, mapping, 'labNumber', 'lab-number-twice');
    if (twice) return twice;
  }
  const own = held[0]!.bottle.visit;
  // A number of a result may well be the number of a point.
  const mapped = Object.values(mapping.columns);
  const other = row.cells.find(
    (cell, column) => /\p{L}/u.test(cell) && !mapped.includes(column) && (visits.get(tight(cell)) ?? own) !== own,
  );
  return other === undefined ? null : toConfirm(from, mapping, 'sample', 'point-contradicts', { point: other });
}
