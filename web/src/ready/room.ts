import type { WebRoom } from '../visit/room.ts';

export const readyRoom: WebRoom = {
  name: 'ready',
  pages: [{ path: '/ready', page: async () => (await import('./ReadyPage.tsx')).ReadyPage }],
};
