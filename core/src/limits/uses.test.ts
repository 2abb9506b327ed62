import { expect, it } from 'vitest';
import { limitSets, setsForWater, waterOf } from './index.ts';

it('compares water with the sets of its use, and water that people drink with those of the round', () => {
  const day = '2026-11-23';
  expect(setsForWater({ water: 'irrigation' }, day)).toEqual(['irrigation-fao-29@2026-1']);
  expect(setsForWater({ water: 'stock' }, day)).toEqual(['livestock-fao-29@2026-1']);
  for (const water of ['raw', 'treated', 'private', undefined] as const) expect(setsForWater({ water }, day), water).toBeNull();
  for (const ref of [...setsForWater({ water: 'irrigation' }, day)!, ...setsForWater({ water: 'stock' }, day)!])
    expect(limitSets.find(ref)).not.toBeNull();
});

it('knows what water a set is for, one of the house by its published set', () => {
  const of = (id: string) => waterOf({ id });
  expect([of('irrigation-fao-29'), of('livestock-fao-29'), of('eu-2020-2184'), of('own')]).toEqual(['irrigation', 'stock', null, null]);
});
