import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { newId, writeEntry, type BookEntry } from '@fonte/core/book';
import { roundPlanned } from '@fonte/core/plan';
import { labRegistered, pointRegistered } from '@fonte/core/registers';
import { editionsOn } from '@fonte/core/round';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { signed } from '../core/test/keys.ts';
import { lab, tapPoint, wellPoint } from '../core/test/script.ts';
import { seriousBarriers } from './axe.ts';
import { choose, click, freshProfile, openBrowser, option, phone, see, shows, type } from './browser.ts';
import { ensureBuilt, root, start, type Running } from './harness.ts';
import { firstCaller, passphrase, type Caller } from './people.ts';
import * as walk from './walk.ts';
import { patience } from './find.ts';

/** Kills of the browser: few in `npm test`, fifty in `npm run test:long`. */
const kills = Number(process.env['FONTE_BROWSER_KILLS'] ?? 3);

let server: Running;
let browser: Browser;
let page: Page;
let caller: Caller;
let round: string;
const profile = freshProfile();
const visits = { well: newId(Date.now()), tap: newId(Date.now()) };

/** How far the device's clock was moved on (ms): nobody waits for a real tap here. */
let moved = 0;

/** A page whose clock can be moved on. */
async function openPage(path: string): Promise<Page> {
  const opened = await browser.newPage();
  await opened.setViewport(phone);
  await opened.exposeFunction('movedBy', () => moved);
  await opened.evaluateOnNewDocument((by) => {
    const real = Date.now.bind(Date);
    const page = window as unknown as { moved: number; movedBy: () => Promise<number> };
    page.moved = by;
    // A page that was opened later knows better than when it was prepared.
    void page.movedBy().then((now) => {
      page.moved = now;
    });
    Date.now = () => real() + page.moved;
  }, moved);
  // A browser that has just been killed may take its time until what answers without a signal is awake: a person opens the page again.
  for (let again = 3; ; again -= 1)
    try {
      await opened.goto(server.address + path);
      return opened;
    } catch (failure) {
      if (again === 0) throw failure;
    }
}
const moveOn = (minutes: number) => {
  moved += minutes * 60_000;
  return page.evaluate((by) => {
    (window as unknown as { moved: number }).moved = by;
  }, moved);
};
const killBrowser = async () => {
  browser.process()!.kill('SIGKILL');
  await new Promise((resolve) => {
    browser.once('disconnected', resolve);
  });
  browser = await openBrowser(profile);
};
const inBook = () => caller.json<BookEntry[]>(`/api/books/${round}/entries`);

