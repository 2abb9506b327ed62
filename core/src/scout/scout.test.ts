import { describe, expect, it } from 'vitest';
import { phone, tapPoint, technician } from '../../test/script.ts';
import { newId, struck, writeEntry, type Entry } from '../book/index.ts';
import { pointRegistered } from '../registers/index.ts';
import { belongsIn, kindOf, sayEntry } from '../round/index.ts';
import { pointScouted, sayScouted, scoutedIn, scoutedSince } from './index.ts';

const at = (minutes: number) => ({
  book: tapPoint.id,
  author: technician.id,
  device: phone,
  now: Date.UTC(2026, 10, 20, 9, minutes),
  offset: 0,
});
const nothing = { pictures: [], outlet: '', found: [], note: '' };
const picture = { sha256: 'a'.repeat(64), type: 'image/jpeg' as const, size: 90_000, shows: 'left one', arrow: null };
const registered = writeEntry(at(0), pointRegistered, tapPoint) as Entry;
const first = writeEntry(at(5), pointScouted, { ...nothing, outlet: 'the left one', pictures: [picture] }) as Entry;
const second = writeEntry(at(9), pointScouted, { ...nothing, found: ['hose', 'low-clearance'], note: 'ladder' }) as Entry;
const strike = writeEntry(at(12), struck, { entry: second.id, kind: pointScouted.kind, reason: 'wrong point' }) as Entry;

describe('what is seen at a point without a round', () => {
  it('stands newest first, with the outlet that was used and what is odd about it', () => {
    const seen = scoutedIn([second, registered, first]);
    expect(seen.map(({ entry }) => entry)).toEqual([second.id, first.id]);
    expect(sayScouted(seen[1]!)).toEqual(['Used last time: the left one']);
    expect(sayScouted(seen[0]!)).toEqual([
      'Hose, quick-connect or vacuum breaker on it',
      'So near the ground that it splashes back',
      'ladder',
    ]);
    expect(seen[0]!.at).toBe(Date.UTC(2026, 10, 20, 9, 9));
  });

  it('goes where it is struck, and is not told twice once it has come to the server', () => {
    expect(scoutedIn([first, second, strike]).map(({ entry }) => entry)).toEqual([first.id]);
    const known = scoutedIn([first]);
    expect(scoutedSince(known, [first, second]).map(({ entry }) => entry)).toEqual([second.id, first.id]);
    expect(scoutedSince(scoutedIn([first, second]), [strike]).map(({ entry }) => entry)).toEqual([first.id]);
    expect(scoutedSince([], [second, strike])).toEqual([]);
  });

  it('says something, or is not written; and names its pictures, so that they go first', () => {
    expect(pointScouted.payload.safeParse({ note: ' ' }).error?.issues[0]).toMatchObject({
      path: ['note'],
      message: 'Take a picture, or write down what you see.',
    });
    expect(pointScouted.payload.safeParse({ pictures: [picture, picture] }).success).toBe(false);
    expect(pointScouted.files(pointScouted.payload.parse({ pictures: [picture] }))).toEqual([picture.sha256]);
  });

  it('stands in the book of a point, of no other thing and of no round', () => {
    expect((['points', 'labs', 'round'] as const).map((type) => belongsIn(pointScouted.kind, type))).toEqual([true, false, false]);
    expect(belongsIn(struck.kind, 'labs')).toBe(false);
    expect(kindOf(pointScouted.kind)?.by).toEqual(['technician', 'coordinator']);
    expect(sayEntry({ ...first, id: newId(0) })).toContain('Used last time: the left one. 1 picture');
  });
});
