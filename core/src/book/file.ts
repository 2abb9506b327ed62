import { z } from 'zod';
import { findBreaks, holdsHead, sha256Hex, type ChainBreak, type Head, type Sha256 } from './chain.ts';
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
  version: z.number().int().min(1).max(3),
  book: z.string(),
  type: z.string(),
  head: z.object({ count: z.number(), hash: z.string() }).nullable(),
  devices: z.array(SignerOfFile).default([]),
  people: z.array(PersonOfFile).default([]),
  /** Pictures and other files of its entries in base64, by their SHA-256; null where it was handed out without them. */
  files: z.record(z.string(), z.string()).nullable().default(null),
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

/** A file of an entry that is not with the book, or is not what the entry names. */
export interface FileFault {
  seq: number;
  id: string;
  code: 'missing' | 'altered';
}

export const fileWords: Readonly<Record<FileFault['code'], string>> = {
  missing: 'its file is not with the book',
  altered: 'its file is not the one it names',
};

export interface VerifiedFile {
  book: string;
  head: Head | null;
  breaks: ChainBreak[];
  signatures: Signatures;
  /** Whether the file ends as it says. */
  isWhole: boolean;
  /** Whether it holds what somebody else was told of the book; null when nobody was. */
  isWitnessed: boolean | null;
  /** What is wrong with the files of its entries, and how many it names; null where it was handed out without them. */
  files: { named: number; faults: FileFault[] } | null;
}

/** Whether nothing at all is wrong with a book that was handed out. */
export function isGood({ breaks, signatures, isWhole, isWitnessed, files }: VerifiedFile): boolean {
  return breaks.length === 0 && signatures.faults.length === 0 && isWhole && isWitnessed !== false && (files?.faults ?? []).length === 0;
}

interface Means {
  kindOf: (name: string) => Pick<AnyKind, 'madeBy'> | null;
  prove: Prove;
  /** The hashes of the files that an entry names. */
  filesOf: (entry: BookEntry) => readonly string[];
  hashOf?: Sha256;
}

/** The bytes of a text in base64, or null where it is none. */
function bytesOf(text: string): Uint8Array | null {
  try {
    return Uint8Array.from(atob(text), (sign) => sign.charCodeAt(0));
  } catch {
    return null;
  }
}

function checkFiles({ entries, files }: BookFile, filesOf: Means['filesOf'], hashOf: Sha256 = sha256Hex): VerifiedFile['files'] {
  if (files === null) return null;
  const named = entries.flatMap((entry) => filesOf(entry).map((hash) => ({ seq: entry.seq, id: entry.id, hash })));
  const codes = new Map<string, FileFault['code'] | null>();
  for (const hash of new Set(named.map((one) => one.hash))) {
    const bytes = Object.hasOwn(files, hash) ? bytesOf(files[hash]!) : undefined;
    codes.set(hash, bytes === undefined ? 'missing' : bytes && hashOf(bytes) === hash ? null : 'altered');
  }
  const faults = named.flatMap(({ seq, id, hash }) => {
    const code = codes.get(hash);
    return code ? [{ seq, id, code }] : [];
  });
  return { named: codes.size, faults };
}

/**
 * Checks a book that was handed out, alone: its chain, its end, by whom its entries are, and the files that came with it.
 * @param witness a head known from elsewhere, such as the lab's copy of a form
 */
export async function verifyBookFile(
  file: BookFile,
  witness: Head | null,
  { kindOf, prove, filesOf, hashOf }: Means,
): Promise<VerifiedFile> {
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
    files: checkFiles(file, filesOf, hashOf),
  };
}
