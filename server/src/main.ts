import { readSettings, startServer, stopOnSignal } from './index.ts';

stopOnSignal(await startServer(readSettings(process.env), { clock: Date.now }));
