import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { addressAt, click, option, overflow, phone, see, shows, type, signal } from './browser.ts';
import type { Running } from './harness.ts';
import { demoCaller, type Caller } from './people.ts';
import { onDemo } from './stage.ts';
import * as walk from './walk.ts';

/* Somebody stands at a point without a round and without a signal: what is seen there is there for whoever comes with bottles. */

let server: Running;
let browser: Browser;
let page: Page;

onDemo((stage) => ({ server, browser, page } = stage), phone, true);

describe.sequential('A point that is looked at without a round', () => {
  it('takes a picture with an arrow, the outlet and what is odd, with no signal, over a reload', async () => {
    await page.goto(`${server.address}/points`, { waitUntil: 'networkidle0' });
    await click(page, 'Market hall', 'link');
    await click(page, 'Write down what you see there', 'link');
    await see(page, 'No round is needed for this, and no clock runs.');
    expect(await shows(page, 'at the latest')).toBe(false);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await click(page, 'Write it down');
    await see(page, 'Take a picture, or write down what you see.');
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await signal(page, false);
    // The first one is blurred: nothing of it stays here, as the file for a colleague shows below.
    await walk.choosePicture(page);
    await click(page, 'Leave it out');
    await page.waitForFunction(() => !document.body.innerText.includes('Draw an arrow'));
    await walk.choosePicture(page);
    await click(page, 'Draw an arrow');
    await page.waitForSelector('.picture-drawn');
    await page.focus('.picture-drawn');
    await page.keyboard.press('ArrowRight');
    await click(page, 'Keep the arrow');
    await walk.closed(page);
    await type(page, 'What it shows', 'left of the two');
    await type(page, 'Outlet that was used last time', 'the left one');
    await option(page, 'What is odd about it', 'So near the ground that it splashes back');
    await page.keyboard.press('Escape');
    expect(await seriousBarriers(page)).toEqual([]);
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'So near the ground that it splashes back');
    await see(page, 'Draw the arrow again');
    await type(page, 'Note', 'Ana has the key');
    await click(page, 'Write it down');
    await see(page, 'Seen without a round');
    await see(page, 'Used last time: the left one. So near the ground that it splashes back. Ana has the key');
    await see(page, 'left of the two');
  });

  it('goes to a colleague as a file with its picture, as long as only this device has it', async () => {
    // What was seen stands on the page it is written on too, for a moment.
    const point = await addressAt(page, /^\/points\/[^/]+$/);
    await page.goto(`${server.address}/outbox`);
    await see(page, 'the register');
    const saved = await walk.savedBy(page, mkdtempSync(join(tmpdir(), 'fonte-')), () => click(page, 'Give it to a colleague as a file'));
    const parcel = JSON.parse(readFileSync(saved, 'utf8')) as { version: number; files: { sha256: string; point: string }[] };
    expect(parcel).toMatchObject({ version: 2, files: [{ round: null, type: 'image/jpeg' }] });
    await page.goto(point);
    await see(page, 'Seen without a round');
  });

  it('changes the way in, and nothing else of the point', async () => {
    await signal(page, true);
    await click(page, 'Write down what you see there', 'link');
    await type(page, 'The way in, what to bring', 'By the yard, bring the short ladder');
    await click(page, 'Keep the way');
    await see(page, 'By the yard, bring the short ladder');
    await see(page, 'Seen without a round');
    await see(page, 'Steel tap in the cleaning room');
  });

  it('says all of it to whoever arrives there, on another device too', async () => {
    const caller = await demoCaller(server);
    const seen = async () => (await caller.json<object[]>(`/api/points/${await marketHall(caller)}/scouted`)).length;
    await page.waitForFunction(() => navigator.onLine);
    for (let waited = 0; (await seen()) === 0 && waited < 100; waited += 1) await new Promise((resolve) => setTimeout(resolve, 200));
    const { id: round } = (await caller.json<{ id: string; name: string }[]>('/api/rounds')).find(
      ({ name }) => name === 'Tannery and market hall',
    )!;
    const entries = await caller.json<{ payload: { visits?: { id: string; point: { code: string } }[] } }[]>(`/api/books/${round}/entries`);
    const visit = entries.flatMap(({ payload }) => payload.visits ?? []).find(({ point }) => point.code === 'MH1')!;
    const other = await (await browser.createBrowserContext()).newPage();
    await other.setViewport(phone);
    await other.goto(`${server.address}/rounds/${round}/at/${visit.id}/arrive`, { waitUntil: 'domcontentloaded' });
    await see(other, 'Used last time: the left one. So near the ground that it splashes back. Ana has the key');
    await see(other, 'left of the two');
    // The round was planned before the way in was changed.
    await other.waitForFunction(() =>
      [...document.querySelectorAll('img')].some((one) => one.alt === 'left of the two' && one.naturalWidth === 400),
    );
    expect(await overflow(other)).toBeLessThanOrEqual(0);
    // Struck there, it is told to nobody any more; it stays in the point's book.
    await page.goto(`${server.address}/points/${await marketHall(caller)}/look`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Strike');
    await type(page, 'Why', 'somebody is on it');
    await click(page, 'Strike it');
    await walk.closed(page);
    await page.waitForFunction(() => !document.body.innerText.includes('Seen without a round'));
  });
});

async function marketHall(caller: Caller): Promise<string> {
  return (await caller.json<{ id: string; code: string }[]>('/api/points')).find(({ code }) => code === 'MH1')!.id;
}
