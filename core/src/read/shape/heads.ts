import { fold } from '../cells/fold.ts';
import type { Role } from '../tables/headings.ts';
import { roleCalled, roleWhole } from './heading.ts';

/** What a line above a table may say of all its rows. */
const ofTable: readonly Role[] = ['sample', 'collected', 'collectedTime', 'analysed', 'labNumber', 'client'];

/** What lines above a table say of all its rows, by the names they give it: `Sample ID` → `261123A-WL2-N`. */
export type Heads = ReadonlyMap<string, { name: string; value: string }>;

const isNamed = (name: string): boolean => {
  const role = roleCalled(name);
  return role !== null && ofTable.includes(role);
};

/** A name and its value in one cell: `Sample: 261123A-WL2-N`. */
const inOne = /^([^:：=]{2,40}?)\s*[:：=]\s*(\S.{0,199})$/u;

/** Whether a text is a name and its value: `Sample: 261123A-WL2-N`. */
export const saysOf = (text: string): boolean => isNamed(inOne.exec(text)?.[1] ?? '');

/**
 * What a line says of the rows below it: `Sample: X`, or names and values in cells of their own. Null where it is a line of something else: then
 * nothing of it is taken.
 */
export function headsIn(cells: readonly string[]): Heads | null {
  const texts = cells.filter((cell) => cell !== '');
  if (texts.length === 0 || texts.length > 12) return null;
  const found = new Map<string, { name: string; value: string }>();
  const add = (name: string, value: string) => found.set(fold(name), { name, value });
  for (let at = 0; at < texts.length; at += 1) {
    const text = texts[at]!;
    const both = inOne.exec(text);
    const next = texts[at + 1];
    if (both && isNamed(both[1]!)) add(both[1]!, both[2]!);
    else if (both && texts.length > 1) continue;
    else if (next === undefined) return null;
    else {
      const name = text.replace(/\s*[:：=]$/u, '');
      // Without a colon two cells are a name and its value only where nothing else stands beside them.
      const isName = name !== text || (texts.length === 2 && isNamed(name) && (roleCalled(name) !== 'sample' || roleWhole(name) !== null));
      if (!isName) return null;
      if (isNamed(name)) add(name, next);
      at += 1;
    }
  }
  return found.size > 0 ? found : null;
}

/** Whether lines say whose the rows below them are: another sample begins. */
export const namesSample = (heads: Heads): boolean => [...heads.values()].some(({ name }) => roleCalled(name) === 'sample');

interface Headed {
  header: string[];
  rows: { cells: string[]; heads?: Heads }[];
}

/**
 * A table whose rows have what lines above them say of them in columns of their own, behind the others; not what its own columns say already.
 */
export function withHeads<T extends Headed>(table: T): T {
  const own = new Set(table.header.map(roleCalled));
  const names = new Map<string, string>();
  for (const { heads } of table.rows)
    for (const [key, { name }] of heads ?? []) if (!own.has(roleCalled(name))) names.set(key, names.get(key) ?? name);
  if (names.size === 0) return table;
  const width = Math.max(table.header.length, ...table.rows.map(({ cells }) => cells.length));
  // A remark is said of no sample.
  const isRemark = (cells: readonly string[]) => cells.filter((cell) => cell !== '').length < 2;
  const padded = (cells: readonly string[]) => [...cells, ...Array.from({ length: width - cells.length }, () => '')];
  return {
    ...table,
    header: [...padded(table.header), ...names.values()],
    rows: table.rows.map((row) => ({
      ...row,
      cells: [...padded(row.cells), ...[...names.keys()].map((key) => (isRemark(row.cells) ? '' : (row.heads?.get(key)?.value ?? '')))],
    })),
  };
}
