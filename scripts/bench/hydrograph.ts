import type { Page } from 'puppeteer-core';
import { openBrowser, desk } from '../../e2e/browser.ts';
import { start } from '../../e2e/harness.ts';
import { median, record } from './measure.ts';

const levels = 20_000;
const runs = 5;
const well = '018f0000-0000-7000-8000-000000000023';

/** Answers for a well with so many levels at rest, whatever the demo has. */
async function answerWith(page: Page, many: number): Promise<void> {
  const end = Date.UTC(2026, 10, 1);
  const rows = Array.from({ length: many }, (_, place) => {
    const depth = 7 + Math.sin(place / 1400) + 0.02 * Math.sin(place);
    return { round: well, at: end - (many - place) * 3_600_000, measuringPoint: 'Rim', depth, elevation: 52 - depth, water: 'static' };
  });
  await page.setRequestInterception(true);
  page.on('request', (request) => {
    if (request.url().endsWith(`/api/points/${well}/levels`))
      void request.respond({ contentType: 'application/json', body: JSON.stringify(rows) });
    else void request.continue();
  });
}

/** The page of a well with 20,000 levels: until its hydrograph is drawn, of which the chart itself. */
export async function hydrograph(): Promise<void> {
  const [server, browser] = await Promise.all([start({ what: 'demo' }), openBrowser()]);
  for (const many of [4, levels]) {
    const drawn: number[] = [];
    for (let run = 0; run < runs; run++) {
      const context = await browser.createBrowserContext();
      const page = await context.newPage();
      await page.setViewport(desk);
      // The worker that keeps the application would answer in place of this.
      await page.evaluateOnNewDocument('delete Navigator.prototype.serviceWorker');
      await answerWith(page, many);
      const from = performance.now();
      await page.goto(`${server.address}/points/${well}`, { waitUntil: 'domcontentloaded' });
      await page.waitForFunction(
        () => {
          const canvas = document.querySelector<HTMLCanvasElement>('figure canvas');
          return (
            canvas &&
            canvas.width > 100 &&
            canvas
              .getContext('2d')!
              .getImageData(canvas.width / 2, 0, 1, canvas.height)
              .data.some((one) => one > 0)
          );
        },
        { polling: 'raf' },
      );
      drawn.push(performance.now() - from);
      await context.close();
    }
    record(`the page of a well with ${many} levels, until its hydrograph is drawn, median of ${runs}`, median(drawn), 'ms');
  }
  await browser.close();
  await server.stop();
}
