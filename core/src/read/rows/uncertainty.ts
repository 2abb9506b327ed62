import type { CalledUnit } from '../cells/names.ts';
import { readValue, type CellStyle } from '../cells/value.ts';
import { notAnalysed } from '../shape/table.ts';

/** An uncertainty under a heading that says per cent. */
export const withShare = (text: string, headed: CalledUnit | '%' | undefined) =>
  headed === '%' && /\d\s*$/.test(text) ? `${text} %` : text;

/** The uncertainty in the unit of the result, as it stands in the cell or in a column of its own; null where there is none. */
export function uncertaintyOf(
  value: { value: number | null; uncertainty?: { value: number; isShare: boolean } },
  column: string,
  style: CellStyle,
) {
  const number = value.value;
  if (number === null) return null;
  const of = ({ value: by, isShare }: { value: number; isShare: boolean }) => (isShare ? (number * by) / 100 : by);
  if (value.uncertainty) return of(value.uncertainty);
  const text = column.replace(/^\s*(±|\+\/-)\s*/, '').trim();
  if (text === '' || notAnalysed.test(text)) return null;
  const read = readValue(text.replace(/\s*%\s*$/, ''), '', style);
  return read.ok && read.value !== null ? of({ value: read.value, isShare: /%\s*$/.test(text) }) : 'unread';
}
