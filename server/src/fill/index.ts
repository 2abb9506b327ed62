import { ofVisit } from '../book/derivation.ts';
import type { ServerRoom } from '../book/room.ts';
import { fillRows } from './rows.ts';
import { BottleTable } from './tables.ts';

export const fillRoom: ServerRoom<unknown> = { name: 'fill', derived: [ofVisit(BottleTable, fillRows)] };
