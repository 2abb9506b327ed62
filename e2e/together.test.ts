import type { Page } from 'puppeteer-core';
import { expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { click, option, phone, see, shows, type, plainPage } from './browser.ts';
import { onDemo, type Stage } from './stage.ts';
import * as walk from './walk.ts';

/* A criterion of the house, and two people with a phone each at one well that is judged by it. */

let stage: Stage;
let other: Page;
onDemo((set) => {
  stage = set;
}, phone);

it('a criterion of one’s own is refused where it says what cannot be, and registered', async () => {
  const { page, server } = stage;
  await page.goto(`${server.address}/criteria/new`, { waitUntil: 'domcontentloaded' });
  await type(page, 'Name', 'Network plan, two sets');
  await type(page, 'Where it is written', 'sampling plan 2026, chapter 4');
  await type(page, 'Sets that must agree', '1');
  await option(page, 'Parameter', 'pH');
  await type(page, 'or ± %, the larger', '5');
  await click(page, 'Register it');
  await see(page, 'One set agrees with nothing: at least 2.');
  await see(page, 'A per cent of it means nothing: its zero is a convention.');
  expect(await seriousBarriers(page)).toEqual([]);
  await type(page, 'Sets that must agree', '2');
  await type(page, 'or ± %, the larger', '');
  await type(page, '± pH', '0.1');
  await type(page, 'Least time between sets', '0');
  await click(page, 'Register it');
  await see(page, 'Network plan, two sets');
});

it('a purge is set up by it on one phone and seen on the other, each under its own name', async () => {
  const { page, server, browser } = stage;
  await walk.openToday(page, server.address);
  await click(page, 'Go on');
  await walk.arrive(page);
  await walk.readLevel(page, '7.512');
  await see(page, 'again');
  await walk.readLevel(page, '7.514');
  await click(page, 'On to the purge');
  await see(page, 'True inside diameter');
  await option(page, 'Stable when', 'Network plan, two sets (own)');
  await see(page, 'sampling plan 2026, chapter 4');
  await walk.setUpPurge(page);
  other = await plainPage(await browser.createBrowserContext());
  await other.setViewport(phone);
  await other.goto(server.address, { waitUntil: 'domcontentloaded' });
  await option(other, 'Who writes', 'Rui Vale');
  await other.goto(page.url(), { waitUntil: 'domcontentloaded' });
  await see(other, 'Set 1');
});

it('sets of both stand in one course, in the order in which they were read', async () => {
  const { page } = stage;
  const [first, second] = walk.goodSets as [(typeof walk.goodSets)[0], (typeof walk.goodSets)[0]];
  await walk.readSet(page, 1, first);
  await see(other, 'Set 2');
  // What the other has read stands beside the field for the next.
  expect(await other.$$eval('.number-row', (rows) => rows.map((row) => row.textContent).join(' '))).toContain(first.ph);
  await walk.readSet(other, 2, second, () => walk.skip(page, '10 min'));
  await see(page, 'Set 3');
  await see(page, 'pH');
  // Two sets within 0.1: by this criterion that is enough; the volumes are not there yet.
  expect(await shows(page, 'End the purge')).toBe(false);
});

it('what both write in the same moment stands there twice, and nothing of it is lost or stands aside', async () => {
  const { page, server } = stage;
  await walk.skip(page, '10 min');
  const set = walk.goodSets[2]!;
  await walk.typeSet(page, 3, { ...set, pumped: '60' });
  await walk.typeSet(other, 3, { ...set, pumped: '61', ph: '6.93' });
  await Promise.all([page.keyboard.press('Enter'), other.keyboard.press('Enter')]);
  for (const on of [page, other]) await see(on, 'Set 5');
  const round = /rounds\/([^/]+)/.exec(page.url())![1]!;
  const entries = await page.evaluate(
    async (address) => (await (await fetch(address)).json()) as { kind: string; author: string; payload: { pumped?: { text: string } } }[],
    `${server.address}/api/books/${round}/entries`,
  );
  const sets = entries.filter(({ kind }) => kind === 'purge-reading');
  expect(sets.map(({ payload }) => payload.pumped?.text).sort()).toEqual(['24', '48', '60', '61']);
  expect(new Set(sets.map(({ author }) => author)).size).toBe(2);
  await page.goto(`${server.address}/rounds/${round}/book`, { waitUntil: 'domcontentloaded' });
  await see(page, 'Nothing here is ever changed');
  expect(await shows(page, 'stands aside')).toBe(false);
});
