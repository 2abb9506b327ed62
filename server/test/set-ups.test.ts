import { purgeSetUp, type EarlierSetUp } from '@fonte/core/purge';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { wellPoint } from '../../core/test/script.ts';
import { bench, type Bench } from './bench-server.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

it('tells how a well was set up before, as it stands now, and of no other point', async () => {
  const none = { method: 'none' as const, sampler: 'passive' as const, reason: 'a bag hangs in the screen' };
  const asked = async (point: string) => (await at.api.get(`/api/points/${point}/set-ups`)).body as EarlierSetUp[];
  expect(await asked(wellPoint.id)).toEqual([]);
  await at.post(at.script.atWell(purgeSetUp, none));
  await at.post(at.script.atWell(purgeSetUp, { ...none, reason: 'two bags hang in the screen' }));
  expect(await asked(wellPoint.id)).toMatchObject([
    { round: at.script.book, visit: at.script.well, mark: null, chosen: { reason: 'two bags hang in the screen' } },
  ]);
  expect(await asked(at.script.tap)).toEqual([]);
});
