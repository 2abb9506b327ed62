import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { Problem } from '../http/index.ts';

/** A challenge is good for so long, in ms. */
export const challengeLasts = 5 * 60_000;

/**
 * Texts that a device signs to show that it holds its key now: the server made them, minutes ago at most, and each is taken once. A
 * proof that somebody saw is worth nothing again.
 */
export class Challenges {
  private readonly key = randomBytes(32);
  /** Those that were taken, with the moment (ms) from which they are too old anyway. */
  private readonly taken = new Map<string, number>();

  /** @param clock ms that only real time moves on: the demo's clock is moved by hand, while a proof is on its way */
  constructor(private readonly clock: () => number = () => performance.now()) {}

  make(): string {
    const text = `${Math.round(this.clock() + challengeLasts).toString(36)}.${randomBytes(16).toString('base64url')}`;
    return `${text}.${this.seal(text)}`;
  }

  /** Takes a challenge, once. @throws Problem 403 where the server did not make it, it is too old, or it was taken before */
  take(challenge: string): void {
    const [until = '', random = '', seal = ''] = challenge.split('.');
    const [mine, theirs] = [this.seal(`${until}.${random}`), seal].map((text) => Buffer.from(text));
    const isOurs = mine!.length === theirs!.length && timingSafeEqual(mine!, theirs!);
    const now = this.clock();
    for (const [old, end] of this.taken) if (end < now) this.taken.delete(old);
    if (!isOurs || parseInt(until, 36) < now || this.taken.has(challenge))
      throw new Problem(403, 'stale-proof', 'This proof is too old, or was used before. Try again.');
    this.taken.set(challenge, parseInt(until, 36));
  }

  private seal(text: string): string {
    return createHmac('sha256', this.key).update(text).digest('base64url');
  }
}
