import { runsOf } from '@fonte/core/tap';
import type { WebRoom } from '../visit/room.ts';

export const tapRoom: WebRoom = {
  name: 'tap',
  pages: [{ path: '/rounds/:round/at/:visit/tap/:procedure?', page: async () => (await import('./TapPage.tsx')).TapPage }],
  // Each run is a place of its own.
  places: (visit) => runsOf(visit).map(({ procedure, protocol }) => ({ room: 'tap', label: protocol.title, procedure })),
};
