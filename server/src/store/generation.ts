import type { DataSource } from 'typeorm';
import { makerOf, isDatabase } from './file.ts';
import { hasLog, isCopyOfOpen, logOf, lookInto, markOpen, writeInto } from './look.ts';
import { migrations } from './migrations/index.ts';

/** What lies at a path, for a Fonte of this version; `sentence` says it, and what to do. */
export type Generation =
  | { is: 'absent' | 'stranger' | 'not-carried' | 'newer' | 'log-missing'; sentence: string }
  /** Made by an earlier version: it is carried over when it is opened for writing. `lacks` are the steps, in their order. */
  | { is: 'older'; lacks: readonly string[]; sentence: string }
  | { is: 'current' };

/** Files of before steps were counted: by a table that only they have, and who opens them. */
const notCarried = [
  {
    table: 'register_rows',
    sentence:
      'was created by Fonte of 23 to 25 November 2026. Later versions cannot upgrade it. Keep the file, and open it with that version.',
  },
];

const ours = migrations.map(({ name }) => name);

/** What a file of ours is, by what it says of itself. */
async function ofOurs(file: string, looking: DataSource, tables: readonly string[], isLogHere: boolean): Promise<Generation> {
  const made = tables.includes('migrations')
    ? (await looking.query<{ name: string }[]>('SELECT name FROM migrations')).map(({ name }) => name)
    : [];
  if (made.some((name) => !ours.includes(name)))
    return { is: 'newer', sentence: `${file} was created by a newer version of Fonte. Start that version. Nothing was changed.` };
  // A file whose making was cut short holds nothing yet.
  if (!tables.includes('entries')) return { is: 'current' };
  if (!isLogHere && (await isCopyOfOpen(file, looking)))
    return {
      is: 'log-missing',
      sentence:
        `${file} was copied while a server had it open, without its log ${logOf(file)}: what was written last is missing. Put the log ` +
        'there, or take a copy that was made by npm run backup.',
    };
  const lacks = ours.filter((name) => !made.includes(name));
  if (lacks.length === 0) return { is: 'current' };
  return {
    is: 'older',
    lacks,
    sentence: `${file} was created by an earlier version of Fonte. The server upgrades it at its next start and keeps a copy.`,
  };
}

/** What lies at a path. Nothing is made, and nothing of what it holds is changed. @throws Error where the file cannot be read */
export async function generationOf(file: string): Promise<Generation> {
  const maker = makerOf(file);
  if (maker === null) return { is: 'absent', sentence: `There is no file ${file}.` };
  const stranger: Generation = { is: 'stranger', sentence: `${file} is no database of Fonte.` };
  if (maker === 'stranger' && !isDatabase(file)) return stranger;
  const isLogHere = hasLog(file);
  const found = await lookInto(file, async (looking): Promise<Generation & { isCopy?: boolean }> => {
    const tables = (await looking.query<{ name: string }[]>(`SELECT name FROM sqlite_master WHERE type = 'table'`)).map(({ name }) => name);
    if (maker !== 'stranger') {
      const isCopy = tables.includes('about') && isLogHere && (await isCopyOfOpen(file, looking));
      return { ...(await ofOurs(file, looking, tables, isLogHere)), isCopy };
    }
    const old = notCarried.find(({ table }) => tables.includes(table) && tables.includes('entries'));
    return old ? { is: 'not-carried', sentence: `${file} ${old.sentence}` } : stranger;
  });
  const { isCopy, ...generation } = found;
  // It came with its log, which whoever looks into it brings into the main file: from now on it is a file of its own.
  if (isCopy) await writeInto(file, markOpen(file)).catch(() => undefined);
  return generation;
}

/** Whether a file can be opened as it is, or once it is carried over. */
export const canBeOpened = (found: Generation): boolean => found.is === 'current' || found.is === 'older';
