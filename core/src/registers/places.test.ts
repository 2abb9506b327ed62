import { describe, expect, it } from 'vitest';
import { idOf, tapPoint, wellPoint } from '../../test/script.ts';
import { findPlaces, placeOf, PointPlace } from './index.ts';

const places = [
  placeOf({ ...wellPoint, zone: 'Tannery' }),
  placeOf({ ...tapPoint, name: 'Lavadouro do Chão', position: { latitude: 36.5, longitude: -31.1 } }),
  placeOf({ ...tapPoint, id: idOf(13), kind: 'spring', name: 'Public spring', zone: 'Hills', outOfUse: { reason: 'dry' } }),
];
const found = (search: Parameters<typeof findPlaces>[1]) => findPlaces(places, search).map(({ name }) => name);

describe('a search among all points', () => {
  it.each([
    [{}, ['Tannery 3', 'Lavadouro do Chão', 'Public spring']],
    [{ text: 'chao' }, ['Lavadouro do Chão']],
    [{ text: '  MW3 lomba ' }, ['Tannery 3']],
    [{ text: 'house tap' }, ['Lavadouro do Chão']],
    [{ text: 'nothing' }, []],
    [{ kinds: ['spring', 'monitoring-well'] }, ['Tannery 3', 'Public spring']],
    [{ zones: ['Hills'] }, ['Public spring']],
    [{ state: 'in-use' as const, text: 'porto' }, ['Lavadouro do Chão']],
    [{ state: 'out-of-use' as const }, ['Public spring']],
  ])('for %j', (search, names) => {
    expect(found(search)).toEqual(names);
  });

  it('has of each what its schema says, and no more', () => {
    for (const place of places) expect(PointPlace.parse(place)).toEqual(place);
  });
});
