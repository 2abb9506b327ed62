import { accessRoom, type AccessServices } from '../access/index.ts';
import { arriveRoom } from '../arrive/index.ts';
import { Derivation } from '../book/derivation.ts';
import type { ServerRoom } from '../book/room.ts';
import { bookRoutes } from '../book/routes.ts';
import { complianceRoom } from '../compliance/index.ts';
import { dueRoom } from '../due/index.ts';
import { fillRoom } from '../fill/index.ts';
import { labRoom } from '../lab/index.ts';
import { levelRoom } from '../level/index.ts';
import { loggerRoom } from '../logger/index.ts';
import { picturesRoom } from '../pictures/index.ts';
import { planRoom } from '../plan/index.ts';
import { prepareRoom } from '../prepare/index.ts';
import { purgeRoom } from '../purge/index.ts';
import { readRoom, type ReadServices } from '../read/index.ts';
import { scoutRoom } from '../scout/index.ts';
import { registersRoom } from '../registers/index.ts';

/** Everything that the rooms together work with. */
export type AllServices = ReadServices & AccessServices;

/** The rooms of the server, in one order everywhere. */
export const rooms: readonly ServerRoom<AllServices>[] = [
  { name: 'book', routes: bookRoutes },
  accessRoom,
  registersRoom,
  dueRoom,
  planRoom,
  prepareRoom,
  arriveRoom,
  levelRoom,
  purgeRoom,
  fillRoom,
  picturesRoom,
  scoutRoom,
  labRoom,
  readRoom,
  loggerRoom,
  complianceRoom,
];

/** Counted up with every change of what stands in a derived table: a database of before is then derived anew at the start. */
const edition = '19';

/** What the rooms derive from the books. */
export const derivation = new Derivation(
  edition,
  rooms.flatMap((room) => room.derived ?? []),
);
