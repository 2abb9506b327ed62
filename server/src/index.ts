export { createApp } from './app/app.ts';
export { startServer, stopOnSignal, type RunningServer } from './app/server.ts';
export type { Services } from './app/services.ts';
export { readSettings, type ServerSettings } from './app/settings.ts';
export { Books } from './book/books.ts';
export { allRows } from './book/rows.ts';
export { HttpLabDesk } from './lab/desk.ts';
export { verifyBooks } from './book/verify.ts';
export { FileTable, openStore } from './store/index.ts';
