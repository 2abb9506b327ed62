import { writeEntry } from '@fonte/core/book';
import { pointRegistered } from '@fonte/core/registers';
import { wellPoint } from '../../core/test/script.ts';
import type { Browser, CDPSession, Page } from 'puppeteer-core';
import { click, openBrowser, phone, see, type } from '../../e2e/browser.ts';
import { start } from '../../e2e/harness.ts';
import { firstCaller, passphrase } from '../../e2e/people.ts';
import { median, record } from './measure.ts';
import { longBook, sealed } from './scene.ts';

/** How many times slower than this machine a phone is taken to be. */
const slower = 4;
const runs = 5;

/** Opens the first page as a phone does that has never seen it, and says how long until its button can be pressed (ms) and how much script came (kB). */
async function openOnce(browser: Browser, address: string): Promise<{ usable: number; script: number }> {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport(phone);
  const session: CDPSession = await page.createCDPSession();
  await session.send('Network.enable');
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
  const scripts = new Set<string>();
  let script = 0;
  session.on('Network.responseReceived', ({ requestId, type }) => {
    if (type === 'Script') scripts.add(requestId);
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) script += encodedDataLength;
  });
  const from = performance.now();
  await page.goto(address, { waitUntil: 'domcontentloaded' });
  await page.waitForSelector('.next-up button', { timeout: 60_000 });
  const usable = performance.now() - from;
  await context.close();
  return { usable, script: script / 1024 };
}

/** The first page of the demo in Chromium at a slowed CPU, with nothing kept from before. */
export async function firstPage(): Promise<void> {
  const [server, browser] = await Promise.all([start({ what: 'demo' }), openBrowser()]);
  const seen = [];
  for (let run = 0; run < runs; run += 1) seen.push(await openOnce(browser, server.address));
  await browser.close();
  await server.stop();
  record('JavaScript of the first page, as it comes over the wire', median(seen.map(({ script }) => script)), 'kB', 250);
  record(
    `first page until its button is there, CPU ${slower} × slower, median of ${runs}`,
    median(seen.map(({ usable }) => usable)),
    'ms',
    2000,
  );
}

/** A server with one well, a browser, and whoever was the first there. */
async function ownServer() {
  const [server, browser] = await Promise.all([start({ what: 'server' }), openBrowser()]);
  const caller = await firstCaller(server);
  const pen = { book: wellPoint.id, author: caller.person, device: caller.device, now: Date.now(), offset: 0 };
  await caller.post('/api/entries', { entries: [sealed(writeEntry(pen, pointRegistered, wellPoint))] });
  return { server, browser, caller };
}

async function signIn(page: Page, address: string): Promise<void> {
  await page.goto(address, { waitUntil: 'networkidle0' });
  await type(page, 'Your name', 'Rui Vale');
  await type(page, 'Passphrase', passphrase);
  await click(page, 'Sign in');
}

/** So many entries lie on a device that has been away for long. */
const away = 5000;

/** A device with thousands of entries in its outbox and ten rounds on its disk: until all is handed in, and what it takes. */
export async function deviceSync(): Promise<void> {
  const { server, browser, caller } = await ownServer();
  const rounds = Array.from({ length: 10 }, (_, number) => longBook(away / 10, `DAY${number}`, caller));
  const page = await browser.newPage();
  await signIn(page, server.address);
  await see(page, 'No round is under way');
  const entries = rounds.flatMap((script) => script.entries.map(sealed));
  for (let at = 0; at < entries.length; at += 500)
    await page.evaluate(
      async (some) => {
        const opening = indexedDB.open('fonte');
        const disk = await new Promise<IDBDatabase>((resolve) => {
          opening.onsuccess = () => resolve(opening.result);
        });
        const writing = disk.transaction('outbox', 'readwrite');
        for (const entry of some as { id: string; book: string }[])
          writing.objectStore('outbox').add({ id: entry.id, book: entry.book, entry, at: Date.now(), state: 'waiting' });
        await new Promise((resolve) => {
          writing.oncomplete = resolve;
        });
        disk.close();
      },
      entries.slice(at, at + 500) as never,
    );
  const from = performance.now();
  await page.goto(`${server.address}/outbox`);
  await page.waitForFunction(() => document.body.innerText.includes('entries are only on this device'), { timeout: 60_000 });
  await page.waitForFunction(() => document.body.innerText.includes('Nothing is only on this device'), { timeout: 300_000 });
  record(`a device hands in ${away} entries of 10 rounds: until its outbox is empty`, (performance.now() - from) / 1000, 's', 60);
  const stored = await page.evaluate(async () => (await navigator.storage.estimate()).usage ?? 0);
  record(`what the application and 10 rounds of ${away / 10} entries take on the device`, stored / (1 << 20), 'MB', 50);
  const known = await Promise.all(rounds.map(({ book }) => caller.json<unknown[]>(`/api/books/${book}/entries`)));
  record('a device hands in its outbox: entries that did not arrive', away - known.flat().length, 'entries', 0);
  await browser.close();
  await server.stop();
}

/** So many entries stand in the book of a purge that goes on for very long. */
const long = 2000;

/** A key pressed in a form of a long book, at a slowed CPU: from the press until the page shows it, as the browser measures it. */
export async function typing(): Promise<void> {
  const { server, browser, caller } = await ownServer();
  const script = longBook(long, 'LONG', caller);
  for (let at = 0; at < script.entries.length; at += 500)
    await caller.post('/api/entries', { entries: script.entries.slice(at, at + 500).map(sealed) });
  const page = await browser.newPage();
  await page.setViewport(phone);
  await signIn(page, server.address);
  await see(page, 'Plan a round');
  await page.goto(`${server.address}/rounds/${script.book}/at/${script.well}/purge`, { waitUntil: 'networkidle0' });
  const field = await page.locator('aria/Temperature[role="textbox"]').setTimeout(60_000).waitHandle();
  await page.evaluate(() => {
    const shown: number[] = [];
    Object.assign(globalThis, { shown });
    new PerformanceObserver((list) => {
      for (const { name, duration } of list.getEntries()) if (name === 'keydown') shown.push(duration);
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
  });
  const session = await page.createCDPSession();
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
  await field.evaluate((one) => (one as HTMLElement).focus());
  for (const key of '1234567890123456789012345') {
    await page.keyboard.press(key as '1');
    await new Promise((resolve) => {
      setTimeout(resolve, 250);
    });
  }
  const shown = await page.evaluate(() => (globalThis as unknown as { shown: number[] }).shown);
  await browser.close();
  await server.stop();
  // What took less than the browser tells of was shown within 16 ms.
  const all = Array.from({ length: 25 }, (_, place) => shown[place] ?? 16);
  record(`a key in a form of a book of ${long} entries, CPU ${slower} × slower, until it is shown, median of 25`, median(all), 'ms', 50);
}
