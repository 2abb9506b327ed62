import type { WebRoom } from '../visit/room.ts';

export const purgeRoom: WebRoom = {
  name: 'purge',
  pages: [{ path: '/rounds/:round/at/:visit/purge', page: async () => (await import('./PurgePage.tsx')).PurgePage }],
  places: ({ purge, analyses }) => (purge && analyses.length > 0 ? [{ room: 'purge', label: 'Purge' }] : []),
};
