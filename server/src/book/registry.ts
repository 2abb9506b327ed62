import { canonicalJson } from '@fonte/core/book';
import type { Lab, Person, Point, RegisterName } from '@fonte/core/registers';
import type { Store } from '../store/index.ts';
import { loadEntries } from './codec.ts';

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

/** A registered thing as it stands, or null. */
export async function thing<N extends RegisterName>(store: Store, register: N, id: string): Promise<Registered[N] | null> {
  const [row] = await store.read<{ data: string }[]>('SELECT data FROM things WHERE book = ? AND register = ?', [id, register]);
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
