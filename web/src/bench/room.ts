import type { WebRoom } from '../visit/room.ts';

export const benchRoom: WebRoom = {
  name: 'bench',
  entrance: { path: '/bench', label: 'Bench' },
  pages: [{ path: '/bench', page: async () => (await import('./BenchPage.tsx')).BenchPage }],
};
