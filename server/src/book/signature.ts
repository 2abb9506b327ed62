import { createPublicKey, verify, type KeyObject } from 'node:crypto';
import { LRUCache } from 'lru-cache';

const keys = new LRUCache<string, KeyObject>({ max: 2000 });

/** The key whose uncompressed point this is. @throws where it is none on the curve */
function keyOf(publicKey: string): KeyObject {
  const known = keys.get(publicKey);
  if (known) return known;
  const point = Buffer.from(publicKey, 'base64url');
  const [x, y] = [point.subarray(1, 33).toString('base64url'), point.subarray(33, 65).toString('base64url')];
  const key = createPublicKey({ key: { kty: 'EC', crv: 'P-256', x, y }, format: 'jwk' });
  keys.set(publicKey, key);
  return key;
}

/** What a signature is proven with. */
export const asKey = (publicKey: string) => ({ key: keyOf(publicKey), dsaEncoding: 'ieee-p1363' as const });

/** Whether a text was signed by the holder of a key (ECDSA over P-256, SHA-256; both in base64url). */
export function isSignedBy(text: string, signature: string, publicKey: string): boolean {
  try {
    return verify('sha256', Buffer.from(text), asKey(publicKey), Buffer.from(signature, 'base64url'));
  } catch {
    return false;
  }
}
