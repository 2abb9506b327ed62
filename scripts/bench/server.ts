import { readFileSync } from 'node:fs';
import { start } from '../../e2e/harness.ts';
import { demoCaller } from '../../e2e/people.ts';
import { median, record, timed } from './measure.ts';

export async function startUp(): Promise<void> {
  const times: number[] = [];
  for (let run = 0; run < 5; run += 1) {
    let stop = async () => {};
    times.push(
      await timed(async () => {
        const server = await start({ what: 'server' });
        await fetch(`${server.address}/api/health`);
        stop = () => server.stop();
      }),
    );
    await stop();
  }
  record('built server, start to healthy on a fresh database, median of 5', median(times) / 1000, 's', 2);
}

export async function memory(): Promise<void> {
  const server = await start({ what: 'demo' });
  const caller = await demoCaller(server);
  const rounds = await caller.json<{ id: string }[]>('/api/rounds');
  for (const { id } of rounds) await caller.json(`/api/books/${id}/entries`);
  const status = readFileSync(`/proc/${server.process.pid}/status`, 'utf8');
  await server.stop();
  const used = Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024;
  record(`server memory on the demo, the simulated lab in the same process, ${rounds.length} rounds read`, used, 'MB', 200);
}
