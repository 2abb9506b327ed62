import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { click, desk, option, overflow, phone, press, see, shows, type } from './browser.ts';
import type { Running } from './harness.ts';
import { onDemo } from './stage.ts';

let server: Running;
let page: Page;

onDemo((stage) => ({ server, page } = stage));

describe.sequential('what is due', () => {
  it('is counted by programme: taken, planned, to be planned', async () => {
    await page.goto(`${server.address}/rounds`, { waitUntil: 'domcontentloaded' });
    await click(page, 'What is due', 'link');
    await see(page, 'This month, to 30 November 2026: 1 of 4 taken, 1 planned, 2 to be planned');
    await see(page, 'This quarter, to 31 December 2026: 0 of 9 taken, 3 planned, 6 to be planned');
    await see(page, 'Behind an even spread');
    expect(await seriousBarriers(page)).toEqual([]);
    await page.setViewport(phone);
    await see(page, 'Tannery wells');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.setViewport(desk);
  });

  it('becomes a plan with one touch, once, also over a reload, and is planned then', async () => {
    await see(page, 'Bacteria in the network');
    await press(page, 'Plan these 2 points');
    await see(page, 'Plan a round');
    await see(page, 'Quay house');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'Bottles: 2 + 1 spare bacteria.');
    await type(page, 'System or site', 'Marenta');
    await click(page, 'Plan it');
    await see(page, 'Look round before you touch anything');
    await page.goto(`${server.address}/due`, { waitUntil: 'domcontentloaded' });
    await see(page, '1 of 4 taken, 3 planned, 0 to be planned');
  });

  it('follows a programme of one’s own, with the published count for a supply of its size', async () => {
    await option(page, 'Who writes', 'Rui Vale');
    await click(page, 'Programmes', 'link');
    await click(page, 'Register a programme', 'link');
    await type(page, 'Name', 'Lead at schools');
    await option(page, 'Points', 'School');
    await option(page, 'Analyses', 'Lead and copper at the tap');
    await type(page, 'How often', '0');
    await click(page, 'Register it');
    await see(page, 'At least once.');
    await page.evaluate(() => {
      for (const one of document.querySelectorAll('details')) one.open = true;
    });
    await type(page, 'Size, people served', '2400');
    await press(page, 'Take 2 in each month');
    await click(page, 'Register it');
    await see(page, '2 in each month, over all points');
    await page.goto(`${server.address}/due`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Lead at schools');
    await see(page, '0 of 2 taken, 0 planned, 2 to be planned');
    expect(await shows(page, 'of the period before were not taken')).toBe(false);
  });
});
