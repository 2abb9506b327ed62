import { newId, writeEntry } from '@fonte/core/book';
import { roundPlanned } from '@fonte/core/plan';
import { pointRegistered, type Point } from '@fonte/core/registers';
import { editionsOn } from '@fonte/core/round';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { signed } from '../../core/test/keys.ts';
import { coordinator, phone, tapPoint } from '../../core/test/script.ts';
import { bench, type Bench } from './bench-server.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

/** A point as pages wrote it before there were kinds and places. */
const id = newId(Date.UTC(2026, 10, 1));
const { kind: _, ...first } = { ...tapPoint, id, code: 'OLD', name: 'Old tap' };
const pen = (book: string) => ({ book, author: coordinator.id, device: phone, now: at.script.now, offset: 0 });
const registered = () => ({ ...writeEntry(pen(id), pointRegistered, first as Point), payload: first, version: 1 });

describe('a point that an earlier page registers', () => {
  it('is taken as it is signed, and read as one whose kind nobody said', async () => {
    expect((await at.post(signed(registered()), id)).status).toBe(201);
    const { body } = await at.api.get(`/api/points/${id}`);
    expect(body).toEqual({ ...first, kind: 'outlet' });
  });

  it('stands in a round that such a page plans, and in one of today’s', async () => {
    await at.post(signed(registered()), id);
    const visits = (point: object) => [{ id: newId(at.script.now), point, analyses: ['coliforms'] }];
    const plan = { name: 'R', system: 'S', date: '2026-11-23', zone: 'UTC', lab: null, editions: editionsOn('2026-11-23') };
    const post = (code: string, version: number, point: object) => {
      const book = newId(at.script.now);
      const payload = { ...plan, code, visits: visits(point) };
      return at.post(signed({ ...writeEntry(pen(book), roundPlanned, payload as never), payload, version }), book);
    };
    expect((await post('OLDPAGE', 2, first)).status).toBe(201);
    expect((await post('NEWPAGE', 3, { ...first, kind: 'outlet' })).status).toBe(201);
    const other = await post('NOTSAID', 3, { ...first, kind: 'spring' });
    expect(other.body).toMatchObject({ status: 422, errors: [{ path: 'payload.visits.0.point' }] });
  });
});
