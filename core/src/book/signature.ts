import { server } from '../roles/index.ts';
import { contentOf, sha256Hex, signedText } from './chain.ts';
import type { BookEntry, Entry } from './entry.ts';
import type { AnyKind } from './kind.ts';

/** Devices are few and sign much. */
const keyIds = new Map<string, string>();
const mostKeys = 2000;

/** The id of a public key (base64url of the uncompressed P-256 point): its SHA-256, which a person can compare by eye. */
export function keyIdOf(publicKey: string): string {
  const known = keyIds.get(publicKey);
  if (known !== undefined) return known;
  if (keyIds.size >= mostKeys) keyIds.clear();
  const id = sha256Hex(publicKey);
  keyIds.set(publicKey, id);
  return id;
}

/**
 * `3f9a 02c1 …`: the first half of a key's id in fours, as it is read out and compared.
 * @example fingerprint('3f9a02c1'.repeat(8)) // '3f9a 02c1 3f9a 02c1 3f9a 02c1 3f9a 02c1'
 */
export function fingerprint(key: string): string {
  return key.slice(0, 32).replace(/(.{4})(?=.)/g, '$1 ');
}

/** What of a registered device says whose its entries are. */
export interface Signer {
  id: string;
  /** Its public key: base64url of the uncompressed P-256 point. */
  key: string;
  /** Who was signed in on it, from when on (UTC). */
  people: readonly { person: string; since: string }[];
}

/** Proves one signature; each platform has its own means. */
export type Prove = (text: string, signature: string, publicKey: string) => boolean | Promise<boolean>;

/** Signs an entry. @param sign signs a text and returns the signature in base64url */
export async function signEntry<E extends Entry>(
  entry: E & { salt: string },
  publicKey: string,
  sign: (text: string) => string | Promise<string>,
): Promise<E> {
  const key = keyIdOf(publicKey);
  return { ...entry, signature: { key, value: await sign(signedText(entry, contentOf(entry), key)) } };
}

/** What is wrong with whose an entry is. */
export interface SignatureFault {
  seq: number;
  id: string;
  code: 'forged' | 'unknown-device' | 'other-key' | 'not-signed-in' | 'unsigned';
}

export interface Signatures {
  /** Entries with a good signature. */
  signed: number;
  /** What the server wrote of its own, or in somebody's name from what it keeps. */
  byServer: number;
  /** Written before devices had keys: nothing proves by whom. */
  unsigned: number;
  /** Whose words were taken away; the signature holds for the digest. */
  unreadable: number;
  faults: SignatureFault[];
}

/** Why the signature of an entry proves nothing, or null where it does. */
export async function signatureFault(
  entry: Entry & { content: string },
  signer: Signer | null,
  prove: Prove,
): Promise<SignatureFault['code'] | null> {
  if (!entry.signature) return 'unsigned';
  if (!signer || signer.id !== entry.device) return 'unknown-device';
  const { key, value } = entry.signature;
  if (keyIdOf(signer.key) !== key) return 'other-key';
  if (!(await prove(signedText(entry, entry.content, key), value, signer.key))) return 'forged';
  return signer.people.some(({ person }) => person === entry.author) ? null : 'not-signed-in';
}

/** Checks by whom the entries of a book are, in order, against the devices that are registered or came along with it. */
export async function checkSignatures(
  entries: Iterable<BookEntry>,
  signerOf: (device: string) => Signer | null | Promise<Signer | null>,
  kindOf: (name: string) => Pick<AnyKind, 'madeBy'> | null,
  prove: Prove,
): Promise<Signatures> {
  const told: Signatures = { signed: 0, byServer: 0, unsigned: 0, unreadable: 0, faults: [] };
  let isSignedHere = false;
  for (const entry of entries) {
    const { seq, id, content, salt } = entry;
    if (content !== undefined && salt === undefined) told.unreadable += 1;
    if (entry.author === server || kindOf(entry.kind)?.madeBy === 'server') told.byServer += 1;
    else if (!entry.signature || content === undefined) {
      // Once devices of a book sign, an entry without a signature is none of theirs.
      if (isSignedHere) told.faults.push({ seq, id, code: 'unsigned' });
      else told.unsigned += 1;
    } else {
      isSignedHere = true;
      const code = await signatureFault({ ...entry, content }, await signerOf(entry.device), prove);
      if (code) told.faults.push({ seq, id, code });
      else told.signed += 1;
    }
  }
  return told;
}
