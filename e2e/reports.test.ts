import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { workbookOf } from '../server/test/workbook.ts';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, openBrowser, option, overflow, phone, see, shows, tick, type, plainPage } from './browser.ts';
import { start, type Running } from './harness.ts';
import * as walk from './walk.ts';

let server: Running;
let browser: Browser;
let page: Page;
let round: string;
const [metals, bacteria] = ['261118A-SC1-M', '261118A-SC1-B'];

beforeAll(async () => {
  server = await start({ what: 'demo' });
  browser = await openBrowser();
  page = await plainPage(browser);
  await page.setViewport(desk);
  await page.goto(`${server.address}/rounds`, { waitUntil: 'domcontentloaded' });
  await click(page, 'School tap', 'link');
  await see(page, 'Field book');
  round = page.url();
});
afterAll(async () => {
  await browser.close();
  await server.stop();
});

const open = async (what: string, text: string) => {
  await page.goto(`${round}/${what}`, { waitUntil: 'domcontentloaded' });
  await see(page, text);
};
const headline = () => page.$eval('h1', (one) => one.textContent);
const metal = (name: string, result: string, unit = 'µg/L') => `${metals};${name};${result};;${unit}`;

describe.sequential('several reports of one round', () => {
  it('are chemistry first, with a flag and a name that nobody knows: each is asked about with what the file says of it', async () => {
    await open('report', 'A report to read');
    await page.$$eval('summary', (all) => all.find((one) => one.textContent === 'Put this file aside')!.click());
    await type(page, 'Why', 'the lab sends it in parts');
    await click(page, 'Put it aside');
    await see(page, 'It says nothing about this round.');
    await walk.takeIn(page, 'wide.csv', `Sample,Fraction,Iron (µg/L),Lead (µg/L)\n${metals},Dissolved,34,2\n`);
    await see(page, 'A row for each sample');
    // The bottle was not filtered.
    await see(page, 'Total or dissolved: who is right?');
    await page.setViewport(phone);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.setViewport(desk);
    await choose(page, 'These rows are', 'As the report says');
    await see(page, 'Iron, dissolved');
    await page.setViewport(phone);
    await see(page, 'A row for each sample');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.setViewport(desk);
    // Another size of the window draws the page anew.
    await page.waitForFunction(() => [...document.querySelectorAll('summary')].some((one) => one.textContent === 'Put this file aside'));
    await page.$$eval('summary', (all) => all.find((one) => one.textContent === 'Put this file aside')!.click());
    await type(page, 'Why', 'of no use here');
    await click(page, 'Put it aside');
    await page.waitForFunction(() => !document.body.innerText.includes('A row for each sample'));
    const rows = ['Iron', 'Manganese', 'Arsenic', 'Lead', 'Nickel', 'Aluminium', 'Antimony', 'Cadmium', 'Chromium', 'Selenium', 'Uranium'];
    await walk.takeIn(
      page,
      'chemistry.csv',
      [
        'Water laboratory of the north',
        'PRELIMINARY REPORT',
        'K = bottle arrived cracked',
        'Sample;Analyte;Result;Flag;Unit',
        ...rows.map((name) => metal(name, '<1')),
        `${metals};Copper;0.2;K;mg/L`,
        `${metals.replace('-SC1', 'SC1')};Boron;0.05;;mg/L`,
        'Method blank;Lead;<1;;µg/L',
        metal('Yttrium', '40'),
      ].join('\n'),
    );
    await see(page, 'The file says: “bottle arrived cracked”.');
    await option(page, 'Flag K means', 'An estimate');
    await option(page, '261118ASC1-M is', metals);
    await see(page, 'Say above whether another report will follow.');
    expect(await seriousBarriers(page)).toEqual([]);
    await choose(page, 'This report is', 'Yes: preliminary');
    await page.setViewport(phone);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.setViewport(desk);
    await see(page, 'Write 13 results down');
    await click(page, 'Write 13 results down');
    await see(page, 'Bacteria pending');
    expect(await headline()).toBe('Bacteria pending; 1 row not understood; 13 results are preliminary; 3 results are inconclusive.');
    await see(page, '13 of 15 results are reported');
    await see(page, 'Yttrium');
  });

  it('have E. coli told by telephone a week later: what must be done is due that day, and leads the first page once it is late', async () => {
    for (let days = 0; days < 7; days += 1) await walk.skip(page, '1 d');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await click(page, `By telephone: a result of ${bacteria}`);
    await click(page, 'Save the call');
    await see(page, 'Choose what was measured.');
    await option(page, 'What was measured', 'E. coli');
    await option(page, 'What was said', 'Found');
    await type(page, 'Who told it', 'the lab, by telephone');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Save the call');
    await see(page, 'Call the authority and the operator now');
    expect(await headline()).toContain('E. coli found at School; coliform bacteria pending');
    await see(page, 'by Mon 30 Nov, 23:59');
    await walk.skip(page, '1 d');
    await page.goto(server.address, { waitUntil: 'domcontentloaded' });
    await see(page, 'and people drink this water');
    expect(await headline()).toContain('overdue');
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('keep that deadline when the report says it, and an amended one replaces what it is said to replace', async () => {
    await open('report', 'Take in a file');
    await walk.takeIn(
      page,
      'bacteria.csv',
      `Sample;Analyte;Result;Unit\n${bacteria};E. coli;2;CFU/100 mL\n${bacteria};Total coliforms;12;CFU/100 mL\n`,
    );
    await click(page, 'Write 2 results down');
    await see(page, 'E. coli found');
    await see(page, 'by Mon 30 Nov, 23:59');
    await open('report', 'Take in a file');
    await walk.takeIn(page, 'amended.csv', `AMENDED REPORT\nSample;Analyte;Result;Flag;Unit\n${metal('Lead', '14 ± 1.5')}\n`);
    await see(page, '1 result differs from chemistry.csv');
    await choose(page, 'This report is', 'No: final');
    await see(page, 'Say above whether this report replaces chemistry.csv.');
    await choose(page, 'chemistry.csv is replaced', 'Only what it repeats');
    await page.waitForFunction(() => !document.body.innerText.includes('Say above whether'));
    await click(page, 'Write 1 result down');
    await see(page, 'exceeds a health value at');
    expect(await headline()).toBe(
      'E. coli found at School; coliform bacteria found at School; lead exceeds a health value at School; 1 row not understood; 12 results are preliminary; 2 results are inconclusive.',
    );
    expect(await shows(page, 'pending')).toBe(false);
    await see(page, '± 1.5');
    await see(page, 'It harms unborn and small children');
    await see(page, 'by Mon 30 Nov, 23:59');
  });
});

describe.sequential('a report in a file that is no text', () => {
  /** Takes a file of bytes in, and waits for its name. */
  const give = async (name: string, bytes: Uint8Array) => {
    const path = join(mkdtempSync(join(tmpdir(), 'fonte-report-')), name);
    writeFileSync(path, bytes);
    const input = (await page.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>;
    expect(await input.evaluate((one) => one.accept)).toContain(name.slice(name.lastIndexOf('.')));
    await input.uploadFile(path);
    await see(page, name);
  };
  const header = ['Sample', 'Analyte', 'Result', 'Unit'];

  it('asks which sheets hold the results, says of each line on which it is, and keeps the answer over a reload', async () => {
    await open('report', 'Take in a file');
    await give(
      'sheets.xlsx',
      workbookOf({
        Metals: [header, [metals, 'Lead', 2, 'µg/L'], [metals, 'Copper', 310, 'µg/L']],
        'Rev A1': [header, [metals, 'Lead', 99, 'µg/L']],
      }),
    );
    await see(page, 'Several sheets have tables.');
    await tick(page, 'Metals');
    await see(page, 'Write 2 results down');
    await tick(page, 'Rev A1');
    await see(page, 'Metals, line 2 and Rev A1, line 2 differ about the same thing.');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'Metals, line 2 and Rev A1, line 2 differ');
    await tick(page, 'Rev A1');
    await see(page, 'Write 2 results down');
    expect(await seriousBarriers(page)).toEqual([]);
    await page.setViewport(phone);
    await see(page, 'Sheets with the results of this report.');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
  });

  it('is read from a PDF, and says of one without text what to do', async () => {
    const printer = await plainPage(browser);
    await printer.setContent(
      `<p>Sample ID: ${metals}</p><table cellpadding="6"><tr><th>Analyte<th>Result<th>Unit</tr><tr><td>Nickel<td>4<td>µg/L</tr></table>`,
    );
    const made = await printer.pdf();
    await printer.setContent('<hr>');
    const blank = await printer.pdf();
    await printer.close();
    await give('printed.pdf', made);
    await see(page, 'Write 1 result down');
    await give('scan.pdf', blank);
    await see(page, 'This PDF holds pictures of pages and no text. Type the results in.');
    expect(await shows(page, 'Line 0')).toBe(false);
  });

  it('is a picture, which stays before the eyes of whoever types its results in', async () => {
    const photo = await plainPage(browser);
    await photo.setContent('<h2>Report</h2><p>Lead 2.4 µg/L</p>');
    const taken = await photo.screenshot();
    await photo.close();
    await page.setViewport(desk);
    await open('report', 'Take in a file');
    await give('photo.png', taken);
    await see(page, 'This is a picture of a report.');
    const isShown = () =>
      page.waitForFunction(() => {
        const shown = document.querySelector<HTMLImageElement>('.of-report');
        return shown !== null && shown.naturalWidth > 0 && shown.getBoundingClientRect().top < window.innerHeight;
      });
    await page.setViewport(phone);
    await see(page, 'This is a picture of a report.');
    await click(page, 'Type results in');
    await type(page, `Result of Silver in ${metals}`, '2.4');
    await isShown();
    expect([await overflow(page), await seriousBarriers(page)]).toEqual([0, []]);
  });

  it('is read from lines that are pasted, which a reload does not lose', async () => {
    await page.setViewport(desk);
    await open('report', 'Take in a file');
    await click(page, 'Paste text');
    await click(page, 'Read it');
    await see(page, 'Paste the text first.');
    await type(page, 'Text of the report', `Dear Rui,\nSample: ${metals}\nCadmium: < 0,5 µg/L\nSelenium 3 µg/L (repeated)\n`);
    await page.reload({ waitUntil: 'domcontentloaded' });
    await page.waitForFunction(() => document.querySelector<HTMLTextAreaElement>('#pasted')?.value.includes('Cadmium'));
    expect(await seriousBarriers(page)).toEqual([]);
    await page.setViewport(phone);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await click(page, 'Read it');
    await see(page, 'Pasted text.txt');
    await see(page, 'Write 2 results down');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
  });
});
