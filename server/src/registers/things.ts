import { canonicalJson } from '@fonte/core/book';
import type { Lab, Person, Point, RegisterName } from '@fonte/core/registers';
import { loadEntries } from '../book/codec.ts';
import type { Store, ThingRow } from '../store/index.ts';

interface Registered {
  points: Point;
  labs: Lab;
  people: Person;
}

/** Where registered things are looked up: in the tables, or before that in what is about to be written. */
export interface Registry {
  thing: <N extends RegisterName>(register: N, id: string) => Promise<Registered[N] | null>;
  /** Whether a thing reads so now, or did at some time. */
  everRead: (register: RegisterName, said: { id: string }) => Promise<boolean>;
}

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

/** A registered thing as it stands, or null. */
export async function thing<N extends RegisterName>(store: Store, register: N, id: string): Promise<Registered[N] | null> {
  const [row] = await store.read<ThingRow[]>('SELECT data FROM things WHERE book = ? AND register = ?', [id, register]);
  return row ? (JSON.parse(row.data) as Registered[N]) : null;
}

/** The registers with what a group of entries is about to add to them. */
export class StagedRegistry implements Registry {
  private readonly staged = new Map<string, { register: RegisterName; said: { id: string } }>();

  constructor(
    private readonly store: Store,
    /** People are asked for with every entry: they are remembered. */
    private readonly people: Map<string, Person>,
  ) {}

  add(register: RegisterName, said: { id: string }): void {
    this.staged.set(said.id, { register, said });
    this.people.delete(said.id);
  }

  async thing<N extends RegisterName>(register: N, id: string): Promise<Registered[N] | null> {
    const staged = this.staged.get(id);
    if (staged) return staged.register === register ? (staged.said as Registered[N]) : null;
    if (register !== 'people') return thing(this.store, register, id);
    const person = this.people.get(id) ?? (await thing(this.store, 'people', id));
    if (person) this.people.set(id, person);
    return person as Registered[N] | null;
  }

  async everRead(register: RegisterName, said: { id: string }): Promise<boolean> {
    const text = canonicalJson(said);
    const now = await this.thing(register, said.id);
    if (!now) return false;
    return canonicalJson(now) === text || (await loadEntries(this.store, said.id)).some((entry) => canonicalJson(entry.payload) === text);
  }
}
