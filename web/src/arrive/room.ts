import type { WebRoom } from '../visit/room.ts';

export const arriveRoom: WebRoom = {
  name: 'arrive',
  pages: [{ path: '/rounds/:round/at/:visit/arrive', page: async () => (await import('./ArrivePage.tsx')).ArrivePage }],
  places: () => [{ room: 'arrive', label: 'Arrive' }],
};
