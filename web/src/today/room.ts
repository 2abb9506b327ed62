import type { WebRoom } from '../visit/room.ts';

export const todayRoom: WebRoom = {
  name: 'today',
  entrance: { path: '/', label: 'Today' },
  pages: [{ path: '/', page: null }],
};
