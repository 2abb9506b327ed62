import { levelRead } from '@fonte/core/level';
import { analysisRemoved } from '@fonte/core/plan';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { tapPoint, wellPoint } from '../../../core/test/script.ts';
import { bench, type Bench } from '../../test/bench-server.ts';
import { derivation } from '../app/rooms.ts';
import type { VisitRow } from '../plan/tables.ts';
import { allRows } from './rows.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

const level = (text: string) =>
  at.post(at.script.atWell(levelRead, { measuringPoint: 'North rim', depth: { text, unit: 'm' }, water: 'static' }));

it('derives rounds, visits and bottles from the plan alone', async () => {
  const rows = await allRows(at.store, derivation);
  expect(rows['rounds']).toMatchObject([{ id: at.script.book, code: '261123A', closed: 0 }]);
  const visits = rows['visits']!.map((row) => row as VisitRow).sort((a, b) => b.point.localeCompare(a.point));
  expect(visits).toMatchObject([
    { point: tapPoint.id, analyses: 'coliforms' },
    { point: wellPoint.id, sample: 'routine' },
  ]);
  expect(rows['bottles']!.map((row) => row.id)).toEqual([
    '261123A-MH1-B',
    '261123A-MW3-A',
    '261123A-MW3-G',
    '261123A-MW3-M',
    '261123A-MW3-N',
  ]);
  expect(rows['things']).toHaveLength(7);
});

it('takes rows away again when what made them is gone', async () => {
  await level('7.40');
  await level('7.40');
  expect((await allRows(at.store, derivation))['levels']).toHaveLength(1);
  const second = (await at.entries()).at(-1)!;
  await at.post(at.script.correct(second, 'another well'));
  await at.post(at.script.atWell(analysisRemoved, { analysis: 'nutrients' }));
  const rows = await allRows(at.store, derivation);
  expect(rows['levels']).toEqual([]);
  expect(rows['bottles']!.map((row) => row.id)).not.toContain('261123A-MW3-N');
});

it('writes nothing when an entry is refused', async () => {
  const before = await allRows(at.store, derivation);
  await level('abc');
  await level('-50');
  expect(await allRows(at.store, derivation)).toEqual(before);
});