beforeAll(async () => {
  ensureBuilt();
  [server, browser] = await Promise.all([start({ what: 'server' }), openBrowser(profile)]);
  caller = await firstCaller(server);
  const pen = (book: string) => ({ book, author: caller.person, device: caller.device, now: Date.now(), offset: 0 });
  const today = new Date().toISOString().slice(0, 10);
  round = newId(Date.now());
  const plan = {
    name: 'A day without signal',
    code: 'NOSIG',
    system: 'Lomba Velha',
    date: today,
    zone: 'UTC',
    lab: null,
    editions: editionsOn(today),
    visits: [
      { id: visits.well, point: wellPoint, analyses: ['general' as const] },
      { id: visits.tap, point: tapPoint, analyses: ['coliforms' as const] },
    ],
  };
  const entries = [
    writeEntry(pen(lab.id), labRegistered, lab),
    writeEntry(pen(wellPoint.id), pointRegistered, wellPoint),
    writeEntry(pen(tapPoint.id), pointRegistered, tapPoint),
    writeEntry(pen(round), roundPlanned, plan),
  ].map((entry) => signed(entry));
  const { results } = (await (await caller.post('/api/entries', { entries })).json()) as { results: { status: number }[] };
  expect(results.map(({ status }) => status)).toEqual([201, 201, 201, 201]);
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

describe.sequential('a day without signal', () => {
  it('begins with a check that says what is missing on this device, and fetches it', async () => {
    page = await openPage('/');
    await see(page, 'Sign in');
    expect(await seriousBarriers(page)).toEqual([]);
    await type(page, 'Your name', 'rui  VALE');
    await type(page, 'Passphrase', passphrase);
    await click(page, 'Sign in');
    await see(page, 'A day without signal');
    await click(page, 'Ready to go without signal?', 'link');
    await see(page, 'Not ready to go without signal');
    await see(page, 'none of the open rounds is on this device');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Fetch what is missing');
    await page.waitForFunction(() => document.querySelector('h1')?.textContent === 'Ready to go without signal', {
      timeout: 60_000,
      polling: 200,
    });
    await see(page, '2 points, 1 lab');
  });

  it('opens with the server gone and the browser killed, on any page', async () => {
    await server.stop('SIGKILL');
    await killBrowser();
    const times: number[] = [];
    for (const path of ['/', `/rounds/${round}`, '/points', '/bench']) {
      const from = performance.now();
      page = await openPage(path);
      await page.waitForFunction(() => document.querySelector('h1, h2') !== null && !document.body.innerText.includes('Opening'), {
        timeout: patience,
      });
      times.push(performance.now() - from);
      await page.close();
    }
    console.log(`opened without a network: ${times.map((time) => Math.round(time)).join(', ')} ms`);
    page = await openPage('/');
    await see(page, 'No signal since');
    await see(page, 'A day without signal');
  });

  it('opens as well a fortnight later and after a reboot, and says how old it is', async () => {
    const left = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' }).format(Date.now());
    await killBrowser();
    moved = 14 * 24 * 3_600_000;
    page = await openPage(`/rounds/${round}`);
    await see(page, 'A day without signal');
    await see(page, wellPoint.name);
    await see(page, `What you see is from ${left}`);
    await page.close();
    moved = 0;
    page = await openPage('/');
    await see(page, 'A day without signal');
  });

  it('registers a point that was found on the way, and adds it to the round', async () => {
    await page.goto(`${server.address}/points/new`);
    await choose(page, 'Kind', 'Tap');
    await option(page, 'Which kind', 'House tap');
    await type(page, 'Name', 'Fountain behind the chapel');
    await type(page, 'Code for labels', 'FC1');
    await type(page, 'Place', 'Lomba Velha');
    await type(page, 'Which outlet exactly', 'Spout');
    await option(page, 'Disinfection', 'Free chlorine');
    await type(page, 'Least free chlorine', '0.2');
    await type(page, 'Least free chlorine', '0.2');
    await click(page, 'Register it');
    await see(page, 'Fountain behind the chapel');
    await page.goto(`${server.address}/rounds/${round}`);
    await click(page, 'Add a point');
    await option(page, 'Point', 'Fountain behind the chapel');
    await click(page, 'Add it');
    await see(page, 'Look round before you touch anything');
    await see(page, '2 entries only on this device, since');
  });

  it('reads the level and purges the well', async () => {
    await page.goto(`${server.address}/rounds/${round}/at/${visits.well}/level`);
    await see(page, 'The water is');
    await walk.readLevel(page, '7.400');
    await walk.readLevel(page, '7.402');
    await see(page, '7.402');
    await page.goto(`${server.address}/rounds/${round}/at/${visits.well}/purge`);
    await walk.setUpPurge(page);
    for (const [index, set] of walk.goodSets.entries()) {
      await moveOn(10);
      await walk.readSet(page, index + 1, set, () => Promise.resolve());
    }
    await walk.endPurge(page);
    await walk.fillNext(page, 'NOSIG-MW3-G');
  });

  it('takes a picture, runs the protocol at the tap and fills its bottle, the browser killed in between', async () => {
    await page.goto(`${server.address}/rounds/${round}/at/${visits.tap}/pictures`);
    await see(page, 'No picture of this visit yet');
    await page.evaluate(async () => {
      const canvas = new OffscreenCanvas(400, 300);
      canvas.getContext('2d')!.fillRect(0, 0, 400, 300);
      const chosen = new DataTransfer();
      chosen.items.add(new File([await canvas.convertToBlob({ type: 'image/png' })], 'a.png', { type: 'image/png' }));
      const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
      input.files = chosen.files;
      input.dispatchEvent(new Event('change', { bubbles: true }));
    });
    await see(page, 'Pictures (1)');
    await page.goto(`${server.address}/rounds/${round}/at/${visits.tap}/tap`);
    await walk.startAtTheTap(page);
    const wait = () => moveOn(10);
    await walk.waitClock(page, 'Run cold water, full and steady', wait);
    // Shown as written: from here on nothing may take it back.
    await walk.atStep(page, 'Measure the water temperature');
    await killBrowser();
    page = await openPage(`/rounds/${round}/at/${visits.tap}/tap`);
    await type(page, 'Measure the water temperature', '16.9');
    // What is typed reaches the disk within half a second.
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await page.close();
    // What was typed in a tab that is gone is there in the next, which asks about it.
    page = await openPage(`/rounds/${round}/at/${visits.tap}/tap`);
    await see(page, 'and not written down. Is it still so?');
    expect(await page.$eval('.step-now input', (one) => one.value)).toBe('16.9');
    await click(page, 'Start afresh');
    expect(await page.$eval('.step-now input', (one) => one.value)).toBe('');
    await walk.measureStep(page, 'Measure the water temperature', '17.2');
    await walk.measureStep(page, 'Measure free chlorine', '0.41');
    await walk.chooseDisinfection(page, 'Bleach');
    await walk.waitClock(page, 'Close the tap, wet the outlet inside and out, wait', wait);
    await walk.waitClock(page, 'Open and rinse the disinfectant off', wait);
    await walk.measureStep(page, 'Measure free chlorine again', '0.40');
    await walk.fillAndPutBack(page, 'NOSIG-MH1-B');
    await page.goto(`${server.address}/rounds/${round}/at/${visits.tap}/pictures`);
    await page.waitForFunction(() => document.querySelector<HTMLImageElement>('.pictures img')?.naturalWidth === 400);
  });

  it('hands over with a signature, and reads it all in the field book', async () => {
    await page.goto(`${server.address}/rounds/${round}/custody`);
    await see(page, '2 bottles to hand over');
    await type(page, 'To which lab, or whom', 'Island lab');
    await type(page, 'In the box now', '4.1');
    await type(page, 'Taken by', 'Night desk');
    await type(page, 'Bottles counted by who takes them', '2');
    await type(page, 'Sign as Rui Vale', 'Rui Vale');
    await click(page, 'Hand over 2 bottles');
    await see(page, '2 to Island lab');
    await page.goto(`${server.address}/rounds/${round}/book`);
    await see(page, 'Only on this device so far.');
    expect(await seriousBarriers(page)).toEqual([]);
    await page.goto(`${server.address}/outbox`);
    await see(page, 'entries are only on this device');
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it(`loses nothing that was shown as written over ${kills} kills at random moments`, async () => {
    const shown: string[] = [];
    for (let kill = 0; kill < kills; kill += 1) {
      await page.close().catch(() => undefined);
      page = await openPage(`/rounds/${round}/at/${visits.well}/pictures`);
      await see(page, 'What it shows');
      const note = `killed ${kill}`;
      const writing = (async () => {
        for (let number = 0; ; number += 1) {
          const text = `${note}.${number}`;
          await page.evaluate(async (what) => {
            const canvas = new OffscreenCanvas(8, 8);
            const pen = canvas.getContext('2d')!;
            pen.fillStyle = `#${Math.floor(Math.random() * 0xffffff)
              .toString(16)
              .padStart(6, '0')}`;
            pen.fillRect(0, 0, 8, 8);
            const chosen = new DataTransfer();
            chosen.items.add(new File([await canvas.convertToBlob({ type: 'image/png' })], `${what}.png`, { type: 'image/png' }));
            const field = document.querySelector<HTMLInputElement>('.picture-ask input[type=text], .picture-ask .ant-input')!;
            Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(field, what);
            field.dispatchEvent(new Event('input', { bubbles: true }));
            const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
            input.files = chosen.files;
            input.dispatchEvent(new Event('change', { bubbles: true }));
          }, text);
          await page.waitForFunction(
            (wanted) => document.querySelector('.pictures')?.textContent.includes(wanted),
            { timeout: patience },
            text,
          );
          shown.push(text);
        }
      })().catch(() => undefined);
      // The first not before something was shown, on however slow a machine.
      for (const until = Date.now() + patience; kill === 0 && shown.length === 0 && Date.now() < until;)
        await new Promise((resolve) => setTimeout(resolve, 100));
      await new Promise((resolve) => {
        setTimeout(resolve, 300 + Math.random() * 1500);
      });
      await killBrowser();
      await writing;
    }
    page = await openPage(`/rounds/${round}/at/${visits.well}/pictures`);
    await see(page, 'What it shows');
    const stands = await page.evaluate(() => document.body.innerText);
    console.log(`${kills} kills of the browser: ${shown.length} entries had been shown as written`);
    expect(shown.length).toBeGreaterThan(0);
    for (const text of shown) expect(stands).toContain(text);
  }, 1_800_000);

  it('hands everything in once there is a signal: each entry once, the chain whole, every signature good', async () => {
    await page.goto(`${server.address}/outbox`);
    await see(page, 'entries are only on this device');
    const count = await page.evaluate(() => Number(/(\d+) entries are only/.exec(document.body.innerText)![1]));
    server = await start({ what: 'server', database: server.database, env: { FONTE_PORT: new URL(server.address).port } });
    await page.reload();
    await page.waitForFunction(() => /Nothing is only|Your name/.test(document.body.innerText), { timeout: 60_000, polling: 200 });
    // A browser that was killed soon after signing in has lost its cookie: it says so, and what was written waits.
    if (await shows(page, 'Your name')) {
      await see(page, 'are only on this device. Nothing is lost');
      await type(page, 'Your name', 'Rui Vale');
      await type(page, 'Passphrase', passphrase);
      await click(page, 'Sign in');
    }
    await see(page, 'Nothing is only on this device');
    const entries = await inBook();
    // All but the point, which stands in a book of its own.
    expect(entries.length).toBe(1 + count - 1);
    expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length);
    expect(entries.every(({ signature }) => signature !== undefined)).toBe(true);
    expect(entries.map(({ kind }) => kind)).toEqual(
      expect.arrayContaining(['visit-added', 'level-read', 'purge-ended', 'picture-taken', 'handed-over']),
    );
    const verified = execFileSync(process.execPath, [join(root, 'server/dist/verify.js'), server.database], { encoding: 'utf8' });
    expect(verified).not.toContain('BROKEN');
    expect(verified).not.toContain('unsigned');
    // What the clock of this device was ahead of the server's when it left is told with each of them.
    expect(entries.find(({ kind }) => kind === 'level-read')!.clock).toMatchObject({ ahead: expect.any(Number) as number });
  });
});
