import type { EntitySchema } from 'typeorm';
import { columnsOf, marks, mostValues, type DerivedRow, type Query, type Store } from '../store/index.ts';
import type { Derivation, Placed } from './derivation.ts';

/** Rows to write and rows to take away. */
export interface Change {
  now: Placed[];
  gone: Placed[];
}

/** Rows by table and id, each as the text it is compared by. */
export type Rows = ReadonlyMap<string, { placed: Placed; text: string }>;

const keyOf = ({ table, row }: Placed) => `${table.options.name} ${row.id}`;

export function indexed(placed: readonly Placed[]): Rows {
  return new Map(placed.map((one) => [keyOf(one), { placed: one, text: JSON.stringify(one.row) }]));
}

/** Adds the difference between the rows that were and those that are. */
export function addDifference(change: Change, before: Rows, after: Rows): void {
  for (const [key, { placed, text }] of after) if (before.get(key)?.text !== text) change.now.push(placed);
  for (const [key, { placed }] of before) if (!after.has(key)) change.gone.push(placed);
}

function byTable(placed: readonly Placed[]): Map<EntitySchema<DerivedRow>, DerivedRow[]> {
  const groups = new Map<EntitySchema<DerivedRow>, DerivedRow[]>();
  for (const { table, row } of placed) {
    const group = groups.get(table);
    if (group) group.push(row);
    else groups.set(table, [row]);
  }
  return groups;
}

/** So many rows have a statement of their own size. */
const few = 12;

/** Inserts rows of a table, many in one statement. Whole statements of one size are prepared once. */
export async function insertMany(
  query: Query,
  table: string,
  columns: readonly string[],
  rows: readonly unknown[][],
  end = '',
): Promise<void> {
  const line = `(${marks(columns.length)})`;
  const most = Math.min(200, Math.floor(mostValues / columns.length));
  for (let at = 0; at < rows.length;) {
    // Few as they are, or a power of two: some statements serve every number of rows, and are prepared once.
    const left = rows.length - at;
    const size = left <= few ? left : Math.min(most, 2 ** Math.floor(Math.log2(left)));
    const lines = Array.from({ length: size }, () => line).join(', ');
    await query(`INSERT INTO ${table} (${columns.join(', ')}) VALUES ${lines}${end}`, rows.slice(at, at + size).flat());
    at += size;
  }
}

/** Writes a change of derived rows. */
export async function writeRows(query: Query, { now, gone }: Change): Promise<void> {
  for (const [table, rows] of byTable(gone)) {
    for (const { book, id } of rows) await query(`DELETE FROM ${table.options.name} WHERE book = ? AND id = ?`, [book, id]);
  }
  for (const [table, rows] of byTable(now)) {
    const columns = columnsOf(table);
    const others = columns.filter((column) => column !== 'book' && column !== 'id').map((column) => `${column} = excluded.${column}`);
    const values = rows.map((row) => columns.map((column) => (row as unknown as Record<string, unknown>)[column]));
    await insertMany(query, table.options.name, columns, values, ` ON CONFLICT (book, id) DO UPDATE SET ${others.join(', ')}`);
  }
}

/** Every derived row there is, by table, in order: for comparing before and after. */
export async function allRows(store: Store, { tables }: Derivation): Promise<Record<string, DerivedRow[]>> {
  const found: Record<string, DerivedRow[]> = {};
  for (const { options } of tables) found[options.name] = await store.read<DerivedRow[]>(`SELECT * FROM ${options.name} ORDER BY book, id`);
  return found;
}
