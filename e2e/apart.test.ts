import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newId, writeEntry, type BookEntry } from '@fonte/core/book';
import { roundPlanned } from '@fonte/core/plan';
import { pointRegistered } from '@fonte/core/registers';
import { editionsOn } from '@fonte/core/round';
import type { Browser, HTTPRequest, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { signed } from '../core/test/keys.ts';
import { tapPoint, wellPoint } from '../core/test/script.ts';
import { choose, click, openBrowser, option, phone, see, shows, type, signal } from './browser.ts';
import { patience, polling } from './find.ts';
import { ensureBuilt, root, start, type Running } from './harness.ts';
import { firstCaller, passphrase, type Caller } from './people.ts';
import * as walk from './walk.ts';

/* A page and a server that are not of one age or one mind, and a browser that keeps nothing. */

let server: Running;
let browser: Browser;
let caller: Caller;
/** The application as this server hands it out: a copy, which a new version can replace. */
const web = mkdtempSync(join(tmpdir(), 'fonte-web-'));
const round = newId(Date.now());
const well = newId(Date.now());

const pen = (book: string) => ({ book, author: caller.person, device: caller.device, now: Date.now(), offset: 0 });
const hand = async (entries: Parameters<typeof signed>[0][]) => {
  const answer = await caller.post('/api/entries', { entries: entries.map((entry) => signed(entry)) });
  return (await answer.json()) as { results: { status: number }[] };
};
const levels = async () => {
  const entries = await caller.json<BookEntry[]>(`/api/books/${round}/entries`);
  return entries.filter(({ kind }) => kind === 'level-read').length;
};
const levelPath = `/rounds/${round}/at/${well}/level`;

/** A page in a browser profile of its own, signed in, with something done before anything of it runs. */
async function openPage(before?: (page: Page) => Promise<unknown>): Promise<Page> {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport(phone);
  await before?.(page);
  await page.goto(server.address);
  await type(page, 'Your name', 'Rui Vale');
  await type(page, 'Passphrase', passphrase);
  await click(page, 'Sign in');
  await see(page, 'Round APART');
  return page;
}

beforeAll(async () => {
  ensureBuilt();
  cpSync(join(root, 'web/dist'), web, { recursive: true });
  [server, browser] = await Promise.all([start({ what: 'server', env: { FONTE_WEB: web } }), openBrowser()]);
  caller = await firstCaller(server);
  const date = new Date().toISOString().slice(0, 10);
  const visits = [{ id: well, point: wellPoint, analyses: [] }];
  const plan = { name: 'Round APART', code: 'APART', system: 'Lomba Velha', date, zone: 'UTC', lab: null };
  const { results } = await hand([
    writeEntry(pen(wellPoint.id), pointRegistered, wellPoint),
    writeEntry(pen(round), roundPlanned, { ...plan, editions: editionsOn(date), visits }),
  ]);
  expect(results.map(({ status }) => status)).toEqual([201, 201]);
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

describe.sequential('a new version of the application', () => {
  it('waits at a point for the end of what is in hand, and is used at once when asked for', async () => {
    const page = await openPage();
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    // From its second opening on the page is the worker's.
    await page.goto(server.address + levelPath);
    await see(page, 'The water is');
    rmSync(join(web, 'sw.js.br'), { force: true });
    rmSync(join(web, 'sw.js.gz'), { force: true });
    appendFileSync(join(web, 'sw.js'), '\n// Another version.\n');
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await page.evaluate(() => navigator.serviceWorker.ready.then((one) => one.update()).then(() => undefined));
    await see(page, 'A new version waits for the end of what is in hand.');
    const label = await page.$eval('.ant-form-item:has(.typed.big) label', (one) => one.textContent);
    await type(page, label, '7.4');
    await click(page, 'Use it now');
    await page.waitForFunction(() => !document.body.innerText.includes('A new version waits'), { timeout: patience, polling });
    await see(page, 'The water is');
    expect(await page.$eval('.typed.big input', (one) => one.value)).toBe('7.4');
    await page.close();
  });
});

describe.sequential('a server that is older than the page', () => {
  it('refuses what it does not know; it stays with the reason, and is handed in once the server knows it', async () => {
    let isOlder = true;
    const page = await openPage(async (one) => {
      await one.setRequestInterception(true);
      one.on('request', (request: HTTPRequest) => {
        if (!isOlder || request.method() !== 'POST' || !request.url().endsWith('/api/entries')) return void request.continue();
        const { entries } = JSON.parse(request.postData()!) as { entries: { kind: string }[] };
        const results = entries.map(({ kind }) => ({
          status: 422,
          problem: {
            type: 'about:blank',
            status: 422,
            title: 'This cannot be taken.',
            code: 'unknown-kind',
            errors: [{ path: 'kind', code: 'unknown-kind', message: `“${kind}” is no kind of entry here.` }],
          },
        }));
        void request.respond({ status: 207, contentType: 'application/json', body: JSON.stringify({ results }) });
      });
    });
    await page.goto(server.address + levelPath);
    await walk.readLevel(page, '7.398');
    await see(page, '1 entry was refused');
    await page.goto(`${server.address}/outbox`);
    await see(page, '“level-read” is no kind of entry here.');
    expect(await levels()).toBe(0);
    isOlder = false;
    await page.reload();
    await see(page, 'Nothing is only on this device');
    expect(await levels()).toBe(1);
    await page.close();
  });
});

describe.sequential('a code that somebody else took meanwhile', () => {
  it('is given another on the device, and nothing is lost', async () => {
    const page = await openPage();
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await page.goto(`${server.address}/points/new`);
    await see(page, 'Kind');
    await signal(page, false);
    await choose(page, 'Kind', 'Tap');
    await option(page, 'Which kind', 'House tap');
    await type(page, 'Name', 'Fountain');
    await type(page, 'Code for labels', 'FO1');
    await type(page, 'Place', 'Lomba Velha');
    await type(page, 'Which outlet exactly', 'Spout');
    await option(page, 'Disinfection', 'Free chlorine');
    await type(page, 'Least free chlorine', '0.2');
    await type(page, 'Least free chlorine', '0.2');
    await click(page, 'Register it');
    await see(page, '1 entry only on this device');
    const other = { ...tapPoint, id: newId(Date.now()), code: 'FO1', name: 'Font' };
    expect((await hand([writeEntry(pen(other.id), pointRegistered, other)])).results[0]!.status).toBe(201);
    await signal(page, true);
    // The background may be at it: its request has a minute.
    await page.waitForFunction(() => document.body.innerText.includes('1 entry was refused'), { timeout: 90_000, polling: 200 });
    // What was refused is tried again soon after the page stands, and is refused again: nobody's dialog closes by it.
    const again = page.waitForResponse((answer) => answer.url().endsWith('/api/entries'), { timeout: 20_000 }).catch(() => null);
    await page.goto(`${server.address}/outbox`);
    await click(page, 'Give it another code');
    await see(page, 'Labels that are written already');
    await again;
    await click(page, 'Write it with this code');
    await see(page, 'That is the one that is taken.');
    await type(page, 'Code', 'fo2');
    await click(page, 'Write it with this code');
    await see(page, '1 refused entry gave way to another under a free code');
    await page.waitForFunction(() => !/entry only|entries only/.test(document.body.innerText));
    const fountains = async () =>
      (await caller.json<{ code: string; name: string }[]>('/api/points'))
        .filter(({ name }) => name === 'Fountain')
        .map(({ code }) => code);
    // The line of what is only here may not be drawn yet when it is looked for.
    await expect.poll(fountains, { timeout: 40_000 }).toEqual(['FO2']);
    await page.close();
  });
});

describe.sequential('a browser that keeps nothing', () => {
  it('hands over at once what the server takes, and keeps what is typed where it cannot', async () => {
    // A private window of some browsers, or a disk that is full.
    const page = await openPage((one) =>
      one.evaluateOnNewDocument(() => {
        IDBFactory.prototype.open = () => {
          throw new DOMException('The disk is full.', 'QuotaExceededError');
        };
      }),
    );
    await page.goto(server.address + levelPath);
    await walk.readLevel(page, '7.400');
    await see(page, '7.400');
    await expect.poll(levels).toBe(2);
    await signal(page, false);
    await walk.readLevel(page, '7.402');
    await see(page, 'cannot keep');
    expect(await page.$eval('.typed.big input', (one) => one.value)).toBe('7.402');
    expect(await shows(page, '1 entry only on this device')).toBe(false);
    await signal(page, true);
    await click(page, 'Write it down');
    await expect.poll(levels).toBe(3);
    await page.close();
  });
});
