import { lazy } from 'react';
import type { WebRoom } from '../visit/room.ts';

export const picturesRoom: WebRoom = {
  name: 'pictures',
  pages: [{ path: '/rounds/:round/at/:visit/pictures', page: async () => (await import('./PicturesPage.tsx')).PicturesPage }],
  places: ({ pictures, remarks }) => {
    const count = pictures.length + remarks.length;
    return [{ room: 'pictures', label: count > 0 ? `Pictures (${count})` : 'Pictures' }];
  },
  besideName: lazy(async () => ({ default: (await import('./RemarkHere.tsx')).RemarkHere })),
};
