import { existsSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { resolve } from 'node:path';
import { makerOf, readSettings, startServer, stopOnSignal } from '@fonte/server';
import { demoClock, demoMorning } from './clock.ts';
import { lab, people } from './data/registers.ts';
import { startLab } from './lab/lab.ts';
import { loadDemo } from './load.ts';

/** Whether nobody listens on a port yet. */
function isFree(port: number, host: string): Promise<boolean> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });
}

const settings = readSettings({ FONTE_DB: resolve('data/demo.sqlite'), FONTE_LOG: 'warn', FONTE_BACKUPS: 'none', ...process.env });
const maker = makerOf(settings.database);
// A log without its file may be what is left of somebody's work.
if ((maker !== null && maker !== 'demo') || (maker === null && existsSync(`${settings.database}-wal`))) {
  console.error(`${settings.database} was not made by the demo, so the demo leaves it alone. Name another file in FONTE_DB, or none.`);
  process.exit(1);
}
if (!(await isFree(settings.port, settings.host))) {
  // Another demo may be running on this very file.
  console.error(`Something answers on port ${settings.port} already. Stop it, or name another port in FONTE_PORT.`);
  process.exit(1);
}
for (const suffix of ['', '-wal', '-shm']) rmSync(`${settings.database}${suffix}`, { force: true });

const given = process.env['FONTE_DEMO_START'];
const start = given ? Date.parse(given) : demoMorning(Date.now());
const clock = demoClock(start, Date.now);
const { address, server: labServer } = await startLab(clock.now);
try {
  const running = await startServer(
    { ...settings, desks: { [lab.id]: { address, private: true } } },
    {
      clock: clock.now,
      moveClock: clock.move,
      madeBy: 'demo',
      demo: people[0]!.id,
      prepare: (services) => loadDemo(services, start),
      onStart: (stop) =>
        stopOnSignal(async () => {
          labServer.close();
          await stop();
        }),
    },
  );
  console.log(`Fonte runs on the demo: ${running.address}`);
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
