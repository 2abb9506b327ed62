import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { click, overflow, phone, see, type } from './browser.ts';
import type { Running } from './harness.ts';
import { onDemo } from './stage.ts';

let server: Running;
let page: Page;

onDemo((stage) => ({ server, page } = stage));

const writes = /^Write \d+ results? down$/;

describe.sequential('a point', () => {
  it('has its results through time, from a report that somebody reads at once on a device nobody knows yet', async () => {
    await page.goto(`${server.address}/rounds`, { waitUntil: 'domcontentloaded' });
    await click(page, 'School tap', 'link');
    await see(page, 'Read the report');
    await click(page, 'Go on');
    await page.waitForFunction(
      (source) => [...document.querySelectorAll('button')].some((one) => new RegExp(source).test(one.innerText)),
      {},
      writes.source,
    );
    await page.evaluate(
      (source) => [...document.querySelectorAll('button')].find((one) => new RegExp(source).test(one.innerText))!.click(),
      writes.source,
    );
    await see(page, 'Against EU drinking water');
    await page.goto(`${server.address}/points`, { waitUntil: 'domcontentloaded' });
    await click(page, 'School', 'link');
    await see(page, 'Tap at the kitchen sink');
    await see(page, 'School office');
    await see(page, 'Lead µg/L');
    const lead = await page.$$eval('[aria-label="Results"] tr', (rows) =>
      rows.map((row) => (row as HTMLElement).innerText).find((text) => text.startsWith('Lead')),
    );
    expect(lead).toMatch(/8\.4$/);
    await see(page, 'taken');
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('counts with its system over time, beside the samples that are required', async () => {
    await page.goto(`${server.address}/rounds`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Compliance over time', 'link');
    await see(page, '2026-11');
    await type(page, 'People served', '3000');
    // 40 CFR 141.857(b) (from memory): 2501 to 3300 people, 3 a month.
    await see(page, '1 of 3');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, '1 of 3');
    await see(page, 'No sample of standing water in this period.');
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
  });

  it('has its levels, what may hurt and what was odd, on a phone too', async () => {
    await page.goto(`${server.address}/points`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Tannery 3, downstream', 'link');
    await see(page, 'Wasps under the cap: knock first');
    await see(page, 'Contaminated water.');
    await page.waitForSelector('canvas[aria-label^="Water level elevation"]');
    expect(await seriousBarriers(page)).toEqual([]);
    await page.setViewport(phone);
    await see(page, 'What may hurt');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.goto(`${server.address}/points/018f0000-0000-7000-8000-000000009999`, { waitUntil: 'domcontentloaded' });
    await see(page, 'There is no such point in the register');
  });
});
