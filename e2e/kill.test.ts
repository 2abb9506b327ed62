import { execFileSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { newId, writeEntry, type Entry } from '@fonte/core/book';
import { levelRead } from '@fonte/core/level';
import { roundPlanned } from '@fonte/core/plan';
import { pointRegistered, type Point } from '@fonte/core/registers';
import { editionsOn } from '@fonte/core/round';
import { beforeAll, expect, it } from 'vitest';
import { signed } from '../core/test/keys.ts';
import { ensureBuilt, root, start, type Running } from './harness.ts';
import { firstCaller, type Caller } from './people.ts';

/** Twelve in `npm test`, a thousand in `npm run test:long`. */
const kills = Number(process.env['FONTE_KILLS'] ?? 4);

beforeAll(() => {
  ensureBuilt();
}, 120_000);

let caller: Caller;
/** The session outlasts the server that opened it. */
const post = (server: Running, entry: Entry) =>
  caller.ask(`/api/books/${entry.book}/entries`, { method: 'POST', body: JSON.stringify(signed(entry)) }, server.address);

/** Sends entries from four writers at once until the server is gone; returns those it acknowledged. */
async function stream(server: Running, next: () => Entry): Promise<{ sent: Entry[]; acknowledged: Entry[] }> {
  const [sent, acknowledged]: [Entry[], Entry[]] = [[], []];
  const writer = async () => {
    for (;;) {
      const entry = next();
      sent.push(entry);
      try {
        const answer = await post(server, entry);
        await answer.json();
        if (answer.status === 201) acknowledged.push(entry);
      } catch {
        return;
      }
    }
  };
  await Promise.all([writer(), writer(), writer(), writer()]);
  return { sent, acknowledged };
}

it('stops gracefully when asked to, and says so', async () => {
  const server = await start({ what: 'server' });
  let said = '';
  server.process.stdout!.on('data', (chunk: Buffer) => {
    said += chunk.toString();
  });
  await server.stop('SIGTERM');
  expect(server.process.exitCode).toBe(0);
  expect(said).toContain('"msg":"stopped"');
  const log = `${server.database}-wal`;
  expect(existsSync(log) ? statSync(log).size : 0).toBe(0);
});

it('does not wait for a client that has stalled', async () => {
  const server = await start({ what: 'server' });
  const stalled = connect(Number(new URL(server.address).port), '127.0.0.1');
  stalled.on('error', () => undefined);
  stalled.write('POST /api/entries HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 1000\r\n\r\n{');
  await new Promise((resolve) => {
    setTimeout(resolve, 200);
  });
  const before = Date.now();
  await server.stop('SIGTERM');
  expect([server.process.exitCode, Date.now() - before < 8000]).toEqual([0, true]);
  stalled.destroy();
});

it('can be stopped from the moment on that it says it listens', async () => {
  for (let time = 0; time < 5; time += 1) {
    const server = await start({ what: 'server' });
    await server.stop('SIGTERM');
    expect(server.process.exitCode).toBe(0);
  }
});

it(`keeps every acknowledged entry once and the chain whole over ${kills} kills`, async () => {
  let server = await start({ what: 'server' });
  const { database } = server;
  caller = await firstCaller(server);
  const { person, device } = caller;
  const [book, visit, thing] = [newId(Date.now()), newId(Date.now()), newId(Date.now())] as const;
  const pen = () => ({ book, author: person, device, now: Date.now(), offset: 0 });
  const well = {
    measuringPoints: [{ name: 'Rim', elevation: 10, stickUp: 0.5 }],
    bottom: 20,
    screenTop: 10,
    screenBottom: 18,
    insideDiameter: 0.05,
  };
  const point: Point = {
    id: thing,
    code: 'P1',
    name: 'P',
    place: 'P',
    use: 'monitoring',
    access: '',
    type: 'well',
    kind: 'monitoring-well',
    well,
  };
  expect((await post(server, writeEntry({ ...pen(), book: thing }, pointRegistered, point))).status).toBe(201);
  const planned = await post(
    server,
    writeEntry(pen(), roundPlanned, {
      name: 'Kill test',
      code: 'KILL',
      system: 'Test',
      date: '2026-01-01',
      zone: 'UTC',
      lab: null,
      editions: editionsOn('2026-01-01'),
      visits: [{ id: visit, analyses: [], point }],
    }),
  );
  expect(planned.status).toBe(201);

  let number = 0;
  const reading = () =>
    writeEntry(
      pen(),
      levelRead,
      { measuringPoint: 'Rim', depth: { text: (5 + ((number += 1) % 9000) / 1000).toFixed(3), unit: 'm' }, water: 'static' },
      { visit },
    );
  const acknowledged: Entry[] = [];
  const unsure: Entry[] = [];
  for (let kill = 0; kill < kills; kill += 1) {
    const streaming = stream(server, reading);
    await new Promise((resolve) => {
      setTimeout(resolve, 200 + ((kill * 23) % 300));
    });
    await server.stop('SIGKILL');
    const { sent, acknowledged: heard } = await streaming;
    acknowledged.push(...heard);
    unsure.push(...sent.filter((entry) => !heard.includes(entry)));
    server = await start({ what: 'server', database });
  }
  // What was not acknowledged is sent again under the same id, as a device would.
  for (const entry of unsure) expect([200, 201]).toContain((await post(server, entry)).status);

  const stored = (await (await caller.ask(`/api/books/${book}/entries`, {}, server.address)).json()) as Entry[];
  await server.stop();
  const ids = stored.map((entry) => entry.id);
  console.log(`${kills} kills: ${acknowledged.length} acknowledged, ${unsure.length} not, ${stored.length} in the book`);
  // On a busy machine a kill may come before the first acknowledgement.
  expect(acknowledged.length).toBeGreaterThan(0);
  expect(new Set(ids).size).toBe(ids.length);
  expect(new Set(ids)).toEqual(new Set([stored[0]!.id, ...acknowledged.map((entry) => entry.id), ...unsure.map((entry) => entry.id)]));
  expect(execFileSync(process.execPath, [join(root, 'server/dist/verify.js'), database], { encoding: 'utf8' })).toContain(
    `whole   ${book}: ${ids.length} entries`,
  );
}, 7_200_000);
