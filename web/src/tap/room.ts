import type { WebRoom } from '../visit/room.ts';

export const tapRoom: WebRoom = {
  name: 'tap',
  pages: [{ path: '/rounds/:round/at/:visit/tap/:procedure?', page: async () => (await import('./TapPage.tsx')).TapPage }],
  // Each run is a place of its own. The protocols themselves come with the pages of a round, not with the first page.
  places: ({ due }) => due.map(({ procedure, title }) => ({ room: 'tap', label: title, procedure })),
};
