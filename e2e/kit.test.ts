import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newId, writeEntry, type BookEntry } from '@fonte/core/book';
import { roundPlanned } from '@fonte/core/plan';
import { pointRegistered } from '@fonte/core/registers';
import { editionsOn } from '@fonte/core/round';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { signed } from '../core/test/keys.ts';
import { tapPoint } from '../core/test/script.ts';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, openBrowser, option, phone, see, shows, type, signal } from './browser.ts';
import { ensureBuilt, start, type Running } from './harness.ts';
import { firstCaller, passphrase, type Caller } from './people.ts';
import * as walk from './walk.ts';

let server: Running;
let browser: Browser;
let caller: Caller;
let office: Page;
let home: Page;
let address: string;
let link: string;
const [round, visit] = [newId(Date.now()), newId(Date.now())];
const bend = { ...tapPoint, id: newId(Date.now()), code: 'HB1', name: 'Kitchen at the bend' };
const inBook = () => caller.json<BookEntry[]>(`/api/books/${round}/entries`);

beforeAll(async () => {
  ensureBuilt();
  [server, browser] = await Promise.all([start({ what: 'server' }), openBrowser()]);
  address = server.address.replace('127.0.0.1', 'localhost');
  caller = await firstCaller(server);
  const pen = (book: string) => ({ book, author: caller.person, device: caller.device, now: Date.now(), offset: 0 });
  const date = new Date().toISOString().slice(0, 10);
  const entries = [
    writeEntry(pen(bend.id), pointRegistered, bend),
    writeEntry(pen(round), roundPlanned, {
      name: 'Lead at home',
      code: 'KIT1',
      system: 'Lomba Velha',
      date,
      zone: 'UTC',
      lab: null,
      editions: editionsOn(date),
      visits: [{ id: visit, point: bend, analyses: ['lead'] }],
    }),
  ].map((entry) => signed(entry));
  const { results } = (await (await caller.post('/api/entries', { entries })).json()) as { results: { status: number }[] };
  expect(results.every(({ status }) => status === 201)).toBe(true);
  office = await (await browser.createBrowserContext()).newPage();
  await office.setViewport(desk);
  await office.goto(address, { waitUntil: 'domcontentloaded' });
  await type(office, 'Your name', 'Rui Vale');
  await type(office, 'Passphrase', passphrase);
  await click(office, 'Sign in');
  await see(office, 'Lead at home');
  await office.goto(`${address}/rounds/${round}`, { waitUntil: 'domcontentloaded' });
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

const tomorrow = () => new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);

/** A day or a time of the day, as it is typed into a picker. */
async function typeTime(page: Page, label: string, text: string): Promise<void> {
  await type(page, label, text);
  await page.keyboard.press('Enter');
}

/** All that is asked of a kit but the way it is taken. */
async function fillIn({ to }: { to: string }): Promise<void> {
  await type(office, 'Household', 'House at the bend');
  await typeTime(office, 'Picked up on', tomorrow());
  await typeTime(office, 'From', '10:00');
  await typeTime(office, 'Until', to);
  await type(office, 'Where it will stand', 'beside the front door');
  await type(office, 'Whom they call with questions', 'Rui Vale, 555 0147');
}

describe.sequential('a kit', () => {
  it('is given to a household: the way is asked for, and when it is picked up', async () => {
    await click(office, 'Give it to a household');
    await click(office, 'Give it');
    await see(office, 'Whose kit is it?');
    await see(office, 'Choose the day.');
    await fillIn({ to: '08:00' });
    await click(office, 'Give it');
    await see(office, 'It ends before it begins.');
    await see(office, 'Missing.');
    await option(office, 'How: Lead at the tap', 'Lead in your water: as you drink it');
    await typeTime(office, 'Until', '12:00');
    await click(office, 'Give it');
    await see(office, 'With House at the bend');
    await walk.closed(office);
    expect(await seriousBarriers(office)).toEqual([]);
    await click(office, 'Take the kit back');
    await type(office, 'Why', 'the wrong way');
    await click(office, 'It is taken back');
    await walk.closed(office);
    await click(office, 'Give it to a household');
    await fillIn({ to: '12:00' });
    await option(office, 'How: Lead at the tap', 'Lead in your water: as you drink it');
    await click(office, 'Give it');
    await see(office, 'With House at the bend');
    await walk.closed(office);
    await click(office, 'Make the link');
    await see(office, 'and to nobody else');
    link = await office.$eval('textarea[aria-label="Link"]', (one) => one.value);
  });

  it('has a sheet with the same steps, lines for a pen, and the link', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'fonte-'));
    const file = await walk.savedBy(office, folder, () => click(office, 'Sheet with the link, as PDF'));
    const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
    for (const part of [
      'Lead in your water: as you drink it',
      'Take the cold tap you drink from',
      'We drink from this tap',
      'KIT1-HB1',
      'beside the front door',
      'out of reach of children and pets',
      'On a phone instead of this paper',
    ])
      expect(text.replace(/\s+/g, ' ')).toContain(part);
  });

  it('opens on a phone without an account, and is walked without a signal, over a reload', async () => {
    home = await (await browser.createBrowserContext()).newPage();
    await home.setViewport(phone);
    await home.goto(link, { waitUntil: 'domcontentloaded' });
    await see(home, 'You need no account');
    expect(await seriousBarriers(home)).toEqual([]);
    await click(home, 'Come in');
    await see(home, 'Read all of it first');
    await see(home, 'Rui Vale, 555 0147');
    expect([await wider(), await shows(home, 'Rounds'), await shows(home, 'Field book')]).toEqual([0, false, false]);
    expect(await seriousBarriers(home)).toEqual([]);
    await home.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await signal(home, false);
    await click(home, 'Begin');
    await see(home, 'Take the cold tap you drink from');
    for (const item of ['We drink from this tap', 'No softener or filter before it', 'The little sieve at its end is on'])
      await answer(item);
    await click(home, 'Done');
    await see(home, 'Do not run the tap before');
    await home.reload({ waitUntil: 'domcontentloaded' });
    await see(home, 'Do not run the tap before');
    expect(await seriousBarriers(home)).toEqual([]);
    for (const item of ['Nothing was run for this sample', 'It is an hour at which we draw water']) await answer(item);
    await click(home, 'Done');
    await see(home, 'Open as for a glass of water');
    await fillAll();
    await click(home, 'Done');
    await see(home, 'You may use water again');
    await click(home, 'Done');
    await see(home, 'Put the box out');
    await see(home, 'Out of reach of children and pets');
    expect([await wider(), await seriousBarriers(home)]).toEqual([0, []]);
    await type(home, 'Anything we should know?', 'the gate is locked');
    await click(home, 'It stands there');
    await see(home, 'Thank you. That was all');
    expect((await inBook()).some(({ doubt }) => doubt === 'from-household')).toBe(false);
  });

  it('reaches the office when there is a signal again, and the page of the household stays as it was', async () => {
    await signal(home, true);
    await expect.poll(async () => (await inBook()).at(-1)?.kind, { timeout: 90_000 }).toBe('kit-put-out');
    expect((await inBook()).filter(({ doubt }) => doubt === 'from-household').length).toBeGreaterThan(5);
    await home.reload({ waitUntil: 'domcontentloaded' });
    await see(home, 'Thank you. That was all');
    await see(home, 'You told us: the gate is locked');
    const again = await (await browser.createBrowserContext()).newPage();
    await again.goto(link, { waitUntil: 'domcontentloaded' });
    await see(again, 'This link does not work');
    await again.close();
  });

  it('counts once it is taken over, is picked up from the household, and goes on from there', async () => {
    await office.reload({ waitUntil: 'domcontentloaded' });
    await see(office, 'House at the bend wrote 7 entries');
    const count = (await inBook()).filter(({ doubt }) => doubt === 'from-household').length;
    expect(await seriousBarriers(office)).toEqual([]);
    await click(office, `Take over ${count} entries`);
    await click(office, 'They hold as they stand');
    await see(office, 'Say why, in a few words.');
    await type(office, 'Why it holds', 'read, bottles looked at');
    await click(office, 'They hold as they stand');
    await see(office, 'Pick it up at House at the bend');
    await see(office, 'They say: the gate is locked');
    expect(await shows(office, 'counts for nothing')).toBe(false);
    await click(office, 'Pick it up');
    await see(office, 'With House at the bend: 1');
    await type(office, 'In the box now', '7');
    await type(office, 'Bottles counted by who takes them', '1');
    await type(office, 'Rui Vale signs', 'Rui Vale');
    await click(office, 'Hand over 1 bottle');
    await see(office, 'With Rui Vale: 1');
    // What one has oneself is with nobody else.
    await office.goto(address, { waitUntil: 'domcontentloaded' });
    await see(office, 'Bottles in the cooler');
    expect(await shows(office, 'With others')).toBe(false);
    await office.goto(`${address}/rounds/${round}`, { waitUntil: 'domcontentloaded' });
    await see(office, 'Hand over 1 bottle');
    expect(await shows(office, 'set aside')).toBe(false);
  });
});

/** So much of the page of the household lies beyond its edge, in px. */
const wider = () => home.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);

/** Says yes to a check. */
async function answer(item: string): Promise<void> {
  await choose(home, item, 'Yes');
}

async function fillAll(): Promise<void> {
  while (await shows(home, 'Filled and capped')) {
    const before = await home.$eval('.label-like', (one) => one.textContent);
    await click(home, 'Filled and capped');
    await home.waitForFunction((label) => document.querySelector('.label-like')?.textContent !== label, {}, before);
  }
}
