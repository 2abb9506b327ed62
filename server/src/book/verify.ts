import { breakWords, checkSignatures, findBreaks, noFiles, signatureWords, type BookEntry } from '@fonte/core/book';
import { allKinds, kindOf, opens } from '@fonte/core/round';
import {
  checkFile,
  columnsOf,
  guards,
  listTriggers,
  marks,
  type BookRow,
  type DerivedRow,
  type FileRow,
  type Store,
} from '../store/index.ts';
import { loadEntries, sha256 } from './codec.ts';
import type { Derivation } from './derivation.ts';
import { isDerivedBy } from './rebuild.ts';
import { thing } from './registry.ts';
import { isSignedBy } from './signature.ts';
import { allRowsOf, readView } from './view.ts';

/** Something that is not as it should be, and where. */
export interface Fault {
  where: string;
  what: string;
}

export interface VerifiedBook {
  book: string;
  type: string;
  entries: number;
  /** Hash of the last entry, to be compared with what is known outside. */
  head: string;
  /** Entries that no device has signed: written before devices had keys. */
  unsigned: number;
  faults: Fault[];
}

/** Every book that has entries or is registered. */
export async function bookIds(store: Store): Promise<{ id: string; type: string | null }[]> {
  const written = await store.read<{ book: string }[]>('SELECT DISTINCT book FROM entries ORDER BY book');
  const known = new Map((await store.read<BookRow[]>('SELECT * FROM books')).map(({ id, type }) => [id, type]));
  const all = new Set([...written.map(({ book }) => book), ...known.keys()]);
  return [...all].map((id) => ({ id, type: known.get(id) ?? null }));
}

/** The derived rows that stand in the tables for a book, as the texts they are compared by. */
async function standingRows(store: Store, by: Derivation, book: string): Promise<Map<string, string>> {
  const found = new Map<string, string>();
  for (const table of by.tables) {
    const columns = columnsOf(table);
    const rows = await store.read<DerivedRow[]>(`SELECT * FROM ${table.options.name} WHERE book = ?`, [book]);
    for (const row of rows) {
      const ordered = Object.fromEntries(columns.map((column) => [column, (row as unknown as Record<string, unknown>)[column]]));
      found.set(`${table.options.name} ${row.id}`, JSON.stringify(ordered));
    }
  }
  return found;
}

function rowFaults(by: Derivation, entries: readonly BookEntry[], book: string, standing: ReadonlyMap<string, string>): Fault[] {
  const view = readView(by, book, entries);
  const due = new Map<string, string>();
  for (const [key, { placed }] of view ? allRowsOf(view) : []) {
    const columns = columnsOf(placed.table);
    due.set(
      key,
      JSON.stringify(Object.fromEntries(columns.map((column) => [column, (placed.row as unknown as Record<string, unknown>)[column]]))),
    );
  }
  const faults: Fault[] = [];
  for (const [key, text] of due)
    if (standing.get(key) !== text)
      faults.push({ where: `table ${key}`, what: standing.has(key) ? 'differs from the book' : 'is missing' });
  for (const key of standing.keys()) if (!due.has(key)) faults.push({ where: `table ${key}`, what: 'follows from no book' });
  return faults;
}

/**
 * Checks one book: its chain, its signatures, its type and the tables derived from it.
 * @param isComparable whether the tables were made by this version: rows of another are no faults of their books
 */
export async function verifyBook(
  store: Store,
  by: Derivation,
  { id, type }: { id: string; type: string | null },
  isComparable: boolean,
): Promise<VerifiedBook> {
  const faults: Fault[] = [];
  let entries: BookEntry[] = [];
  let unsigned = 0;
  try {
    entries = await loadEntries(store, id);
    faults.push(
      ...findBreaks(entries, sha256).map(({ seq, id: entry, code }) => ({ where: `entry ${seq} (${entry})`, what: breakWords[code] })),
    );
    const signatures = await checkSignatures(entries, (device) => thing(store, 'devices', device), kindOf, isSignedBy);
    unsigned = signatures.unsigned;
    faults.push(...signatures.faults.map(({ seq, id: entry, code }) => ({ where: `entry ${seq} (${entry})`, what: signatureWords[code] })));
    if (entries.length === 0) faults.push({ where: 'book', what: 'is registered and has no entry' });
    const opened = entries[0] ? opens(entries[0].kind) : null;
    if (entries[0] && opened !== type)
      faults.push({ where: 'book', what: `is listed as ${type ?? 'nothing'} and begins as ${opened ?? 'nothing'}` });
    if (isComparable) faults.push(...rowFaults(by, entries, id, await standingRows(store, by, id)));
  } catch {
    faults.push({ where: 'book', what: 'cannot be read' });
  }
  return { book: id, type: type ?? '?', entries: entries.length, head: entries.at(-1)?.hash ?? '', unsigned, faults };
}

