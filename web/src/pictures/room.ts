import type { WebRoom } from '../visit/room.ts';

export const picturesRoom: WebRoom = {
  name: 'pictures',
  pages: [{ path: '/rounds/:round/at/:visit/pictures', page: async () => (await import('./PicturesPage.tsx')).PicturesPage }],
  places: ({ pictures }) => [{ room: 'pictures', label: pictures.length > 0 ? `Pictures (${pictures.length})` : 'Pictures' }],
};
