import type { ServerRoom } from '../book/room.ts';
import type { AccessServices } from './access.ts';
import { accessRoutes } from './routes.ts';

export const accessRoom: ServerRoom<AccessServices> = { name: 'access', routes: accessRoutes };
export type { AccessServices } from './access.ts';
export { doorkeeper } from './routes.ts';
export { newCode } from './secrets.ts';
export { endAllAccess } from './sessions.ts';
export { linkOnConsole } from './news.ts';
