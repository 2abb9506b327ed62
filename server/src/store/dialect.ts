/*
 * What is SQLite's own. Another database needs another of this file and nothing else of the store.
 */

/** The mark in the head of a file that says it is ours: "Font" in ASCII, at byte 68. */
export const applicationId = 0x466f6e74;

/** Who made a file, as the number at byte 60 of its head says. */
export const makers = { fonte: 1, demo: 2 } as const;
export type Maker = keyof typeof makers;

/** Triggers that refuse to change or delete rows of a table. */
export function neverChanged(table: string): string[] {
  return [guarded(table, 'update'), guarded(table, 'delete')];
}

const guarded = (table: string, act: 'update' | 'delete', when = '') =>
  `CREATE TRIGGER ${table}_never_${act}d BEFORE ${act.toUpperCase()} ON ${table}${when} BEGIN SELECT RAISE(ABORT, '${table} are never ${act}d'); END`;

/**
 * A guard that lets one change through: words may be taken away together with the salt, for good, while all that the hash
 * covers stays as it is.
 */
export function changedOnlyTo(table: string, unreadable: { loses: string; may: string; keeps: readonly string[] }): string[] {
  const { loses, may, keeps } = unreadable;
  const same = keeps.filter((column) => column !== loses && column !== may).map((column) => `NEW.${column} IS OLD.${column}`);
  const when = ` WHEN NOT (OLD.${loses} IS NOT NULL AND NEW.${loses} IS NULL AND ${same.join(' AND ')})`;
  return [`DROP TRIGGER ${table}_never_updated`, guarded(table, 'update', when)];
}

/** Names of the triggers that must be there. */
export const guards = ['entries', 'files'].flatMap((table) => [`${table}_never_updated`, `${table}_never_deleted`]);

/** Names of all triggers there are. */
export const listTriggers = `SELECT name FROM sqlite_master WHERE type = 'trigger'`;

/** The database's own check of its file: rows with `ok`, or with what is wrong. */
export const checkFile = 'SELECT integrity_check AS said FROM pragma_integrity_check(20)';

/** Copies the whole database as it stands into a file. */
export const copyInto = 'VACUUM INTO ?';

/** What a failed statement was about. */
export type Failure = 'busy' | 'conflict' | 'storage';

/** Sorts what the driver threw. Anything that is neither a lock nor a broken key is a fault of the storage. */
export function failureOf(error: unknown): Failure {
  const { code = '', message = '' } =
    (error as { driverError?: { code?: string; message?: string } }).driverError ?? (error as Error & { code?: string });
  if (/SQLITE_(BUSY|LOCKED)/.test(code) || /database (table )?is locked/.test(message)) return 'busy';
  if (/SQLITE_CONSTRAINT/.test(code) || /UNIQUE constraint failed/.test(message)) return 'conflict';
  return 'storage';
}

/** Ends the making of a table whose rows lie in its key's tree: one place to write instead of two. */
export const keptByKey = ' WITHOUT ROWID';

/** `n` placeholders for a list of values. */
export const marks = (n: number): string => Array.from({ length: n }, () => '?').join(', ');

/** How many values one statement takes. */
export const mostValues = 30_000;
