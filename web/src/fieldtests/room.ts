import type { WebRoom } from '../visit/room.ts';

export const fieldTestsRoom: WebRoom = {
  name: 'fieldtests',
  pages: [{ path: '/rounds/:round/at/:visit/fieldtests', page: async () => (await import('./FieldTestsPage.tsx')).FieldTestsPage }],
  places: () => [{ room: 'fieldtests', label: 'Tests' }],
};
