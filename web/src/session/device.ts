import { challenge, proofText } from '@fonte/core/access';
import { ApiProblem, call } from '../api/call.ts';
import { newId, signEntry, type Entry } from '@fonte/core/book';
import { disk, type KeptKey } from '../disk/index.ts';
import { now } from '../time/clock.ts';

const base64url = (bytes: ArrayBuffer): string =>
  btoa(String.fromCharCode(...new Uint8Array(bytes)))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/, '');

const idKey = 'fonte.device';

/** This browser and system in two words, until a person gives the device a name. */
export function usualDeviceName(agent = navigator.userAgent): string {
  const system = /Android|iPhone|iPad|Windows|Mac OS|Linux/.exec(agent)?.[0] ?? 'Device';
  const browser = /Firefox|Edg|Chrome|Safari/.exec(agent)?.[0] ?? 'browser';
  return `${system.replace('Mac OS', 'Mac')}, ${browser.replace('Edg', 'Edge')}`;
}

async function makeKey(): Promise<KeptKey> {
  const { subtle } = globalThis.crypto;
  if (!(subtle as SubtleCrypto | undefined)) throw new Error('This page is not open over HTTPS: the device cannot sign what you write.');
  const pair = await subtle.generateKey({ name: 'ECDSA', namedCurve: 'P-256' }, false, ['sign', 'verify']);
  const key = base64url(await subtle.exportKey('raw', pair.publicKey));
  return { id: newId(now()), name: usualDeviceName(), key, privateKey: pair.privateKey };
}

let own: Promise<KeptKey> | null = null;

/** This device with its key pair: made once and kept. In a window that keeps nothing, for as long as it is open. */
export function ownDevice(): Promise<KeptKey> {
  own ??= (async () => {
    try {
      const { keys } = await disk();
      const known = await keys.toCollection().first();
      if (known) return known;
      const made = await makeKey();
      await keys.add(made);
      return made;
    } catch (failure) {
      if (failure instanceof Error && failure.message.includes('HTTPS')) throw failure;
      return makeKey();
    }
  })().then((device) => {
    try {
      localStorage.setItem(idKey, device.id);
    } catch {
      // It is known as long as this page is open.
    }
    return device;
  });
  own.catch(() => {
    own = null;
  });
  return own;
}

/** Another device from now on, as the one before was reported lost: what it signed stays as it is. */
export async function anotherDevice(): Promise<KeptKey> {
  // Where nothing can be kept there is nothing to forget either.
  await (await disk().catch(() => null))?.keys.clear();
  own = null;
  return ownDevice();
}

export async function nameDevice(name: string): Promise<void> {
  const device = await ownDevice();
  await (await disk().catch(() => null))?.keys.update(device.id, { name });
  own = Promise.resolve({ ...device, name });
}

/** Signs a text with this device's key: ECDSA over P-256 with SHA-256, base64url. */
export async function signText(text: string): Promise<string> {
  const { privateKey } = await ownDevice();
  return base64url(await crypto.subtle.sign({ name: 'ECDSA', hash: 'SHA-256' }, privateKey, new TextEncoder().encode(text)));
}

/** An entry with this device's signature. */
export async function signed<E extends Entry>(entry: E): Promise<E> {
  const { key } = await ownDevice();
  return signEntry({ ...entry, salt: entry.salt! }, key, signText);
}

/** What the device says of itself, or of a person that goes on, over a challenge of the server's, signed by it. */
interface Proof {
  challenge: string;
  proof: string;
}

async function proof(what: Parameters<typeof proofText>[0], about: string): Promise<Proof> {
  const { id } = await ownDevice();
  const { challenge: text } = await call(challenge, {});
  return { challenge: text, proof: await signText(proofText(what, id, about, text)) };
}

/**
 * Sends something with a proof. Where the challenge has grown too old on its way, or the server has started anew since it made it, once
 * more with a fresh one. @throws NoConnection, ApiProblem
 */
export async function withProof<T>(what: Parameters<typeof proofText>[0], about: string, send: (shown: Proof) => Promise<T>): Promise<T> {
  try {
    return await send(await proof(what, about));
  } catch (failure) {
    if (!(failure instanceof ApiProblem) || failure.code !== 'stale-proof') throw failure;
    return send(await proof(what, about));
  }
}

/** For signing in: that this is the device that it is, where it can say so; others' failures do not hold its people up. */
export async function knownProof(): Promise<({ device: string } & Proof) | undefined> {
  try {
    return { device: (await ownDevice()).id, ...(await proof('sign-in', 'sign-in')) };
  } catch {
    return undefined;
  }
}
