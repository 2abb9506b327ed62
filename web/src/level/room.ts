import type { WebRoom } from '../visit/room.ts';

export const levelRoom: WebRoom = {
  name: 'level',
  pages: [{ path: '/rounds/:round/at/:visit/level', page: async () => (await import('./LevelPage.tsx')).LevelPage }],
  places: ({ point }) => (point.type === 'well' ? [{ room: 'level', label: 'Level' }] : []),
};
