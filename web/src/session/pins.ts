import { disk } from '../disk/index.ts';

/*
 * A PIN tells the people of one device from each other, also without a signal. It is never sent: the device checks it, and says
 * with its own key who goes on. After a few wrong ones only the passphrase helps, which the server checks.
 */

/** So many wrong ones in a row lock a PIN. */
export const mostFailures = 5;

/** What a PIN must be: 4 to 8 digits, not all the same and none that counts up or down. */
export function pinProblem(pin: string): string | null {
  if (!/^\d{4,8}$/.test(pin)) return '4 to 8 digits.';
  const steps = new Set([...pin].slice(1).map((digit, index) => Number(digit) - Number(pin[index])));
  return steps.size === 1 && [0, 1, -1].includes([...steps][0]!) ? 'Too easy to guess.' : null;
}

const hex = (bytes: Uint8Array) => [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/** PBKDF2 over SHA-256, 600,000 rounds: a quarter of a second on a phone, for each guess. */
async function stretched(pin: string, salt: string): Promise<string> {
  const key = await crypto.subtle.importKey('raw', new TextEncoder().encode(pin), 'PBKDF2', false, ['deriveBits']);
  const bits = await crypto.subtle.deriveBits(
    { name: 'PBKDF2', hash: 'SHA-256', salt: new TextEncoder().encode(salt), iterations: 600_000 },
    key,
    256,
  );
  return hex(new Uint8Array(bits));
}

export async function hasPin(person: string): Promise<boolean> {
  const { pins } = await disk();
  return (await pins.get(person)) !== undefined;
}

/** Sets a person's PIN on this device. @throws Error where it is too easy */
export async function setPin(person: string, pin: string): Promise<void> {
  const problem = pinProblem(pin);
  if (problem) throw new Error(problem);
  const salt = hex(crypto.getRandomValues(new Uint8Array(16)));
  const hash = await stretched(pin, salt);
  const { pins } = await disk();
  await pins.put({ person, salt, hash, failures: 0 });
}

export async function forgetPin(person: string): Promise<void> {
  const { pins } = await disk();
  await pins.delete(person);
}

export type PinState = 'right' | 'wrong' | 'locked' | 'none';

/** Whether a PIN is this person's. Each wrong one is counted before it is known to be wrong: a reload takes none back. */
export async function checkPin(person: string, pin: string): Promise<PinState> {
  const opened = await disk();
  const kept = await opened.transaction('rw', opened.pins, async () => {
    const found = await opened.pins.get(person);
    if (found && found.failures < mostFailures) await opened.pins.update(person, { failures: found.failures + 1 });
    return found;
  });
  if (!kept) return 'none';
  if (kept.failures >= mostFailures) return 'locked';
  if ((await stretched(pin, kept.salt)) !== kept.hash) return kept.failures + 1 >= mostFailures ? 'locked' : 'wrong';
  await opened.pins.update(person, { failures: 0 });
  return 'right';
}

/** The passphrase has shown who this is: the PIN counts anew. */
export async function unlockPin(person: string): Promise<void> {
  const { pins } = await disk();
  await pins.update(person, { failures: 0 });
}
