import type { Page } from 'puppeteer-core';
import { expect, it } from 'vitest';
import { desk } from './browser.ts';
import type { Running } from './harness.ts';
import { demoCaller } from './people.ts';
import { onDemo, type Stage } from './stage.ts';

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

/** The times of day and days that a page shows once it has come to rest, in words and in its fields. */
async function timesOn(page: Page, path: string): Promise<string[]> {
  await page.goto(stage.server.address + path, { waitUntil: 'networkidle0' });
  const shown = await page.evaluate(() =>
    [document.body.innerText, ...[...document.querySelectorAll('input')].map(({ value }) => value)].join('\n'),
  );
  return shown.match(/\b\d{1,2} [A-Z][a-z]{2,8}(?: \d{4})?\b|\b\d{4}-\d\d-\d\d\b|\b\d\d:\d\d\b/g) ?? [];
}

/** Hours and minutes that are about now move while the pages are looked at. */
const minutesOf = (time: string) => (/^\d\d:\d\d$/.test(time) ? Number(time.slice(0, 2)) * 60 + Number(time.slice(3)) : null);
function isSame(a: string, b: string): boolean {
  const [one, other] = [minutesOf(a), minutesOf(b)];
  return one !== null && other !== null ? Math.abs(one - other) <= 10 : a === b;
}

it('shows the site’s wall clock on every page, whatever zone a device is set to', async () => {
  const zones = ['Atlantic/Azores', 'Pacific/Auckland', 'America/Los_Angeles', 'Asia/Kathmandu'];
  const pages = await Promise.all(
    zones.map(async (zone) => {
      const page = await stage.browser.newPage();
      await page.setViewport(desk);
      await page.emulateTimezone(zone);
      return page;
    }),
  );
  const off: string[] = [];
  let seen = 0;
  for (const path of paths) {
    const [own, ...others] = await Promise.all(pages.map((page) => timesOn(page, path)));
    seen += own!.length;
    others.forEach((other, at) => {
      if (own!.length !== other.length || !own!.every((time, place) => isSame(time, other[place]!)))
        off.push(`${path} in ${zones[at + 1]}: ${own!.join(' ')} | ${other.join(' ')}`);
    });
  }
  expect(off).toEqual([]);
  expect(seen).toBeGreaterThan(40);
});
