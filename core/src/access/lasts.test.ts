import { describe, expect, it } from 'vitest';
import { invitationLasts, mustProve, newsLast, Passphrase, proofLasts, sessionLasts } from './index.ts';

const days = (count: number) => count * 24 * 60 * 60 * 1000;

// What the house has decided, in the words of a calendar; no standard gives a figure.
describe('how long a way in is open', () => {
  it('is a quarter of an hour for a signature, two months for a session, a week for a link; what happened is told for a fortnight', () => {
    expect(new Date(proofLasts).toISOString()).toBe('1970-01-01T00:15:00.000Z');
    expect(sessionLasts).toBe(days(60));
    expect(invitationLasts).toBe(days(7));
    expect(newsLast).toBe(days(14));
  });

  it('asks for the passphrase again after a quarter of an hour, and not before', () => {
    const at = Date.UTC(2026, 10, 23, 9, 0);
    const me = { provenAt: at } as Parameters<typeof mustProve>[0];
    expect(mustProve(me, Date.UTC(2026, 10, 23, 9, 15))).toBe(false);
    expect(mustProve(me, Date.UTC(2026, 10, 23, 9, 15, 1))).toBe(true);
  });

  it('takes a passphrase of twelve letters, and none of eleven', () => {
    expect(Passphrase.safeParse('twelve words').success).toBe(true);
    expect(Passphrase.safeParse('eleven word').success).toBe(false);
  });
});
