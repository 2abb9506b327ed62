import type { WebRoom } from '../visit/room.ts';

export const reportsRoom: WebRoom = {
  name: 'reports',
  entrance: { path: '/reports', label: 'Reports' },
  pages: [
    { path: '/reports', page: async () => (await import('./ReportsPage.tsx')).ReportsPage },
    { path: '/reports/new', page: async () => (await import('./BroughtForm.tsx')).BroughtFormPage },
    { path: '/reports/:thing', page: async () => (await import('./BroughtPage.tsx')).BroughtPage },
    { path: '/reports/:thing/edit', page: async () => (await import('./BroughtForm.tsx')).BroughtFormPage },
  ],
};
