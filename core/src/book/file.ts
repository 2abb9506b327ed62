import { z } from 'zod';
import { findBreaks, holdsHead, type ChainBreak, type Head } from './chain.ts';
import type { BookEntry } from './entry.ts';
import type { AnyKind } from './kind.ts';
import { checkSignatures, type Prove, type Signatures, type Signer } from './signature.ts';

const SignerOfFile = z.object({
  id: z.string(),
  name: z.string(),
  key: z.string(),
  people: z.array(z.object({ person: z.string(), since: z.string() })),
});
const PersonOfFile = z.object({ id: z.string(), name: z.string(), initials: z.string(), role: z.string() });

/** A book as it is handed out, with the devices that signed in it and the people whose entries they are. */
const BookFile = z.object({
  format: z.literal('fonte-book'),
  version: z.number().int().min(1).max(2),
  book: z.string(),
  type: z.string(),
  head: z.object({ count: z.number(), hash: z.string() }).nullable(),
  devices: z.array(SignerOfFile).default([]),
  people: z.array(PersonOfFile).default([]),
  entries: z.array(z.looseObject({ seq: z.number(), id: z.string(), book: z.string(), hash: z.string(), previous: z.string() })),
});
export type BookFile = Omit<z.output<typeof BookFile>, 'entries'> & { entries: readonly BookEntry[] };

/** Reads a book that was handed out. @throws Error when the text is no such file */
export function readBookFile(text: string): BookFile {
  let said: unknown;
  try {
    said = JSON.parse(text);
  } catch {
    throw new Error('This is no book that Fonte handed out.');
  }
  const file = BookFile.safeParse(said);
  if (!file.success) throw new Error('This is no book that Fonte handed out.');
  return { ...file.data, entries: file.data.entries as unknown as BookEntry[] };
}

export interface VerifiedFile {
  book: string;
  head: Head | null;
  breaks: ChainBreak[];
  signatures: Signatures;
  /** Whether the file ends as it says. */
  isWhole: boolean;
  /** Whether it holds what somebody else was told of the book; null when nobody was. */
  isWitnessed: boolean | null;
}

/** Whether nothing at all is wrong with a book that was handed out. */
export function isGood({ breaks, signatures, isWhole, isWitnessed }: VerifiedFile): boolean {
  return breaks.length === 0 && signatures.faults.length === 0 && isWhole && isWitnessed !== false;
}

interface Means {
  kindOf: (name: string) => Pick<AnyKind, 'madeBy'> | null;
  prove: Prove;
  hashOf?: (text: string) => string;
}

/**
 * Checks a book that was handed out, alone: its chain, its end, and by whom its entries are.
 * @param witness a head known from elsewhere, such as the lab's copy of a form
 */
export async function verifyBookFile(file: BookFile, witness: Head | null, { kindOf, prove, hashOf }: Means): Promise<VerifiedFile> {
  const { book, head, entries } = file;
  const strangers = entries.filter((entry) => entry.book !== book).map(({ seq, id }): ChainBreak => ({ seq, id, code: 'altered' }));
  const signers = new Map<string, Signer>(file.devices.map((device) => [device.id, device]));
  const last = entries.at(-1);
  return {
    book,
    head,
    breaks: [...findBreaks(entries, hashOf), ...strangers],
    signatures: await checkSignatures(entries, (device) => signers.get(device) ?? null, kindOf, prove),
    isWhole: last ? head?.count === last.seq && head.hash === last.hash : head === null,
    isWitnessed: witness ? holdsHead(entries, witness) : null,
  };
}