/** Checks the books one after the other. It goes on after a fault. */
export async function* verifyBooks(store: Store, by: Derivation): AsyncGenerator<VerifiedBook> {
  const isComparable = await isDerivedBy(store, by).catch(() => false);
  for (const book of await bookIds(store)) yield verifyBook(store, by, book, isComparable);
}

type Check = (store: Store, by: Derivation) => Promise<Fault[]>;

async function keptFiles(store: Store): Promise<Fault[]> {
  const found: Fault[] = [];
  for (const { sha256: hash } of await store.read<{ sha256: string }[]>('SELECT sha256 FROM files')) {
    const [row] = await store.read<FileRow[]>('SELECT bytes FROM files WHERE sha256 = ?', [hash]);
    if (!row || sha256(new Uint8Array(row.bytes)) !== hash) found.push({ where: `kept file ${hash}`, what: 'was altered' });
  }
  const withFiles = allKinds.filter(({ files }) => files !== noFiles);
  const named = await store.read<{ kind: string; payload: string; book: string; seq: number }[]>(
    `SELECT kind, payload, book, seq FROM entries WHERE kind IN (${marks(withFiles.length)})`,
    withFiles.map(({ kind }) => kind),
  );
  for (const { kind, payload, book, seq } of named) {
    const { files } = withFiles.find((one) => one.kind === kind)!;
    for (const hash of files(JSON.parse(payload) as never)) {
      const [row] = await store.read<unknown[]>('SELECT 1 FROM files WHERE sha256 = ?', [hash]);
      if (!row) found.push({ where: `kept file ${hash}`, what: `is missing; book ${book}, entry ${seq} names it` });
    }
  }
  return found;
}

async function rowsOfNoBook(store: Store, by: Derivation): Promise<Fault[]> {
  const found: Fault[] = [];
  for (const { options } of by.tables) {
    const table = options.name;
    const rows = await store.read<{ book: string }[]>(`SELECT DISTINCT book FROM ${table} WHERE book NOT IN (SELECT id FROM books)`);
    found.push(...rows.map(({ book }) => ({ where: `table ${table}`, what: `has rows of book ${book}, which is not there` })));
  }
  return found;
}

/** The checks of what is not of one book, in their order: the file itself comes first. */
export const storeChecks: Record<string, Check> = {
  file: async (store) => {
    const rows = await store.read<{ said: string }[]>(checkFile);
    return rows.filter((row) => row.said !== 'ok').map((row) => ({ where: 'file', what: row.said }));
  },
  tables: async (store, by) =>
    (await isDerivedBy(store, by)) ? [] : [{ where: 'tables', what: 'were made by another version: start the server, or rebuild them' }],
  guards: async (store) => {
    const rows = await store.read<{ name: string }[]>(listTriggers);
    return guards
      .filter((guard) => !rows.some(({ name }) => name === guard))
      .map((guard) => ({ where: `trigger ${guard}`, what: 'is missing' }));
  },
  'kept files': keptFiles,
  books: rowsOfNoBook,
};

/** Does one of {@link storeChecks}; what it cannot read is a fault. */
export async function checkStore(store: Store, by: Derivation, where: string): Promise<Fault[]> {
  try {
    return await storeChecks[where]!(store, by);
  } catch {
    return [{ where, what: 'cannot be read' }];
  }
}

/** Checks what is not of one book: the file itself, its guards, kept files, and rows of books that are not there. */
export async function verifyStore(store: Store, by: Derivation): Promise<Fault[]> {
  const faults: Fault[] = [];
  for (const where of Object.keys(storeChecks)) faults.push(...(await checkStore(store, by, where)));
  return faults;
}
