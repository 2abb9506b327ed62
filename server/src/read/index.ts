import { ofRound } from '../book/derivation.ts';
import type { ServerRoom } from '../book/room.ts';
import { readRoutes, type ReadServices } from './routes.ts';
import { resultRows } from './rows.ts';
import { columnsRows } from './remembered.ts';
import { ColumnsTable, ResultTable } from './tables.ts';

export const readRoom: ServerRoom<ReadServices> = {
  name: 'read',
  derived: [ofRound(ResultTable, resultRows), ofRound(ColumnsTable, columnsRows)],
  routes: readRoutes,
};
export { FileReader } from './reader.ts';
export type { ReadServices } from './routes.ts';
export type { LoggerJob } from './jobs.ts';
