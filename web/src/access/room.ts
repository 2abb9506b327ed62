import { joinPath } from '@fonte/core/access';
import type { WebRoom } from '../visit/room.ts';

export const accessRoom: WebRoom = {
  name: 'access',
  pages: [
    { path: '/people', page: async () => (await import('./PeoplePage.tsx')).PeoplePage },
    { path: '/devices', page: async () => (await import('./DevicesPage.tsx')).DevicesPage },
    { path: '/door', page: async () => (await import('./DoorBookPage.tsx')).DoorBookPage },
    { path: '/me', page: async () => (await import('./MePage.tsx')).MePage },
    // Whoever is signed in already and opens a link comes here.
    { path: joinPath, page: async () => (await import('./MePage.tsx')).MePage },
  ],
};
