import { placeOf, type Point, type PointPlace, type RegisterName } from '@fonte/core/registers';
import type { Store } from '../store/index.ts';
import type { ThingRow } from './tables.ts';

/** What is asked of a register: a part of the name or code, and the thing after which a page begins. */
export interface Listing {
  search?: string;
  after?: string;
  limit: number;
}

/** A page of a register by name, as the JSON that stands in the table: nothing is parsed only to be written again. */
export async function listThings(store: Store, register: RegisterName, { search = '', after, limit }: Listing): Promise<string> {
  const like = `%${search.replace(/[\\%_]/g, '\\$&').toLowerCase()}%`;
  const [from] = after ? await store.read<ThingRow[]>('SELECT name, book FROM things WHERE book = ?', [after]) : [];
  const conditions = ['register = ?'];
  const values: unknown[] = [register];
  if (search) {
    conditions.push(`(LOWER(name) LIKE ? ESCAPE '\\' OR LOWER(code) LIKE ? ESCAPE '\\')`);
    values.push(like, like);
  }
  if (from) {
    conditions.push('(name > ? OR (name = ? AND book > ?))');
    values.push(from.name, from.name, from.book);
  }
  const rows = await store.read<ThingRow[]>(
    `SELECT data FROM things WHERE ${conditions.join(' AND ')} ORDER BY name, book LIMIT ${limit}`,
    values,
  );
  return `[${rows.map((row) => row.data).join(',')}]`;
}

/** All things of a register as they stand, by name. */
export async function allThings<T>(store: Store, register: RegisterName): Promise<T[]> {
  const rows = await store.read<Pick<ThingRow, 'data'>[]>('SELECT data FROM things WHERE register = ? ORDER BY name, book', [register]);
  return rows.map(({ data }) => JSON.parse(data) as T);
}

/** All points in short, by name. */
export const listPlaces = async (store: Store): Promise<PointPlace[]> => (await allThings<Point>(store, 'points')).map(placeOf);
