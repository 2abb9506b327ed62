import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { pointsToCsv, previewPoints, readPoints } from '@fonte/core/exchange';
import type { WellPoint } from '@fonte/core/registers';
import { desk, openBrowser, type } from '../../e2e/browser.ts';
import { root, start } from '../../e2e/harness.ts';
import { median, inTurn, quantile, record, timed } from './measure.ts';
import { bareInserts, cookieIn, fill, freshFile, longBook, planned, registered, scene, sealed } from './scene.ts';

let cookie = '';
const get = async (url: string): Promise<unknown> => (await fetch(url, { headers: { cookie } })).json();

/** Today and the list of rounds while thousands are open: one page of each. */
export async function today(): Promise<void> {
  const file = freshFile();
  const { store, books } = await scene(file);
  cookie = await cookieIn(store);
  let number = 0;
  const openUpTo = async (size: number) => {
    const more = Array.from({ length: size - number }, () => planned((number += 1)).entry);
    await fill(books, more);
  };
  for (const size of [1000, 5000]) {
    await openUpTo(size);
    const server = await start({ what: 'server', database: file });
    for (const [what, path] of [
      ['Today', 'today'],
      ['the list of rounds, first page', 'rounds?state=open&limit=50'],
    ]) {
      await get(`${server.address}/api/${path}`);
      const times: number[] = [];
      for (let time = 0; time < 15; time += 1) times.push(await timed(() => get(`${server.address}/api/${path}`)));
      record(`${what} with ${size} open rounds, over HTTP, median of 15`, median(times), 'ms', 50);
    }
    await server.stop();
  }
  await store.close();
}

/** A register of 10,000 points. */
export async function register(): Promise<void> {
  const file = freshFile();
  const { store, books } = await scene(file);
  cookie = await cookieIn(store);
  const points = Array.from({ length: 10_000 }, (_, number) => registered(number));
  record('register 10,000 points', (await timed(() => fill(books, points))) / 1000, 's', 20);
  const bare = bareInserts();
  const more = Array.from({ length: 40 }, (_, number) => sealed(registered(20_000 + number)));
  const one = await inTurn(
    40,
    (time) => books.append(null, [more[time]!], null),
    (time) => bare.insert(more[time]!),
  );
  record('register one more, median of 40', median(one.a), 'ms');
  record('register one more against a bare durable insert', median(one.a) / median(one.b), '×', 2);
  const some = points.slice(0, 8).map((entry) => entry.payload as WellPoint);
  const plans = Array.from({ length: 40 }, (_, number) => sealed(planned(number, some).entry));
  const times: number[] = [];
  for (const plan of plans) times.push(await timed(() => books.append(null, [plan], null)));
  record('plan a round of 8 points, median of 40', median(times), 'ms', 30);
  bare.close();
  await store.close();
  const server = await start({ what: 'server', database: file });
  for (const [what, query] of [
    ['first page of 200', 'limit=200'],
    ['search', 'search=well%2099&limit=200'],
    ['last page', `after=${points[9900]!.book}&limit=200`],
  ]) {
    const lists: number[] = [];
    for (let time = 0; time < 15; time += 1) lists.push(await timed(() => get(`${server.address}/api/points?${query}`)));
    record(`list of 10,000 points over HTTP: ${what}, median of 15`, median(lists), 'ms', 100);
  }
  await onMap(server.address);
  await server.stop();
}

