import { canonicalJson } from '@fonte/core/book';
import type { Programme } from '@fonte/core/due';
import type {
  Box,
  BroughtReport,
  Device,
  Instrument,
  Lab,
  LoggerRecord,
  Lot,
  OwnCriterion,
  OwnLimitSet,
  Person,
  Point,
  RegisterName,
} from '@fonte/core/registers';
import { inPresentVersion } from '@fonte/core/round';
import type { Store } from '../store/index.ts';
import { loadEntries } from './codec.ts';

interface Registered {
  points: Point;
  labs: Lab;
  instruments: Instrument;
  lots: Lot;
  boxes: Box;
  programmes: Programme;
  criteria: OwnCriterion;
  limits: OwnLimitSet;
  loggers: LoggerRecord;
  reports: BroughtReport;
  people: Person;
  devices: Device;
}

/** What is asked for with every entry, and remembered: who wrote it, and on what. */
export type Remembered = Map<string, Person | Device>;

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
    private readonly remembered: Remembered,
  ) {}

  add(register: RegisterName, said: { id: string }): void {
    this.staged.set(said.id, { register, said });
    this.remembered.delete(said.id);
  }

  async thing<N extends RegisterName>(register: N, id: string): Promise<Registered[N] | null> {
    const staged = this.staged.get(id);
    if (staged) return staged.register === register ? (staged.said as Registered[N]) : null;
    if (register !== 'people' && register !== 'devices') return thing(this.store, register, id);
    const known = this.remembered.get(id) ?? (await thing(this.store, register, id));
    if (known) this.remembered.set(id, known as Person | Device);
    return known as Registered[N] | null;
  }

  async everRead(register: RegisterName, said: { id: string }): Promise<boolean> {
    const text = canonicalJson(said);
    const now = await this.thing(register, said.id);
    if (!now) return false;
    return (
      canonicalJson(now) === text ||
      (await loadEntries(this.store, said.id)).some((entry) => canonicalJson(inPresentVersion(entry).payload) === text)
    );
  }
}
