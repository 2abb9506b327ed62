import { accessBook } from '@fonte/core/access';
import { canonicalJson, type BookEntry } from '@fonte/core/book';
import { handedOver } from '@fonte/core/custody';
import { personRegistered, type Person } from '@fonte/core/registers';
import { fromRow, loadEntries } from '../book/codec.ts';
import type { EntryRow, Store } from '../store/index.ts';

/** All that is kept of a person, for that person to take along. Secrets are named, not told. */
export async function keptOf(store: Store, person: Person): Promise<object> {
  const read = <R>(sql: string, ...values: unknown[]) => store.read<R[]>(sql, values);
  const [account] = await read<{ name: string; seen: number | null }>('SELECT name, seen FROM accounts WHERE person = ?', person.id);
  const atTheDoor = (await loadEntries(store, accessBook)).filter(({ payload }) => {
    const { person: about, by } = payload as { person: string | null; by: string | null };
    return about === person.id || by === person.id;
  });
  return {
    person,
    registered: await loadEntries(store, person.id),
    account: account ? { ...account, passphrase: 'a digest of it (argon2id)' } : null,
    passkeys: await read('SELECT id, made FROM passkeys WHERE person = ?', person.id),
    sessions: await read('SELECT opened, seen, device, said FROM sessions WHERE person = ?', person.id),
    devices: await read(`SELECT data FROM things WHERE register = 'devices' AND data LIKE ?`, `%${person.id}%`),
    atTheDoor,
    entriesWritten: await read(
      'SELECT book, COUNT(*) AS entries, MIN(utc) AS first, MAX(utc) AS last FROM entries WHERE author = ? GROUP BY book',
      person.id,
    ),
    handOversNaming: (await namesInHandOvers(store, person.name)).map(({ book, seq, at, payload }) => ({ book, seq, at, payload })),
  };
}

/** Hand-overs on which a name stands. */
async function namesInHandOvers(store: Store, name: string): Promise<BookEntry[]> {
  const rows = await store.read<EntryRow[]>('SELECT * FROM entries WHERE kind = ?', [handedOver.kind]);
  return rows.map(fromRow).filter((entry) => holdsName(entry.payload, name));
}

const fold = (text: string) => text.normalize('NFC').replace(/\s+/g, ' ').trim().toLowerCase();

/** Whether a name stands somewhere in a payload, by itself. */
function holdsName(payload: unknown, name: string): boolean {
  if (typeof payload === 'string') return fold(payload) === fold(name);
  return typeof payload === 'object' && payload !== null && Object.values(payload).some((value) => holdsName(value, name));
}

/** A payload with initials in place of a name, and without what a hand drew under it. */
function withInitials(payload: unknown, isName: (value: string) => boolean, initials: string): unknown {
  if (typeof payload === 'string') return isName(payload) ? initials : payload;
  if (Array.isArray(payload)) return payload.map((value) => withInitials(value, isName, initials));
  if (typeof payload !== 'object' || payload === null) return payload;
  const { drawn, ...rest } = payload as Record<string, unknown>;
  const isTheirs = typeof rest['name'] === 'string' && isName(rest['name']);
  const kept = drawn === undefined || isTheirs ? rest : { ...rest, drawn };
  return Object.fromEntries(Object.entries(kept).map(([key, value]) => [key, withInitials(value, isName, initials)]));
}

/** The entries in which a person's name stands, and how they read with the initials instead. */
export async function withoutName(store: Store, person: Person, initials: string): Promise<Map<BookEntry, unknown>> {
  const names = new Set<string>();
  const found = new Map<BookEntry, unknown>();
  const registered = (await loadEntries(store, person.id)).filter((entry) => personRegistered.is(entry));
  for (const { payload } of registered) names.add(payload.name);
  const put = (entry: BookEntry, isName: (value: string) => boolean) => {
    const now = withInitials(entry.payload, isName, initials);
    if (canonicalJson(now) !== canonicalJson(entry.payload)) found.set(entry, now);
  };
  const isName = (value: string) => [...names].some((name) => fold(name) === fold(value));
  for (const entry of registered) put(entry, isName);
  for (const name of names) for (const entry of await namesInHandOvers(store, name)) put(entry, isName);
  return found;
}