/** All of them in Chromium, in a list and on a map: until a row and a mark stand, until a search is answered, and how evenly it scrolls. */
async function onMap(address: string): Promise<void> {
  const browser = await openBrowser();
  const page = await browser.newPage();
  await page.setViewport(desk);
  const [name, value] = cookie.split('=') as [string, string];
  await browser.setCookie({ name, value, domain: new URL(address).hostname, path: '/', httpOnly: true });
  const from = performance.now();
  await page.goto(`${address}/points/map`);
  await page.waitForSelector('.places-list .ant-table-row');
  record('list of 10,000 points in Chromium: first row', performance.now() - from, 'ms', 3000);
  await page.waitForSelector('.point-map .leaflet-marker-icon');
  record('list of 10,000 points in Chromium: first mark on the map', performance.now() - from, 'ms', 4000);
  const asked = performance.now();
  await type(page, 'Find a point', 'well 99');
  await page.waitForFunction(() => /^\d+ of/.test(document.querySelector('main [role=status]')?.textContent ?? ''));
  record('a search among them, typed and answered', performance.now() - asked, 'ms', 1000);
  const frames = await page.evaluate(async () => {
    const list = document.querySelector('.ant-table-tbody-virtual-holder')!;
    const gaps: number[] = [];
    let last = performance.now();
    for (let frame = 0; frame < 60; frame += 1) {
      list.scrollTop += 120;
      await new Promise(requestAnimationFrame);
      gaps.push(performance.now() - last);
      last = performance.now();
    }
    return gaps;
  });
  record('scrolling the list: the slowest of 60 frames but three', quantile(frames, 0.95), 'ms', 50);
  await browser.close();
}

/** Peak memory in MB and seconds of one of the commands, in a process of its own. */
function command(name: string, file: string): { seconds: number; memory: number } {
  const script = `
    process.on('exit', () => process.stderr.write('PEAK ' + process.resourceUsage().maxRSS));
    await import(${JSON.stringify(join(root, `server/dist/${name}.js`))});`;
  const from = performance.now();
  const done = spawnSync(process.execPath, ['--input-type=module', '-e', script, 'x', file], { encoding: 'utf8', maxBuffer: 1 << 28 });
  const seconds = (performance.now() - from) / 1000;
  const peak = /PEAK (\d+)/.exec(done.stderr);
  if (done.status !== 0 || !peak) throw new Error(`${name} failed: ${done.stdout.slice(-500)}${done.stderr.slice(-500)}`);
  return { seconds, memory: Number(peak[1]) / 1024 };
}

/** The commands that go over everything, on books of 2,000 entries: twice as many books must take about twice as long. */
export async function wholeDatabase(): Promise<void> {
  const file = freshFile();
  const { store, books } = await scene(file);
  const taken: Record<string, { seconds: number; memory: number }[]> = { verify: [], rebuild: [] };
  let count = 0;
  for (const size of [100_000, 200_000]) {
    for (; count < size; count += 2000) {
      const script = longBook(2000);
      const code = `V${(count / 2000).toString().padStart(5, '0')}`;
      const [first, ...rest] = script.entries;
      await fill(books, [{ ...first!, payload: { ...(first!.payload as object), code } }, ...rest]);
    }
    await store.write((query) => query('PRAGMA wal_checkpoint(TRUNCATE)')).catch(() => undefined);
    for (const name of ['verify', 'rebuild']) {
      const { seconds, memory } = command(name, file);
      taken[name]!.push({ seconds, memory });
      record(`${name} of ${size} entries in books of 2,000`, seconds, 's');
      record(`${name} of ${size} entries: peak memory`, memory, 'MB');
    }
  }
  for (const [name, [half, whole]] of Object.entries(taken)) {
    record(`${name} of 200,000 entries against 100,000: 2 is linear`, whole!.seconds / half!.seconds, '×', 2.5);
    record(`${name}: peak memory of 200,000 against 100,000: 1 is bounded`, whole!.memory / half!.memory, '×', 1.5);
  }
  await store.close();
}

/** A file of 10,000 points with 40 broken rows, against a register of half as many: read, compared, and written out again. */
export async function exchange(): Promise<void> {
  const points = Array.from({ length: 10_000 }, (_, number) => registered(number).payload as WellPoint);
  let text = '';
  const written = await timed(() => {
    text = pointsToCsv(points);
  });
  record('write 10,000 points as a table', written, 'ms');
  const lines = text.split('\r\n').map((line, index) => (index > 0 && index % 250 === 7 ? line.replace(/36\.\d+/, 'north') : line));
  const ids = points.map(({ id }) => id);
  let faults = 0;
  const compared = await timed(() => {
    const rows = previewPoints(readPoints(lines.join('\r\n')), points.slice(0, 5000), ids);
    faults = rows.filter(({ state }) => state === 'fault').length;
  });
  if (faults !== 40) throw new Error(`${faults} rows are broken, not 40.`);
  record('read 10,000 rows, 40 of them broken, and compare them with 5,000 points', compared, 'ms', 2000);
}
