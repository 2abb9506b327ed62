import { createHash, randomBytes, randomInt } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/** A secret that somebody is handed: 256 random bits. Only its digest is kept. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** What is kept of a token. */
export const digestOf = (token: string): string => createHash('sha256').update(token).digest('hex');

const letters = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';

/** A code that is read off a console and typed: three times four letters that are not mistaken for others, 59 bits. */
export const newCode = (): string =>
  [0, 1, 2].map(() => Array.from({ length: 4 }, () => letters[randomInt(letters.length)]).join('')).join('-');

/** A code as it is compared. */
export const plainCode = (code: string): string => code.toUpperCase().replace(/[^A-Z0-9]/g, '');

/** Argon2id of a passphrase, with a salt of its own and the package's costs: 19 MiB, two passes. */
export const hashOf = (passphrase: string): Promise<string> => hash(passphrase.normalize('NFKC'));

let nobodys: Promise<string> | null = null;

/** Whether a passphrase is the one that was hashed. Where there is none it takes as long to say so. */
export async function isPassphrase(hashed: string | null, passphrase: string): Promise<boolean> {
  nobodys ??= hashOf(newToken());
  const isSame = await verify(hashed ?? (await nobodys), passphrase.normalize('NFKC'));
  return hashed !== null && isSame;
}
