import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { addressAt, click, desk, openBrowser, option, overflow, phone, plainPage, see, shows, type } from './browser.ts';
import { ensureBuilt, start, type Running } from './harness.ts';

let server: Running;
let browser: Browser;
let page: Page;
let report: string;

beforeAll(async () => {
  ensureBuilt();
  [server, browser] = await Promise.all([start({ what: 'demo' }), openBrowser()]);
  page = await plainPage(browser);
  await page.setViewport(desk);
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

const open = async (path: string, text: string) => {
  await page.goto(`${server.address}${path}`, { waitUntil: 'domcontentloaded' });
  await see(page, text);
};
const give = async (name: string, text: string) => {
  const path = join(mkdtempSync(join(tmpdir(), 'fonte-report-')), name);
  writeFileSync(path, text);
  const input = (await page.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(path);
  await see(page, name);
};
const sheet = 'Sample;Analyte;Result;Unit\nKitchen;Lead;12;µg/L\nKitchen;Copper;310;µg/L\nCellar;Lead;2;µg/L\n';

describe.sequential('a report that somebody brought', () => {
  it('has a page of its own beside the reports that rounds wait for', async () => {
    await open('/', 'Today');
    await click(page, 'Reports', 'link');
    await see(page, 'School tap');
    await see(page, 'Nobody has brought a report yet.');
    expect([await overflow(page), await seriousBarriers(page)]).toEqual([0, []]);
  });

  it('says what is missing, asks which sample it is, and keeps what was said over a reload', async () => {
    await click(page, 'Read a report that somebody brought', 'link');
    await see(page, 'What it is of');
    await click(page, 'Write it down');
    await see(page, 'Choose the file, or paste its text.');
    await see(page, 'Say which water it is.');
    await give('kitchen.csv', sheet);
    await see(page, 'What would be written down');
    await type(page, 'Which water', 'House at the bend');
    await type(page, 'Sampled on', '2026-11-20');
    await page.keyboard.press('Enter');
    await option(page, 'Which kind', 'Private well');
    await option(page, 'Water', 'Private');
    await click(page, 'Write it down');
    await see(page, 'Say which sample of the report it is.');
    await option(page, 'Sample in the report', 'Kitchen');
    await page.waitForFunction(() => !document.body.innerText.includes('Cellar\nLead'));
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'What would be written down');
    await page.waitForFunction(() => [...document.querySelectorAll('input')].some((one) => one.value === 'House at the bend'));
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Write it down');
    await see(page, 'Over a value: Lead');
    report = await addressAt(page, /^\/reports\/[0-9a-f-]{36}$/);
    await see(page, '2 mg/L');
    expect(await shows(page, 'Cellar')).toBe(false);
    // Nothing of such a sample meets anything.
    expect(await shows(page, 'Meets')).toBe(false);
    expect([await overflow(page), await seriousBarriers(page)]).toEqual([0, []]);
    await page.setViewport(phone);
    await see(page, 'Over a value: Lead');
    expect(await overflow(page)).toBe(0);
    await page.setViewport(desk);
  });

  it('is filed under a point later, where it then stands', async () => {
    await page.goto(report, { waitUntil: 'domcontentloaded' });
    await see(page, 'At no point of the register yet.');
    await click(page, 'Change', 'link');
    await see(page, 'What would be written down');
    await option(page, 'Point of the register', 'School, SC1');
    // What was said of it stays, whatever the register says of the point.
    await click(page, 'Write the change');
    await see(page, 'Over a value: Lead');
    await see(page, 'House at the bend');
    await click(page, 'School', 'link');
    await see(page, 'Reports of samples that somebody else took');
    await see(page, '20 November 2026');
  });

  it('that nobody can read is told so, and nothing is written of it', async () => {
    await open('/reports/new', 'What it is of');
    await give('letter.txt', 'Dear Rui,\nsee you on Monday.\n');
    await see(page, 'No row with column names was found');
    await click(page, 'Write it down');
    await see(page, 'Say which water it is.');
    await open('/reports', 'House at the bend');
    expect(await shows(page, 'letter.txt')).toBe(false);
  });
});
