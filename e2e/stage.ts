import type { Browser, Page, Viewport } from 'puppeteer-core';
import { afterAll, beforeAll } from 'vitest';
import { desk, openBrowser, plainPage } from './browser.ts';
import { ensureBuilt, start, type Running } from './harness.ts';

/** What the tests of a file play on: the demo in a server of its own, and a page. */
export interface Stage {
  server: Running;
  browser: Browser;
  page: Page;
}

/**
 * Sets the stage before the first test of a file, and clears it after the last, also where it was never whole.
 * @param isKept the page is put on the device: it opens without a signal
 */
export function onDemo(begin: (stage: Stage) => unknown, size: Viewport = desk, isKept = false): void {
  let server: Running | undefined;
  let browser: Browser | undefined;
  beforeAll(async () => {
    ensureBuilt();
    // One after the other: if the second fails, the first is known and is ended.
    server = await start({ what: 'demo' });
    browser = await openBrowser();
    const page = isKept ? await browser.newPage() : await plainPage(browser);
    await page.setViewport(size);
    await begin({ server, browser, page });
  }, 120_000);
  afterAll(async () => {
    await browser?.close();
    await server?.stop();
  });
}
