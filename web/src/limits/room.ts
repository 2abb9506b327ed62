import type { WebRoom } from '../visit/room.ts';

export const limitsRoom: WebRoom = {
  name: 'limits',
  pages: [{ path: '/rounds/:round/verdict', page: async () => (await import('./VerdictPage.tsx')).VerdictPage }],
};
