import type { ServerRoom } from '../book/room.ts';
import { labRoutes, type LabServices } from './routes.ts';

export const labRoom: ServerRoom<LabServices> = { name: 'lab', routes: labRoutes };
export { HttpLabDesk, type DeskAddress, type LabDesks } from './desk.ts';
export { deskOf, type LabServices } from './routes.ts';
