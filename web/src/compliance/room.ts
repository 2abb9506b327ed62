import type { WebRoom } from '../visit/room.ts';

export const complianceRoom: WebRoom = {
  name: 'compliance',
  pages: [{ path: '/compliance', page: async () => (await import('./CompliancePage.tsx')).CompliancePage }],
};
