import type { BookEntry, Entry } from '@fonte/core/book';
import type { ProblemDocument } from '@fonte/core/endpoints';
import type { RegisterName } from '@fonte/core/registers';
import { Dexie, type EntityTable, type Table } from 'dexie';

/** An entry that only this device has, as far as it knows. */
export interface Kept {
  /** Counts on: the order in which they were written. */
  n?: number;
  id: string;
  book: string;
  entry: Entry;
  /** When it was kept (ms). */
  at: number;
  /** Waits to be sent; was refused and stays with the reason; or was refused and another took its place, and it stays all the same. */
  state: 'waiting' | 'refused' | 'replaced';
  problem?: Pick<ProblemDocument, 'title' | 'status' | 'errors'>;
}

/** What the server answered at an address, and when (ms). */
export interface KeptAnswer {
  address: string;
  answer: unknown;
  at: number;
}

/** A thing of a register. */
export interface KeptThing {
  id: string;
  register: RegisterName;
  name: string;
  code: string | null;
  data: unknown;
}

/** A file under its hash: a picture that was taken, or that a book names. */
export interface KeptFile {
  sha256: string;
  blob: Blob;
  type: string;
  /** The round for which it is still to be sent; null once the server has it. */
  round: string | null;
  /** The point for which it is still to be sent, where no round was there. */
  point?: string | null;
}

/** The device's own key pair. The private key cannot be taken out of the browser. */
export interface KeptKey {
  id: string;
  name: string;
  key: string;
  privateKey: CryptoKey;
}

/** How a person is told from the others of this device. */
export interface KeptPin {
  person: string;
  salt: string;
  hash: string;
  /** Wrong ones since the last right one. */
  failures: number;
}

/** What is being typed in a form of a tab, and not written yet. */
export interface KeptDraft {
  /** Tab and form: `tab.name`. */
  key: string;
  tab: string;
  /** The form. */
  name: string;
  /** The id of the entry that it will become. */
  entry: string;
  text: string;
  /** When it was last typed in (ms). */
  at: number;
}

/** The id of an entry that was written here lately: no draft of it is written any more. */
export interface SpentId {
  /** Counts on. */
  n?: number;
  id: string;
}

/** Single things under a name. */
export interface KeptNote {
  name: string;
  value: unknown;
}

/** All that lies on this device. What is said to be written has been flushed to its disk. */
export class Disk extends Dexie {
  outbox!: EntityTable<Kept, 'n'>;
  entries!: Table<BookEntry, [string, number]>;
  answers!: EntityTable<KeptAnswer, 'address'>;
  things!: EntityTable<KeptThing, 'id'>;
  files!: EntityTable<KeptFile, 'sha256'>;
  keys!: EntityTable<KeptKey, 'id'>;
  pins!: EntityTable<KeptPin, 'person'>;
  notes!: EntityTable<KeptNote, 'name'>;
  drafts!: EntityTable<KeptDraft, 'key'>;
  spent!: EntityTable<SpentId, 'n'>;

  constructor() {
    super('fonte', { chromeTransactionDurability: 'strict' });
    this.version(1).stores({
      outbox: '++n, &id, book',
      entries: '[book+seq], &id',
      answers: 'address',
      things: 'id, register',
      files: 'sha256, round',
      keys: 'id',
      pins: 'person',
      notes: 'name',
    });
    this.version(2).stores({ drafts: 'key, entry', spent: '++n, &id' });
  }
}
