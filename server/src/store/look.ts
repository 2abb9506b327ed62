import { existsSync, statSync } from 'node:fs';
import type { DataSource } from 'typeorm';
import { connectTo } from './connection.ts';

/*
 * A database that is written in has a log beside it, which holds what was written last. A copy of the main file alone is whole in
 * itself, and short of that: so the main file says while it is open which file it is. A copy is another one.
 */

/** The log of a database. */
export const logOf = (file: string): string => `${file}-wal`;

/** Which file it is on its disk: by its inode alone, since the number of a disk may be another after the machine has started again. */
const inodeOf = (file: string): string => String(statSync(file).ino);

/** Says in the main file that a log belongs to it. */
export const markOpen = (file: string): string[] => [
  `INSERT INTO about VALUES ('open', '${inodeOf(file)}') ON CONFLICT (name) DO UPDATE SET value = excluded.value WHERE value <> excluded.value`,
  'PRAGMA wal_checkpoint(TRUNCATE)',
];

/** Takes that back: all that was written is in the main file. */
export const markClosed = [`DELETE FROM about WHERE name = 'open'`];

/** Writes something into a database on a connection for that alone. */
export async function writeInto(file: string, statements: readonly string[]): Promise<void> {
  const writing = await connectTo(file, [], false);
  try {
    for (const statement of statements) await writing.query(statement);
  } finally {
    await writing.destroy();
  }
}

/** Looks into a database on a connection for that alone. */
export async function lookInto<T>(file: string, work: (connection: DataSource) => Promise<T>): Promise<T> {
  const looking = await connectTo(file, ['query_only=ON'], false);
  try {
    return await work(looking);
  } finally {
    await looking.destroy();
  }
}

/** Whether something lies in the log of a database. Whoever looks into one leaves an empty log. */
export const hasLog = (file: string): boolean => existsSync(logOf(file)) && statSync(logOf(file)).size > 0;

/** Whether a file says that another was open, of which it is a copy. */
export async function isCopyOfOpen(file: string, connection: DataSource): Promise<boolean> {
  const [said] = await connection.query<{ value: string }[]>(`SELECT value FROM about WHERE name = 'open'`);
  return said !== undefined && said.value !== inodeOf(file);
}
