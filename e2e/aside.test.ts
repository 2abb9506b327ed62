import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { click, desk, openBrowser, phone, press, see, type, signal } from './browser.ts';
import { ensureBuilt, root, start, type Running } from './harness.ts';
import * as walk from './walk.ts';
import { patience } from './find.ts';

let server: Running;
let browser: Browser;
/** The technician's page, and that of a colleague on another device. */
let page: Page;
let colleague: Page;

beforeAll(async () => {
  ensureBuilt();
  [server, browser] = await Promise.all([start({ what: 'demo' }), openBrowser()]);
  page = await browser.newPage();
  colleague = await (await browser.createBrowserContext()).newPage();
  await page.setViewport(desk);
  await colleague.setViewport(desk);
  await walk.openToday(page, server.address);
  await click(page, 'Go on');
  await walk.arrive(page);
  await see(page, 'Depth to water');
  await walk.readLevel(page, '7.512');
  await see(page, 'the last was 7.512 m');
  await walk.readLevel(page, '7.514');
  await click(page, 'On to the purge');
  await walk.setUpPurge(page);
  for (const [index, set] of walk.goodSets.entries()) await walk.readSet(page, index + 1, set);
  // Minutes later, as in a field: there is room before the end of the purge.
  await walk.skip(page, '10 min');
  await colleague.goto(page.url(), { waitUntil: 'domcontentloaded' });
  await see(colleague, 'Set 5');
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

const closed = (one: Page) =>
  one.waitForFunction(() => ![...document.querySelectorAll('.ant-modal-wrap')].some((dialog) => dialog.checkVisibility()));
const verify = (...args: string[]) => spawnSync(process.execPath, [join(root, 'server/dist/verify.js'), ...args], { encoding: 'utf8' });

describe.sequential('two devices that disagree', () => {
  it('lose nothing: a set that was read after the other ended the purge is taken, and set aside on both', async () => {
    await signal(colleague, false);
    await walk.endPurge(page);
    await walk.readSet(colleague, 5, { ...walk.goodSets[3]!, pumped: '79' });
    await see(colleague, '1 entry only on this device');
    await signal(colleague, true);
    for (const one of [page, colleague]) {
      await one.bringToFront();
      await click(one, 'Tannery and market hall', 'link');
      await see(one, 'Set aside: 1 entry does not fit');
      await see(one, 'The purge has ended.');
    }
    expect(await seriousBarriers(colleague)).toEqual([]);
  });

  it('fit a phone with what is set aside', async () => {
    await page.bringToFront();
    await page.setViewport({ width: phone.width, height: phone.height });
    await see(page, 'Set aside');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(phone.width);
    await page.setViewport(desk);
  });

  it('until a person places it: it was read before the purge ended', async () => {
    await page.bringToFront();
    await press(page, 'Place or strike');
    const time = '.ant-modal-wrap .ant-picker input';
    await page.waitForSelector(time);
    const shown = await page.$eval(time, (one) => one.value);
    expect(shown).toMatch(/^2026-11-23 \d\d:\d\d:\d\d$/);
    expect(await seriousBarriers(page)).toEqual([]);
    const earlier = async (minutes: number) => {
      const moment = new Date(`${shown.replace(' ', 'T')}Z`).getTime() - minutes * 60_000;
      await page.click(time, { count: 3 });
      await page.keyboard.type(new Date(moment).toISOString().slice(0, 19).replace('T', ' '));
      await page.keyboard.press('Enter');
    };
    await earlier(50);
    await see(page, 'It would stand aside still: Set up the purge first.');
    // The other device's clock was ahead.
    await earlier(1);
    await type(page, 'Why', 'his watch was a minute fast');
    await click(page, 'Write the correction');
    await closed(page);
    await page.waitForFunction(() => !document.body.innerText.includes('Set aside'), { timeout: patience });
    await colleague.bringToFront();
    await colleague.waitForFunction(() => !document.body.innerText.includes('Set aside'), { timeout: patience });
    await click(colleague, 'Field book', 'link');
    await see(colleague, 'his watch was a minute fast');
  });
});

describe.sequential('a book that is handed out', () => {
  it('is verified alone, without the server; a changed byte or a forged end is found out', async () => {
    await page.bringToFront();
    await click(page, 'Field book', 'link');
    const link = await page.waitForSelector('a[download]');
    const address = await link!.evaluate((one) => one.href);
    const text = await page.evaluate(async (from) => (await fetch(from)).text(), address);
    const { head, book } = JSON.parse(text) as { head: { count: number; hash: string }; book: string };
    const file = join(mkdtempSync(join(tmpdir(), 'fonte-')), 'handed-out.book.json');
    writeFileSync(file, text);
    expect(verify(file)).toMatchObject({ status: 0, stdout: expect.stringContaining(`whole   ${book}: ${head.count} entries`) as string });
    expect(verify(file, `${head.count}:${head.hash}`).status).toBe(0);
    expect(verify(file, `${head.count}:${'0'.repeat(64)}`).status).toBe(1);
    writeFileSync(file, text.replace('7.512', '7.412'));
    expect(verify(file)).toMatchObject({ status: 1, stdout: expect.stringContaining('what it says was changed') as string });
    const cut = JSON.parse(text) as { entries: unknown[] };
    writeFileSync(file, JSON.stringify({ ...cut, entries: cut.entries.slice(0, -2) }));
    expect(verify(file).stdout).toContain('it does not end where it says');
  });

  it('and the database it came from is whole, every table of it', () => {
    expect(execFileSync(process.execPath, [join(root, 'server/dist/verify.js'), server.database], { encoding: 'utf8' })).not.toContain(
      'BROKEN',
    );
  });
});
