import type { WebRoom } from '../visit/room.ts';

export const fillRoom: WebRoom = {
  name: 'fill',
  pages: [{ path: '/rounds/:round/at/:visit/fill', page: async () => (await import('./FillPage.tsx')).FillPage }],
  places: ({ point, analyses }) => (analyses.length > 0 || point.type === 'tap' ? [{ room: 'fill', label: 'Fill' }] : []),
};
