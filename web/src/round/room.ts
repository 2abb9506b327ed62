import type { WebRoom } from '../visit/room.ts';

export const roundRoom: WebRoom = {
  name: 'round',
  pages: [{ path: '/rounds/:round', page: async () => (await import('./RoundPage.tsx')).RoundPage }],
};
