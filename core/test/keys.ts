import { generateKeyPairSync, sign, type KeyObject } from 'node:crypto';
import { contentOf, keyIdOf, signedText, type Entry } from '../src/book/index.ts';
import type { Device } from '../src/registers/index.ts';

interface Pair {
  privateKey: KeyObject;
  /** The uncompressed point in base64url. */
  key: string;
}

const pairs = new Map<string, Pair>();

/** A key pair of a device's own, made once a process. */
export function pairOf(device: string): Pair {
  const known = pairs.get(device);
  if (known) return known;
  const { privateKey, publicKey } = generateKeyPairSync('ec', { namedCurve: 'P-256' });
  const { x, y } = publicKey.export({ format: 'jwk' }) as { x: string; y: string };
  const point = Buffer.concat([Buffer.from([4]), Buffer.from(x, 'base64url'), Buffer.from(y, 'base64url')]);
  const pair = { privateKey, key: point.toString('base64url') };
  pairs.set(device, pair);
  return pair;
}

export function signText(device: string, text: string): string {
  return sign('sha256', Buffer.from(text), { key: pairOf(device).privateKey, dsaEncoding: 'ieee-p1363' }).toString('base64url');
}

/** An entry as its device would send it: signed by the device's own key, or by another's. */
export function signed<E extends Entry>(entry: E, by = entry.device): E {
  const { key } = pairOf(by);
  const id = keyIdOf(key);
  const content = contentOf({ payload: entry.payload, salt: entry.salt ?? '' });
  return { ...entry, signature: { key: id, value: signText(by, signedText(entry, content, id)) } };
}

/** A registered device with people on it. */
export const deviceOf = (id: string, name: string, people: readonly { id: string }[]): Device => ({
  id,
  name,
  key: pairOf(id).key,
  people: people.map((person) => ({ person: person.id, since: '2026-01-01T08:00:00.000Z' })),
  revoked: null,
});
