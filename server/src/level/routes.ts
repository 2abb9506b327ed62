import { levelRecord } from '@fonte/core/level';
import { route, type Route, type Services } from '../http/index.ts';
import { levelsAt } from './record.ts';

/** The record of a well's levels: what a new reading is compared with. */
export const levelRoutes = ({ store }: Pick<Services, 'store'>): Route[] => [
  route(levelRecord, ({ in: { point } }) => levelsAt(store, point)),
];
