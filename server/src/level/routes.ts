import { besideLevels, besideOf, levelRecord } from '@fonte/core/level';
import type { Point } from '@fonte/core/registers';
import { route, type Route, type Services } from '../http/index.ts';
import { allThings } from '../registers/index.ts';
import { levelsAt } from './record.ts';

/** The record of a well's levels: what a new reading is compared with. */
export const levelRoutes = ({ store }: Pick<Services, 'store'>): Route[] => [
  route(besideLevels, async ({ in: { point } }) => {
    const points = await allThings<Point>(store, 'points');
    const own = points.find(({ id }) => id === point);
    return own ? besideOf(own, points, (id) => levelsAt(store, id)) : [];
  }),
  route(levelRecord, ({ in: { point } }) => levelsAt(store, point)),
];
