import type { WebRoom } from '../visit/room.ts';

export const loggerRoom: WebRoom = {
  name: 'logger',
  pages: [
    { path: '/rounds/:round/box-record', page: async () => (await import('./BoxRecordPage.tsx')).BoxRecordPage },
    { path: '/loggers', page: async () => (await import('./LoggersPage.tsx')).LoggersPage },
    { path: '/loggers/new', page: async () => (await import('./LoggerForm.tsx')).LoggerFormPage },
    { path: '/loggers/:thing', page: async () => (await import('./LoggerPage.tsx')).LoggerPage },
    { path: '/loggers/:thing/edit', page: async () => (await import('./LoggerForm.tsx')).LoggerFormPage },
  ],
};
