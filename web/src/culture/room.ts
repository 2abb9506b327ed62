import type { WebRoom } from '../visit/room.ts';

export const cultureRoom: WebRoom = {
  name: 'culture',
  pages: [{ path: '/rounds/:round/culture', page: async () => (await import('./CulturePage.tsx')).CulturePage }],
};
