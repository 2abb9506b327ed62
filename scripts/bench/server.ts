import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { root, start } from '../../e2e/harness.ts';
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
  const rounds = (await (await fetch(`${server.address}/api/rounds`)).json()) as { id: string }[];
  for (const { id } of rounds) await (await fetch(`${server.address}/api/books/${id}/entries`)).json();
  const status = readFileSync(`/proc/${server.process.pid}/status`, 'utf8');
  await server.stop();
  const used = Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024;
  record(`server memory on the demo, with tsx and the simulated lab, ${rounds.length} rounds read`, used, 'MB', 200);
}

/** What a browser loads before it can show anything: the page's scripts with all that they import at once. */
export async function firstPage(): Promise<void> {
  const server = await start({ what: 'server' });
  const html = await (await fetch(server.address)).text();
  await server.stop();
  const assets = join(root, 'web/dist/assets');
  const wanted = new Set([...html.matchAll(/assets\/([\w-]+\.js)/g)].map((match) => match[1]!));
  for (const file of wanted)
    for (const match of readFileSync(join(assets, file), 'utf8').matchAll(/(?:from|import)\s*"\.\/([\w-]+\.js)"/g)) wanted.add(match[1]!);
  const size = [...wanted].reduce((sum, file) => sum + gzipSync(readFileSync(join(assets, file))).length, 0);
  const all = readdirSync(assets).filter((file) => file.endsWith('.js')).length;
  record(`JavaScript of the first page, ${wanted.size} of ${all} files, gzipped`, size / 1024, 'kB', 400);
}
