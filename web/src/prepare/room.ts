import type { WebRoom } from '../visit/room.ts';

export const prepareRoom: WebRoom = {
  name: 'prepare',
  pages: [{ path: '/rounds/:round/prepare', page: async () => (await import('./PreparePage.tsx')).PreparePage }],
};
