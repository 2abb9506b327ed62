import { verify } from 'node:crypto';
import type { Prove } from '@fonte/core/book';
import { Problem } from '../http/index.ts';
import { textToSign, type Parsed } from './door.ts';
import type { Registry } from './registry.ts';
import { asKey, isSignedBy } from './signature.ts';

/** From so many entries on it pays to have their signatures proven on the other cores. */
const many = 8;

function isSignedBeside(text: string, signature: string, publicKey: string): Promise<boolean> {
  return new Promise((tell) => {
    try {
      verify('sha256', Buffer.from(text), asKey(publicKey), Buffer.from(signature, 'base64url'), (error, isGood) => {
        tell(!error && isGood);
      });
    } catch {
      tell(false);
    }
  });
}

/** Signatures of many entries, worked out on the other cores while the entries before them are prepared. */
export class Proofs {
  private readonly begun = new Map<string, Promise<boolean>>();

  begin(text: string, signature: string, publicKey: string): void {
    this.begun.set(JSON.stringify([text, signature, publicKey]), isSignedBeside(text, signature, publicKey));
  }

  /** What was begun is awaited; any other signature is proven here and now. */
  readonly prove: Prove = (text, signature, publicKey) =>
    this.begun.get(JSON.stringify([text, signature, publicKey])) ?? isSignedBy(text, signature, publicKey);
}

/** Begins to prove the signatures of entries, where they are many; of those that stand already nothing is proven. */
export async function proofsOf(read: readonly (Parsed | Problem)[], registry: Registry, stands: (id: string) => boolean): Promise<Proofs> {
  const proofs = new Proofs();
  if (read.length < many) return proofs;
  for (const parsed of read) {
    if (parsed instanceof Problem || stands(parsed.entry.id)) continue;
    const text = textToSign(parsed);
    const device = text === null ? null : await registry.thing('devices', parsed.entry.device);
    if (text !== null && device) proofs.begin(text, parsed.entry.signature!.value, device.key);
  }
  return proofs;
}
