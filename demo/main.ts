import { rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { readSettings, startServer, stopOnSignal } from '@fonte/server';
import { demoClock, demoMorning } from './clock.ts';
import { lab, people } from './data/registers.ts';
import { startLab } from './lab/lab.ts';
import { loadDemo } from './load.ts';

const environment = { FONTE_DB: resolve('data/demo.sqlite'), FONTE_LOG: 'warn', ...process.env };
const settings = readSettings(environment);
for (const suffix of ['', '-wal', '-shm']) rmSync(`${settings.database}${suffix}`, { force: true });

const given = process.env['FONTE_DEMO_START'];
const start = given ? Date.parse(given) : demoMorning(Date.now());
const clock = demoClock(start, Date.now);
const { address, server: labServer } = await startLab(clock.now);
const running = await startServer(
  { ...settings, desks: { [lab.id]: address } },
  {
    clock: clock.now,
    moveClock: clock.move,
    person: people[0]!,
    prepare: (services) => loadDemo(services, start),
  },
);
stopOnSignal({
  stop: async () => {
    labServer.close();
    await running.stop();
  },
});
console.log(`Fonte runs on the demo: ${running.address}`);
