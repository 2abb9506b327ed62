import type { WebRoom } from '../visit/room.ts';

export const dueRoom: WebRoom = {
  name: 'due',
  pages: [{ path: '/due', page: async () => (await import('./DuePage.tsx')).DuePage }],
};
