import type { WebRoom } from '../visit/room.ts';

export const kitRoom: WebRoom = {
  name: 'kit',
  pages: [{ path: '/rounds/:round/kit', page: async () => (await import('./KitPlace.tsx')).KitPlace }],
};
