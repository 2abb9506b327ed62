import { ofThing } from '../book/derivation.ts';
import type { ServerRoom } from '../book/room.ts';
import type { Services } from '../http/index.ts';
import { registerRoutes } from './routes.ts';
import { thingRows } from './rows.ts';
import { ThingTable } from './tables.ts';

export const registersRoom: ServerRoom<Services> = {
  name: 'registers',
  derived: [ofThing(ThingTable, thingRows)],
  routes: registerRoutes,
};
export { allThings, listThings } from './things.ts';
