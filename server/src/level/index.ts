import { ofVisit } from '../book/derivation.ts';
import type { ServerRoom } from '../book/room.ts';
import type { Services } from '../http/index.ts';
import { levelRoutes } from './routes.ts';
import { levelRows } from './rows.ts';
import { LevelTable } from './tables.ts';

export const levelRoom: ServerRoom<Services> = { name: 'level', derived: [ofVisit(LevelTable, levelRows)], routes: levelRoutes };
export { levelsAt } from './record.ts';
