import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { option, click, desk, openBrowser, see, shows, type, plainPage } from './browser.ts';
import { ensureBuilt, start, type Running } from './harness.ts';
import * as walk from './walk.ts';

let server: Running;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  ensureBuilt();
  [server, browser] = await Promise.all([start({ what: 'demo' }), openBrowser()]);
  page = await plainPage(browser);
  await page.setViewport(desk);
  await walk.openToday(page, server.address);
  await click(page, 'Go on');
  await walk.arrive(page);
  await see(page, 'Depth to water');
  await walk.purgeUntilStable(page);
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

/** Waits until no dialog is open. */
const closed = () => page.waitForFunction(() => ![...document.querySelectorAll('.ant-modal-wrap')].some((one) => one.checkVisibility()));

describe.sequential('a slip, put right on the page', () => {
  it('in a set of readings: the verdict follows the corrected number', async () => {
    await see(page, 'Stable, and 3.1 volumes out');
    await click(page, 'Correct set 4');
    await see(page, 'Purge readings: set 4');
    expect(await seriousBarriers(page)).toEqual([]);
    const inDialog = '.ant-modal-wrap .set-fields .ant-form-item:nth-child(1) input[inputmode=decimal]';
    await page.click(inDialog, { count: 3 });
    await page.type(inDialog, '63');
    await type(page, 'Why', 'read the bucket marks wrong');
    await click(page, 'Write the correction');
    await closed();
    await see(page, 'Not yet: 7.8 L to go');
    await page.waitForFunction(() => [...document.querySelectorAll('tr')].some((row) => /^4\s.*\s63\s/.test(row.innerText)));
  });

  it('by striking a set that belongs elsewhere', async () => {
    await click(page, 'Correct set 1');
    await type(page, 'Why', 'taken before the hose was clear');
    await click(page, 'Strike it');
    await closed();
    await see(page, 'Set 4');
    expect(await shows(page, '14.0 NTU')).toBe(false);
  });

  it('is not asked for without a reason', async () => {
    await click(page, 'Correct set 1');
    await click(page, 'Strike it');
    await see(page, 'Say why, in a few words.');
    await click(page, 'Leave it');
    await closed();
  });

  it('in the end of the purge, which then goes on', async () => {
    await page.click('details.panel summary');
    await type(page, 'Why', 'tank full');
    await walk.endPurge(page);
    await click(page, 'Purge', 'link');
    await see(page, 'Departure: tank full');
    await click(page, 'Correct the end of the purge');
    await type(page, 'Why', 'second tank found');
    await click(page, 'Strike it');
    await closed();
    await see(page, 'Set 4');
    await walk.readSet(page, 4, { ...walk.goodSets[3]!, pumped: '74' });
    await see(page, 'Stable, and 3.1 volumes out');
    await walk.endPurge(page);
    // What has ended is not offered again.
    await click(page, 'Purge', 'link');
    await see(page, 'Ended at');
    expect(await shows(page, 'End and fill')).toBe(false);
    await click(page, 'Fill', 'link');
  });

  it('in a bottle: a filling is struck, a filled one thrown away', async () => {
    await walk.fillNext(page, '261123A-MW3-M');
    await click(page, 'Correct 261123A-MW3-M');
    await type(page, 'Why', 'tapped the wrong bottle');
    await click(page, 'Strike it');
    await closed();
    await page.waitForSelector('[aria-label="Bottle 261123A-MW3-M"]');
    await walk.fillNext(page, '261123A-MW3-M');
    await click(page, 'Throw away 261123A-MW3-M');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Throw it away');
    await see(page, 'Choose why.');
    await option(page, 'Why', 'Overfilled');
    await click(page, 'Throw it away');
    await closed();
    await page.waitForSelector('[aria-label="Bottle 261123A-MW3-M2"]');
    await see(page, 'Spare: write its own label');
  });

  it('stays readable in the book, with reason and initials', async () => {
    await click(page, 'Field book', 'link');
    for (const reason of [
      'read the bucket marks wrong',
      'taken before the hose was clear',
      'second tank found',
      'tapped the wrong bottle',
    ]) {
      await see(page, `Struck: ${reason}. IF`);
    }
  });
});
