import { z } from 'zod';
import { headings, roles, type Role } from './tables/headings.ts';
import type { LabTable, Refusal } from './table.ts';
import { readValue } from './value.ts';

export { roleNames, roles, type Role } from './tables/headings.ts';

/** Which column, counted from 0, has which role. Columns without a role are left unread. */
export const Mapping = z.object({
  columns: z.partialRecord(z.enum(roles), z.number().int().min(0).max(500)),
  /** How nitrogen compounds are expressed where neither name nor unit says it. */
  nitrogenAs: z.enum(['N', 'ion']).optional(),
  /** The mark before decimals, where the numbers of the file do not show it. */
  decimals: z.enum(['point', 'comma']).optional(),
});
export type Mapping = z.infer<typeof Mapping>;

/** How a person said that a report with these column names is to be read. */
export interface Remembered {
  header: readonly string[];
  mapping: Mapping;
}

/** The names of columns as they are compared and kept: cut where no heading is as long. */
export const headerOf = (table: Pick<LabTable, 'header'>): string[] => table.header.map((name) => name.slice(0, 200));

/** The latest of what is remembered that was said of the very same columns, or null. */
export function recall(table: LabTable, remembered: readonly Remembered[]): Mapping | null {
  const header = headerOf(table);
  const isSame = (one: Remembered) => one.header.length === header.length && one.header.every((name, index) => name === header[index]);
  return remembered.find(isSame)?.mapping ?? null;
}

/** Lower case, without accents, blanks and punctuation: `Limite de Quantificação` becomes `limitedequantificacao`. */
export function fold(text: string): string {
  return text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]/g, '');
}

function byHeading(header: readonly string[]): Partial<Record<Role, number>> {
  const found: Partial<Record<Role, number>> = {};
  const taken = new Set<number>();
  const take = (role: Role, matches: (heading: string, name: string) => boolean) => {
    if (found[role] !== undefined) return;
    const index = header.findIndex((text, at) => !taken.has(at) && headings[role].some((name) => matches(fold(text), name)));
    if (index < 0) return;
    found[role] = index;
    taken.add(index);
  };
  for (const role of roles) take(role, (heading, name) => heading === name);
  // A limit, reporting limit or date may well begin with a result's word, never the other way round: results come last.
  const resultLast = [...roles.filter((role) => role !== 'result'), 'result' as const];
  for (const role of resultLast) take(role, (heading, name) => name.length >= 4 && heading.startsWith(name));
  return found;
}

/** Of the columns without a role, the one whose cells most often hold what a result holds, if more than half do. */
function resultByContent(table: LabTable, taken: ReadonlySet<number>): number | undefined {
  const sample = table.rows.slice(0, 200);
  const share = (column: number) => sample.filter((row) => readValue(row.cells[column] ?? '', '').ok).length / sample.length;
  const free = table.header.map((_, column) => column).filter((column) => !taken.has(column));
  const candidates = free.filter((column) => share(column) > 0.5 && sample.some((row) => /^[<>]/.test(row.cells[column] ?? '')));
  return candidates.length === 1 ? candidates[0] : undefined;
}

/**
 * Proposes which column is what: by heading first; a result column without a known heading only if it is the one
 * column with `<` in it. A reporting or detection limit is never proposed as the result.
 */
export function proposeMapping(table: LabTable): Mapping {
  const columns = byHeading(table.header);
  if (columns.result === undefined) {
    const guess = resultByContent(table, new Set(Object.values(columns)));
    if (guess !== undefined) columns.result = guess;
  }
  return { columns };
}

/** Why a mapping cannot be read with, naming the header's line; null when it can. */
export function refuseMapping(table: LabTable, mapping: Mapping): Refusal | null {
  const place = { line: table.headerLine, column: 1 };
  const beyond = Object.values(mapping.columns).find((column) => column >= table.header.length);
  if (beyond !== undefined) return { code: 'no-such-column', data: { column: beyond + 1 }, line: table.headerLine, column: beyond + 1 };
  const missing = (['result', 'parameter', 'sample'] as const).find((role) => mapping.columns[role] === undefined);
  if (missing) return { code: `no-${missing}-column`, ...place };
  const columns = Object.values(mapping.columns);
  const doubled = columns.find((column, index) => columns.indexOf(column) !== index);
  if (doubled !== undefined)
    return { code: 'column-twice', data: { heading: table.header[doubled] ?? '' }, line: table.headerLine, column: doubled + 1 };
  return null;
}
