import type { Browser, CDPSession } from 'puppeteer-core';
import { openBrowser, phone } from '../../e2e/browser.ts';
import { start } from '../../e2e/harness.ts';
import { median, record } from './measure.ts';

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
