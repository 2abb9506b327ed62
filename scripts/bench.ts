import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { writeEntry } from '@fonte/core/book';
import { levelRead } from '@fonte/core/level';
import { readReport } from '@fonte/core/read';
import { fold } from '@fonte/core/round';
import { purgeReading, purgeSetUp } from '@fonte/core/purge';
import { euDrinkingWater, judgeResult } from '@fonte/core/limits';
import { labRegistered, personRegistered, pointRegistered } from '@fonte/core/registers';
import { Books, openStore } from '@fonte/server';
import { lab, Script, tapPoint, wellPoint } from '../core/test/script.ts';
import { root, start } from '../e2e/harness.ts';

const line = (what: string, value: string, aim = '') => console.log(`${what.padEnd(66)} ${value.padStart(12)}  ${aim}`);
const quantile = (values: number[], share: number) => [...values].sort((a, b) => a - b)[Math.floor(values.length * share)]!;
const milliseconds = (value: number) => `${value.toFixed(value < 10 ? 2 : 0)} ms`;

/** A round's book of so many entries: two levels, a set-up, then sets of five readings. */
function longBook(size: number): Script {
  const script = new Script().plan();
  const depth = { text: '7.40', unit: 'm' as const };
  for (let reading = 0; reading < 2; reading += 1)
    script.write(levelRead, { visit: script.well, measuringPoint: 'North rim', depth, water: 'static' });
  script.write(purgeSetUp, {
    visit: script.well,
    insideDiameter: { text: '52', unit: 'mm' },
    volumes: 3,
    criterion: 'epa-1996',
    parameters: ['temperature', 'ph', 'conductivity', 'oxygen', 'turbidity'],
  });
  while (script.entries.length < size) {
    const set = script.entries.length;
    script.write(purgeReading, {
      visit: script.well,
      pumped: { text: String(set), unit: 'L' },
      values: {
        temperature: { text: '16.1', unit: 'degC' },
        ph: { text: '6.92', unit: 'pH' },
        conductivity: { text: '572', unit: 'uS/cm' },
        oxygen: { text: '3.51', unit: 'mg/L' },
        turbidity: { text: '8.2', unit: 'NTU' },
      },
    });
  }
  return script;
}

async function appends(count: number): Promise<void> {
  const script = longBook(count);
  const store = await openStore(join(mkdtempSync(join(tmpdir(), 'fonte-bench-')), 'bench.sqlite'));
  const books = new Books(store, () => script.now);
  const pen = { book: 'org', author: 'tech', now: script.now, offset: 0 };
  await books.appendOwn(writeEntry(pen, personRegistered, { id: 'tech', name: 'T', initials: 'T', role: '' }));
  await books.appendOwn(writeEntry(pen, labRegistered, lab));
  for (const point of [wellPoint, tapPoint]) await books.appendOwn(writeEntry(pen, pointRegistered, point));
  const times: number[] = [];
  for (const entry of script.entries) {
    const from = performance.now();
    await books.append(script.book, entry);
    times.push(performance.now() - from);
  }
  await store.destroy();
  line(`durable append, book of ${count} entries growing: p50`, milliseconds(quantile(times, 0.5)));
  line(`durable append, book of ${count} entries growing: p95`, milliseconds(quantile(times, 0.95)));
}

function folding(count: number): void {
  const { entries } = longBook(count);
  const times = Array.from({ length: 40 }, () => {
    const from = performance.now();
    fold(entries);
    return performance.now() - from;
  }).slice(10);
  line(`fold of ${count} entries, one round: median of 30`, milliseconds(quantile(times, 0.5)), 'aim ≤ 10 ms');
}

function report(rows: number): void {
  const bottles = new Map(
    Array.from({ length: rows / 2 }, (_, index) => [`261123A-P${index}-N`, { rule: 'nitrogen' as const, filledOn: '2026-11-23' }]),
  );
  const body = [...bottles.keys()].flatMap((bottle) => [
    `${bottle};23/11/2026;Nitratos;0,10;12,9;mg/L N;PT-12`,
    `${bottle};23/11/2026;Nitritos;0,010;<0,010;mg/L N;PT-13`,
  ]);
  const bytes = new TextEncoder().encode(
    ['Amostra;Data de colheita;Ensaio;Limite de quantificação;Resultado;Unidade;Método', ...body].join('\r\n'),
  );
  const from = performance.now();
  const read = readReport(bytes, bottles);
  if (!('draft' in read) || read.draft.results.length !== rows) throw new Error('The report was not read whole.');
  const verdicts = read.draft.results.map((result) => judgeResult(result, euDrinkingWater, '2026-11-23'));
  line(
    `parse, map, convert and judge a report of ${verdicts.length} rows, ${(bytes.length / 1024).toFixed(0)} kB`,
    milliseconds(performance.now() - from),
    'aim ≤ 1 s',
  );
}

async function startToHealthy(): Promise<void> {
  const times: number[] = [];
  for (let run = 0; run < 5; run += 1) {
    const from = performance.now();
    const server = await start({ what: 'server' });
    await fetch(`${server.address}/api/health`);
    times.push(performance.now() - from);
    await server.stop();
  }
  line('built server, start to healthy, fresh database: median of 5', milliseconds(quantile(times, 0.5)), 'aim ≤ 2 s');
}

async function memory(): Promise<void> {
  const server = await start({ what: 'demo' });
  const rounds = (await (await fetch(`${server.address}/api/rounds`)).json()) as { id: string }[];
  for (const { id } of rounds) await (await fetch(`${server.address}/api/books/${id}/entries`)).json();
  const status = readFileSync(`/proc/${server.process.pid}/status`, 'utf8');
  await server.stop();
  line(
    `server memory on the demo (RSS, with tsx and the simulated lab), ${rounds.length} rounds`,
    `${(Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024).toFixed(0)} MB`,
    'aim ≤ 200 MB',
  );
}

async function firstPage(): Promise<void> {
  const server = await start({ what: 'server' });
  const html = await (await fetch(server.address)).text();
  await server.stop();
  const assets = join(root, 'web/dist/assets');
  const wanted = new Set([...html.matchAll(/assets\/([\w-]+\.js)/g)].map((match) => match[1]!));
  for (const file of wanted)
    for (const match of readFileSync(join(assets, file), 'utf8').matchAll(/(?:from|import)\s*"\.\/([\w-]+\.js)"/g)) wanted.add(match[1]!);
  const size = [...wanted].reduce((sum, file) => sum + gzipSync(readFileSync(join(assets, file))).length, 0);
  line(
    `JavaScript for the first page, ${wanted.size} of ${readdirSync(assets).filter((file) => file.endsWith('.js')).length} files, gzipped`,
    `${(size / 1024).toFixed(0)} kB`,
    'aim ≤ 400 kB',
  );
}

await appends(500);
folding(2000);
report(10_000);
await startToHealthy();
await memory();
await firstPage();
