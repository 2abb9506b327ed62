import { plain, pointColumns, type NamedColumn, type SaidColumns } from '@fonte/core/exchange';
import { counterpart } from '../../units/system.ts';
import { unitLabel } from '@fonte/core/units';

const key = 'fonte.point-columns';

/** What was said on this device of the columns of files that nobody here knew, by their heads. */
export function rememberedColumns(): SaidColumns {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '{}') as SaidColumns;
  } catch {
    return {};
  }
}

/** Remembers what a column is, or that it is none; the next file with it is read so. */
export function rememberColumn(head: string, column: NamedColumn | null): SaidColumns {
  const { [plain(head)]: _, ...others } = rememberedColumns();
  const said: SaidColumns = column ? { ...others, [plain(head)]: column } : others;
  try {
    localStorage.setItem(key, JSON.stringify(said));
  } catch {
    // It is said again for the next file.
  }
  return said;
}

/** The columns that one of a file may be; those with a unit in it and in its counterpart. */
export const columnChoices: readonly { value: string; label: string; column: NamedColumn }[] = pointColumns.flatMap(({ name, unit }) => {
  const shown = name.replace(/_(m|mm|min|mg_L)$/, '').replaceAll('_', ' ');
  if (!unit) return [{ value: name, label: shown, column: { name } }];
  const other = counterpart(unit, 'us');
  return [...new Set([unit, other])].map((one) => ({
    value: `${name} ${one}`,
    label: `${shown}, in ${unitLabel(one)}`,
    column: { name, unit: one },
  }));
});
