import { findBreak, type ChainBreak } from '@fonte/core/book';
import type { DataSource } from 'typeorm';
import { listBooks, loadEntries } from './books.ts';

export interface Verified {
  book: string;
  entries: number;
  broken: ChainBreak | null;
}

/** Walks the chain of every book in a database. */
export async function verifyBooks(store: DataSource): Promise<Verified[]> {
  const found: Verified[] = [];
  for (const book of await listBooks(store)) {
    const entries = await loadEntries(store, book);
    found.push({ book, entries: entries.length, broken: findBreak(entries) });
  }
  return found;
}
