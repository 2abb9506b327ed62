import type { WebRoom } from '../visit/room.ts';

export const custodyRoom: WebRoom = {
  name: 'custody',
  pages: [{ path: '/rounds/:round/custody', page: async () => (await import('./CustodyPage.tsx')).CustodyPage }],
};
