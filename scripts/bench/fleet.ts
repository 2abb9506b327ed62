import { writeEntry } from '@fonte/core/book';
import { levelRead } from '@fonte/core/level';
import { setTimeout as wait } from 'node:timers/promises';
import { phone, technician } from '../../core/test/script.ts';
import { start } from '../../e2e/harness.ts';
import { quantile, record, timed } from './measure.ts';
import { cookieIn, fill, freshFile, planned, scene, sealed } from './scene.ts';

const devices = 200;
const readers = 50;
const [entryEvery, pollEvery, readEvery] = [10_000, 4000, 4000];
const patience = 30_000;

/** Two hundred devices on as many rounds, each with an entry every 10 s and a poll every 4 s, and fifty readers of Today. */
export async function fleet(): Promise<void> {
  const file = freshFile();
  const { store, books } = await scene(file);
  const rounds = Array.from({ length: devices }, (_, number) => planned(number));
  await fill(
    books,
    rounds.map((round) => round.entry),
  );
  const cookie = await cookieIn(store);
  await store.close();
  const server = await start({ what: 'server', database: file, env: { FONTE_LOG: 'info' } });
  const until = performance.now() + Number(process.env['FONTE_FLEET_SECONDS'] ?? 120) * 1000;
  const [appends, polls, lists]: [number[], number[], number[]] = [[], [], []];
  let lost = 0;
  const asking = async (times: number[], path: string, init?: RequestInit): Promise<unknown> => {
    let answer: unknown = null;
    try {
      times.push(
        await timed(async () => {
          const response = await fetch(`${server.address}${path}`, {
            ...init,
            headers: { ...(init?.headers as Record<string, string>), cookie },
            signal: AbortSignal.timeout(patience),
          });
          answer = await response.json();
          if (!response.ok) throw new Error(String(response.status));
        }),
      );
    } catch {
      lost += 1;
    }
    return answer;
  };
  const every = async (interval: number, phase: number, work: () => Promise<void>) => {
    await wait(phase * interval);
    while (performance.now() < until) {
      const taken = await timed(work);
      await wait(Math.max(0, interval - taken));
    }
  };
  const json = (body: object): RequestInit => ({
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  await Promise.all([
    ...rounds.flatMap(({ entry: { book }, visits }, index) => {
      let known = 0;
      return [
        every(entryEvery, index / devices, async () => {
          const now = Date.now();
          const pen = { book, author: technician.id, device: phone, now, offset: -60 };
          const reading = { measuringPoint: 'North rim', depth: { text: '7.40', unit: 'm' as const }, water: 'static' as const };
          const entries = [sealed(writeEntry(pen, levelRead, reading, { visit: visits[0]! }))];
          await asking(appends, '/api/entries', json({ sentAt: new Date(now).toISOString(), entries }));
        }),
        every(pollEvery, index / devices, async () => {
          const found = (await asking(polls, `/api/books/${book}/entries?after=${known}`)) as unknown[] | null;
          known += found?.length ?? 0;
        }),
      ];
    }),
    ...Array.from({ length: readers }, (_, index) =>
      every(readEvery, index / readers, async () => void (await asking(lists, '/api/today'))),
    ),
  ]);
  await server.stop();
  const what = `${devices} devices, ${readers} readers of Today`;
  record(`${what}: p95 of ${appends.length} appends`, quantile(appends, 0.95), 'ms', 100);
  record(`${what}: p95 of ${polls.length} polls`, quantile(polls, 0.95), 'ms');
  record(`${what}: p95 of ${lists.length} readings of Today`, quantile(lists, 0.95), 'ms');
  record(`${what}: requests lost or refused`, lost, 'requests', 0);
}

/** Two hundred devices that come back at once, each with a day of 25 entries in its outbox. */
export async function comeBack(): Promise<void> {
  const file = freshFile();
  const { store, books } = await scene(file);
  const rounds = Array.from({ length: devices }, (_, number) => planned(number));
  await fill(
    books,
    rounds.map((round) => round.entry),
  );
  const cookie = await cookieIn(store);
  await store.close();
  const server = await start({ what: 'server', database: file });
  const days = rounds.map(({ entry: { book }, visits }) =>
    Array.from({ length: 25 }, (_, number) => {
      const pen = { book, author: technician.id, device: phone, now: Date.now() - 1000 * (25 - number), offset: -60 };
      const reading = { measuringPoint: 'North rim', depth: { text: `7.${100 + number}`, unit: 'm' as const }, water: 'static' as const };
      return sealed(writeEntry(pen, levelRead, reading, { visit: visits[0]! }));
    }),
  );
  let taken = 0;
  const times: number[] = [];
  const from = performance.now();
  await Promise.all(
    days.map(async (entries) => {
      const body = JSON.stringify({ sentAt: new Date(Date.now()).toISOString(), entries });
      const answer = await fetch(`${server.address}/api/entries`, {
        method: 'POST',
        headers: { cookie, 'content-type': 'application/json' },
        body,
      });
      const { results } = (await answer.json()) as { results: { status: number }[] };
      taken += results.filter(({ status }) => status === 201).length;
      times.push(performance.now() - from);
    }),
  );
  await server.stop();
  record(`${devices} devices back at once with 25 entries each: until the last has its answer`, Math.max(...times), 'ms', 10_000);
  record('devices back at once: entries that were not taken', devices * 25 - taken, 'entries', 0);
}
