import type { Fault, VerifiedBook } from '../book/verify.ts';

/** What the process that verifies is asked: which file, which places not to look at, and a folder for a copy. */
export interface AskedToVerify {
  file: string;
  skip: readonly string[];
  folder: string;
}

/** What it says of one place; a book goes by its id. */
export type Said = { place: string } & ({ faults: Fault[] } | { book: VerifiedBook } | { note: string });

/** All that it says: where it looks next before it looks, what it found there, and that it came to its end. */
export type Verified = { begins: string } | Said | { ends: true };
