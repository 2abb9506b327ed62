import type { Page } from 'puppeteer-core';
import { expect, it } from 'vitest';
import { desk, plainPage } from './browser.ts';
import { patience } from './find.ts';
import type { Running } from './harness.ts';
import { demoCaller } from './people.ts';
import { onDemo, type Stage } from './stage.ts';

/** Half a day and three quarters of an hour away: another day for half of it, and other minutes. More of them in `npm run test:long`. */
const others = process.env['FONTE_LONG']
  ? ['Pacific/Chatham', 'Pacific/Auckland', 'America/Los_Angeles', 'Asia/Kathmandu']
  : ['Pacific/Chatham'];

let stage: Stage;
let paths: string[];

onDemo(async (on) => {
  stage = on;
  paths = await everyPage(on.server);
});

/** The pages of the house, of a round and of each of its visits that show a time of day. */
async function everyPage(server: Running): Promise<string[]> {
  const caller = await demoCaller(server);
  const [round] = await caller.json<{ id: string }[]>('/api/rounds');
  const entries = await caller.json<{ payload: { visits?: { id: string }[] } }[]>(`/api/books/${round!.id}/entries`);
  const visits = entries.flatMap(({ payload }) => payload.visits ?? []);
  const [point] = await caller.json<{ id: string }[]>('/api/points');
  return [
    ...[
      '/',
      '/rounds',
      '/rounds/new',
      '/due',
      '/points',
      '/people',
      '/devices',
      '/me',
      '/ready',
      '/instruments',
      '/programmes',
      '/loggers',
    ],
    `/points/${point!.id}`,
    ...['', '/prepare', '/day', '/custody', '/report', '/verdict', '/book'].map((page) => `/rounds/${round!.id}${page}`),
    ...visits.slice(0, 2).flatMap(({ id }) => ['arrive', 'level', 'tap', 'fill'].map((room) => `/rounds/${round!.id}/at/${id}/${room}`)),
  ];
}

/** The times of day and days that a page shows now, in words and in its fields. */
async function timesOn(page: Page): Promise<string[]> {
  const shown = await page.evaluate(() =>
    [document.body.innerText, ...[...document.querySelectorAll('input')].map(({ value }) => value)].join('\n'),
  );
  return shown.match(/\b\d{1,2} [A-Z][a-z]{2,8}(?: \d{4})?\b|\b\d{4}-\d\d-\d\d\b|\b\d\d:\d\d\b/g) ?? [];
}

/** Whether a page has drawn what it asked the server for. */
const isAtRest = (page: Page) =>
  page.evaluate(
    () => (document.querySelector('main')?.innerText ?? '').length > 40 && !document.querySelector('.ant-skeleton, .ant-spin-spinning'),
  );

/** Hours and minutes that are about now move while the pages are looked at. */
const minutesOf = (time: string) => (/^\d\d:\d\d$/.test(time) ? Number(time.slice(0, 2)) * 60 + Number(time.slice(3)) : null);
function isSame(a: string, b: string): boolean {
  const [one, other] = [minutesOf(a), minutesOf(b)];
  return one !== null && other !== null ? Math.abs(one - other) <= 10 : a === b;
}

const areSame = (one: string[], other: string[]) => one.length === other.length && one.every((time, place) => isSame(time, other[place]!));

it('shows the site’s wall clock on every page, whatever zone a device is set to', async () => {
  const zones = ['Atlantic/Azores', ...others];
  const pages = await Promise.all(
    zones.map(async (zone) => {
      const page = await plainPage(stage.browser);
      await page.setViewport(desk);
      await page.emulateTimezone(zone);
      return page;
    }),
  );
  const off: string[] = [];
  let seen = 0;
  for (const path of paths) {
    await Promise.all(pages.map((page) => page.goto(stage.server.address + path, { waitUntil: 'networkidle0' })));
    // A page on a busy machine may still be drawing: what differs is looked at again before it is called so.
    for (const until = Date.now() + patience; ; await new Promise((resolve) => setTimeout(resolve, 300))) {
      const [own, ...rest] = await Promise.all(pages.map(timesOn));
      const isLate = Date.now() > until;
      if (!isLate && !(await Promise.all(pages.map(isAtRest))).every(Boolean)) continue;
      const differ = rest.flatMap((other, at) =>
        areSame(own!, other) ? [] : [`${path} in ${zones[at + 1]}: ${own!.join(' ')} | ${other.join(' ')}`],
      );
      if (differ.length > 0 && !isLate) continue;
      seen += own!.length;
      off.push(...differ);
      break;
    }
  }
  expect(off).toEqual([]);
  expect(seen).toBeGreaterThan(40);
});
