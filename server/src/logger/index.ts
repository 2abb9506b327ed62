import type { ServerRoom } from '../book/room.ts';
import { loggerRoutes, type LoggerServices } from './routes.ts';

export const loggerRoom: ServerRoom<LoggerServices> = { name: 'logger', routes: loggerRoutes };
