import { readSettings, startServer, stopOnSignal } from './index.ts';

try {
  await startServer(readSettings(process.env), { clock: Date.now, onStart: stopOnSignal });
} catch (error) {
  // A wrong setting, a port in use, a file that is no database: one line says it.
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
