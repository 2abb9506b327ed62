import type { WebRoom } from '../visit/room.ts';

export const readRoom: WebRoom = {
  name: 'read',
  pages: [{ path: '/rounds/:round/report', page: async () => (await import('./ReportPage.tsx')).ReportPage }],
};
