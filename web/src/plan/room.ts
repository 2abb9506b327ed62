import type { WebRoom } from '../visit/room.ts';

export const planRoom: WebRoom = {
  name: 'plan',
  entrance: { path: '/rounds', label: 'Rounds' },
  pages: [
    { path: '/rounds', page: async () => (await import('./RoundsPage.tsx')).RoundsPage },
    { path: '/rounds/new', page: async () => (await import('./NewRoundPage.tsx')).NewRoundPage },
  ],
};
