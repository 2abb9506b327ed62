import { describe, expect, it } from 'vitest';
import { canonicalJson, sha256Hex } from '../book/index.ts';
import { refOf } from '../editions/index.ts';
import { allEditions, editionsOn } from './index.ts';
import released from './released.json' with { type: 'json' };

/*
 * released.json names every edition that users' rounds may be judged by, with its digest. Do not change a digest there: it
 * means that finished work would be judged by other words than it was. Add an edition beside the old one, and its line.
 */
const digests = Object.fromEntries(allEditions.map((edition) => [refOf(edition), sha256Hex(canonicalJson(edition))]));

describe('editions', () => {
  it('are not edited once they are released', () => {
    expect(digests).toEqual(released);
  });

  it('have a source, and a day from which they hold', () => {
    for (const edition of allEditions) {
      expect(edition.source.length, edition.id).toBeGreaterThan(10);
      expect(edition.from, edition.id).toMatch(/^\d{4}-\d{2}-\d{2}$/);
    }
  });

  it('are found by the day of a round, also for a day before there were any', () => {
    expect(editionsOn('2026-11-23')).toEqual(editionsOn('1999-01-01'));
    for (const ref of Object.values(editionsOn('2026-11-23')).flat()) expect(Object.keys(released)).toContain(ref);
  });
});
