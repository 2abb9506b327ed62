import { later } from '../feedback/later.tsx';
import type { WebRoom } from '../visit/room.ts';

export const dayRoom: WebRoom = {
  name: 'day',
  pages: [{ path: '/rounds/:round/day', page: async () => (await import('./DayPage.tsx')).DayPage }],
  note: later(
    async () => (await import('./FromHere.tsx')).FromHere,
    () => null,
  ),
};
