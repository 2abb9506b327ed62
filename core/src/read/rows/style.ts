import { isCounted, type ParameterId } from '../../parameters/index.ts';
import { styleShown, type UnitId } from '../../units/index.ts';
import { unitCalled, unitInHeading } from '../cells/names.ts';
import type { CellStyle } from '../cells/value.ts';
import type { Mapping } from '../mapping.ts';
import type { Long } from '../shape/layout.ts';
import { boundsSaid, flagsOf, legendOf } from '../shape/legend.ts';
import type { LabTable } from '../shape/table.ts';
import type { FileWords, RowContext } from './context.ts';

/** How the numbers of a file are written, and what its flags mean: as a person said, else as the file shows. */
export function styleOf(parts: readonly Long[], { preamble, hasNumbers }: LabTable, { decimals, flags, confirmed }: Mapping): CellStyle {
  const cells = function* () {
    for (const { table, mapping } of parts) {
      const numbers = (['result', 'reportingLimit', 'detectionLimit', 'uncertainty'] as const).flatMap(
        (role) => mapping.columns[role] ?? [],
      );
      for (const { cells: row } of table.rows) for (const column of numbers) yield row[column] ?? '';
    }
  };
  const rows = parts.flatMap(({ table }) => table.rows);
  const short = rows.filter(({ cells: row }) => row.filter((cell) => cell !== '').length <= 2);
  const legend = legendOf([...preamble, ...short]);
  const said = flagsOf(legend, flags);
  const shown = styleShown(cells());
  // Numbers that came as numbers have one reading; where a text among them has a comma, nobody can tell which are which.
  const own = hasNumbers && shown.decimals === 'unknown' ? { ...shown, decimals: 'point' as const } : shown;
  const takesOther = confirmed?.['other-decimal'] === 'printed';
  return {
    ...(decimals ? { decimals, isSaid: true } : own),
    flags: said,
    bounds: boundsSaid(legend),
    ...(takesOther ? { takesOther } : {}),
  };
}

/** Units that stand in the headings; of a table that was turned only in those that its columns kept. */
export function headedUnits({ header }: LabTable, { columns, layout }: Mapping): RowContext['headed'] {
  const roles = layout === 'wide' ? [] : (['result', 'reportingLimit', 'detectionLimit', 'uncertainty'] as const);
  return Object.fromEntries(
    roles.flatMap((role) => {
      const column = columns[role];
      const unit = column === undefined ? null : unitInHeading(header[column] ?? '');
      return unit ? [[role, unit]] : [];
    }),
  );
}

/** What a file says once that ppt is, for the rows that do not. */
export function pptSaid({ rows }: LabTable, { columns }: Mapping): RowContext['pptIs'] {
  const { unit: column } = columns;
  if (column === undefined) return null;
  const said = new Set(
    rows.flatMap(({ cells }) => (/^\s*ppt\b.*\S/i.test(cells[column] ?? '') ? (unitCalled(cells[column]!)?.unit ?? []) : [])),
  );
  return said.size === 1 ? [...said][0]! : null;
}

/** What a table gives in more than one unit: there a number may have been left in the other. */
export function inSeveralUnits({ rows }: LabTable, { columns }: Mapping, words: FileWords): RowContext['inSeveralUnits'] {
  const { parameter: names, unit } = columns;
  if (names === undefined || unit === undefined) return new Set();
  const units = new Map<ParameterId, Set<UnitId>>();
  for (const { cells } of rows) {
    const id = words.named(cells[names] ?? '')?.parameter;
    const called = words.unit(cells[unit] ?? '')?.unit;
    if (id && called && !isCounted(id)) units.set(id, (units.get(id) ?? new Set()).add(called));
  }
  return new Set([...units].flatMap(([id, found]) => (found.size > 1 ? [id] : [])));
}
