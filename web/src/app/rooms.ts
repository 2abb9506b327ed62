import { accessRoom } from '../access/room.ts';
import { arriveRoom } from '../arrive/room.ts';
import { benchRoom } from '../bench/room.ts';
import { cultureRoom } from '../culture/room.ts';
import { custodyRoom } from '../custody/room.ts';
import { dayRoom } from '../day/room.ts';
import { complianceRoom } from '../compliance/room.ts';
import { dueRoom } from '../due/room.ts';
import { fieldTestsRoom } from '../fieldtests/room.ts';
import { fillRoom } from '../fill/room.ts';
import { kitRoom } from '../kit/room.ts';
import { levelRoom } from '../level/room.ts';
import { loggerRoom } from '../logger/room.ts';
import { limitsRoom } from '../limits/room.ts';
import { picturesRoom } from '../pictures/room.ts';
import { planRoom } from '../plan/room.ts';
import { prepareRoom } from '../prepare/room.ts';
import { purgeRoom } from '../purge/room.ts';
import { readRoom } from '../read/room.ts';
import { readyRoom } from '../ready/room.ts';
import { registersRoom } from '../registers/room.ts';
import { reportsRoom } from '../reports/room.ts';
import { roundRoom } from '../round/room.ts';
import { tapRoom } from '../tap/room.ts';
import { todayRoom } from '../today/room.ts';
import type { WebRoom } from '../visit/room.ts';

/** The rooms of the page, in the order in which a person passes them. */
export const rooms: readonly WebRoom[] = [
  todayRoom,
  dueRoom,
  planRoom,
  registersRoom,
  reportsRoom,
  accessRoom,
  readyRoom,
  benchRoom,
  roundRoom,
  dayRoom,
  prepareRoom,
  arriveRoom,
  levelRoom,
  purgeRoom,
  tapRoom,
  fieldTestsRoom,
  fillRoom,
  picturesRoom,
  custodyRoom,
  kitRoom,
  cultureRoom,
  readRoom,
  loggerRoom,
  limitsRoom,
  complianceRoom,
  {
    name: 'book',
    pages: [
      { path: '/rounds/:round/book', page: async () => (await import('../book/BookPage.tsx')).BookPage },
      { path: '/outbox', page: async () => (await import('../book/OutboxPage.tsx')).OutboxPage },
      { path: '/verify', page: async () => (await import('../book/VerifyPage.tsx')).VerifyPage },
    ],
  },
];

/** Every address that has a page; one whose end may be left out is two. The server answers 404 to any other. */
export function addresses(): string[] {
  const all = rooms.flatMap((room) => room.pages.map(({ path }) => path));
  return all.flatMap((path) => (path.endsWith('?') ? [path.replace(/\/:[^/]+\?$/, ''), path.slice(0, -1)] : [path]));
}
