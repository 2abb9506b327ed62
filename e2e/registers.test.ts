import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, openBrowser, option, overflow, see, shows, tick, type, plainPage } from './browser.ts';
import { ensureBuilt, start, type Running } from './harness.ts';
import { setUpOnPage } from './people.ts';
import * as walk from './walk.ts';

let server: Running;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  ensureBuilt();
  [server, browser] = await Promise.all([start({ what: 'server' }), openBrowser()]);
  page = await plainPage(browser);
  await page.setViewport(desk);
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

const gone = (text: string) => page.waitForFunction((wanted) => !document.body.innerText.includes(wanted), { timeout: 8000 }, text);
const open = async (path: string, text: string) => {
  await page.goto(server.address + path, { waitUntil: 'domcontentloaded' });
  await see(page, text);
};
const time = async (label: string, text: string) => {
  const field = (await page.locator(`aria/${label}[role="textbox"]`).waitHandle()) as ElementHandle<HTMLInputElement>;
  await field.click();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
};

describe.sequential('an empty database is filled through the page', () => {
  it('with a person and a lab, each mistake at its field, and keeps what was typed over a reload', async () => {
    await setUpOnPage(page, server, 'Marta Leal', 'ML');
    await open('/people', 'Marta Leal');
    await click(page, 'Register a person', 'link');
    await type(page, 'Name', 'Duarte Sá');
    await click(page, 'Register it');
    await see(page, 'Missing.');
    await type(page, 'Initials', 'DS');
    await gone('Missing.');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await click(page, 'Register it');
    await see(page, 'Duarte Sá');
    await click(page, 'Labs', 'link');
    await click(page, 'Register a lab', 'link');
    await type(page, 'Name', 'Lab of the next island');
    for (let rows = 5; rows > 1; rows -= 1) await click(page, `Remove intake ${rows}`);
    await time('Opens', '08:30');
    await type(page, 'Bacteria: coldest', '1');
    await click(page, 'Register it');
    // Half a band and half a day's hours are no rules.
    await see(page, 'Missing.');
    await time('Closes', '12:00');
    await type(page, 'Bacteria: warmest', '10,5');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Register it');
    await see(page, 'Mon 08:30–12:00');
    await see(page, 'bacteria 10.5 °C');
    expect(await overflow(page)).toBe(0);
  });

  it('with a well, and asks where an inch was typed as a millimetre', async () => {
    await open('/points/new', 'Register a point');
    await option(page, 'Which kind', 'Private well');
    for (const [label, text] of [
      ['Name', 'Farm well'],
      ['Code for labels', 'fw1'],
      ['Place', 'Pedrinha'],
      ['Elevation of the mark', '31,2'],
      ['Mark above ground', '0.4'],
      ['Bottom, below ground', '40'],
      ['Screen from, below ground', '8'],
      ['Screen to, below ground', '11.5'],
      ['True inside diameter', '4'],
    ] as const)
      await type(page, label, text);
    await choose(page, 'Unit of Bottom, below ground', 'ft');
    await click(page, 'Register it');
    await see(page, '4.0 mm is narrow for a well. Was it inches?');
    await choose(page, 'Unit of True inside diameter', 'in');
    await gone('narrow for a well');
    await click(page, 'Register it');
    await see(page, 'Bottom 12.19 m, screen 8.00 m to 11.50 m below ground, inside 101.6 mm');
  });

  it('whose entries can be changed, and refuses a code that another has', async () => {
    await open('/points/new', 'Register a point');
    await choose(page, 'Kind', 'Tap');
    await option(page, 'Which kind', 'House tap');
    await type(page, 'Name', 'Washhouse');
    await type(page, 'Code for labels', 'fw1');
    await type(page, 'Place', 'Lomba Velha');
    await type(page, 'Which outlet exactly', 'Left basin');
    await option(page, 'Disinfection', 'Not disinfected');
    await click(page, 'Register it');
    await see(page, 'This code is taken.');
    await type(page, 'Code for labels', 'wh1');
    await click(page, 'Register it');
    await see(page, 'Left basin. Not disinfected.');
    await click(page, 'Change Washhouse', 'link');
    await type(page, 'Which outlet exactly', 'Right basin');
    await click(page, 'Write the change');
    await see(page, 'Right basin. Not disinfected.');
  });
});

describe.sequential('a limit set of the house', () => {
  it('is registered beside a published one, each mistake at its field, and asked about where a value is far from all others', async () => {
    await open('/limits/new', 'Register a limit set');
    await type(page, 'Name', 'Supply permit');
    await type(page, 'Where it is written', 'Permit of 3 March 2026');
    await option(page, 'Adds to', 'EU drinking water');
    await option(page, 'Parameter', 'Nitrate (as NO₃)');
    await option(page, 'Unit', 'mg/L as NO₃');
    await click(page, 'Register it');
    await see(page, 'Give the highest value, the lowest, or both.');
    await type(page, 'At most', '0,01');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await click(page, 'Register it');
    await see(page, 'this is 0.01 mg/L. Published values are about 50 mg/L.');
    await type(page, 'At most', '10');
    await gone('this is 0.01 mg/L');
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBe(0);
    await click(page, 'Register it');
    await see(page, 'Permit of 3 March 2026');
    await click(page, 'Compare two sets', 'link');
    await option(page, 'First set', 'Supply permit');
    await type(page, 'Find a parameter', 'nitrate');
    await see(page, '10 mg/L stricter');
    expect(await overflow(page)).toBe(0);
    expect(await seriousBarriers(page)).toEqual([]);
  });
});

describe.sequential('a well of which only the mark is known', () => {
  it('is registered so, and asks for its bottom where a volume needs it', async () => {
    await open('/points/new', 'Leave empty what is not known.');
    await option(page, 'Which kind', 'Open well');
    for (const [label, text] of [
      ['Name', 'Old well'],
      ['Code for labels', 'ow1'],
      ['Place', 'Pedrinha'],
      ['Bottom, below ground', '15.7'],
      ['Screen from, below ground', '9'],
    ] as const)
      await type(page, label, text);
    await click(page, 'Register it');
    await see(page, 'A screen has both ends.');
    await type(page, 'Screen from, below ground', ' ');
    await click(page, 'Register it');
    await see(page, 'screen not known, inside not known, North rim of the casing, elevation not known');
    await open('/rounds/new', 'Plan a round');
    await tick(page, 'Old well');
    await tick(page, 'General chemistry');
    await type(page, 'Name', 'Old well alone');
    await type(page, 'System or site', 'Pedrinha');
    await walk.planIt(page);
    await see(page, 'Old well alone');
    await click(page, 'Go on');
    await walk.arrive(page);
    await walk.readLevel(page, '6.20');
    await see(page, 'again');
    await walk.readLevel(page, '6.20');
    await see(page, 'The mark’s elevation is not in the register');
    await click(page, 'On to the purge');
    // The register knows it below ground, and not how high the mark is.
    await choose(page, 'Purge water goes', 'Into a container');
    await type(page, 'True inside diameter', '100');
    await type(page, 'Bottom below the mark', '5');
    await click(page, 'Start the purge');
    await see(page, 'No water column follows from level and bottom.');
    await type(page, 'Bottom below the mark', '16.2');
    // π/4 · 0.1² · 10.00 m, geometry
    await see(page, '78.5');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Start the purge');
    await see(page, 'Set 1');
  });
});

describe.sequential('a round without a lab', () => {
  it('is handed over by hand', async () => {
    await open('/rounds/new', 'Plan a round');
    await tick(page, 'Washhouse');
    await tick(page, 'Coliforms + E. coli');
    await tick(page, 'Nutrients');
    // Of a day before there was a protocol for it: filled freely, without two minutes at the tap.
    await type(page, 'Day', '2026-11-20');
    await type(page, 'Name', 'By boat');
    await type(page, 'System or site', 'Lomba Velha');
    await option(page, 'Lab', 'No lab');
    await see(page, 'Your authority says which rules hold.');
    await option(page, 'Limits, the first one leads', 'Supply permit');
    await click(page, 'Plan it');
    await see(page, 'is past. Is that the day?');
    await walk.said(page);
    await click(page, 'Plan it');
    await see(page, 'Look round before you touch anything');
    await click(page, 'Go on');
    await walk.arrive(page);
    const label = await (await page.waitForSelector('.label-like'))!.evaluate((one) => one.textContent);
    await walk.fillNext(page, label);
    await walk.fillNext(page, label.replace(/N$/, 'A'));
    await open('/rounds', 'By boat');
    await click(page, 'By boat', 'link');
    await see(page, 'Hand over 2 bottles');
    await click(page, 'Go on');
    expect(await shows(page, 'the temperature is missing')).toBe(false);
    await click(page, 'Hand over 2 bottles');
    await see(page, 'Count the bottles.');
    await see(page, 'Cooler: the temperature is missing.');
    await type(page, 'In the box now', '4,1');
    await type(page, 'To which lab, or whom', 'Lab of the next island');
    await type(page, 'Taken by', 'Skipper of the boat');
    await type(page, 'Bottles counted by who takes them', '1');
    await type(page, 'Sign as Marta Leal', 'marta leal');
    expect(await overflow(page)).toBe(0);
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Hand over 2 bottles');
    await see(page, '2 are on the form. Count again, and mark what is not there as not found.');
    await type(page, 'Bottles counted by who takes them', '2');
    await click(page, 'Hand over 2 bottles');
    await see(page, '2 to Lab of the next island');
  });

  it('has one result typed off a sheet, the rest read from a file, and is done then', async () => {
    await click(page, 'Take its report in when it comes', 'link');
    const code = await page.evaluate(() => /\d{6}[A-Z]/.exec(document.body.innerText)![0]);
    await click(page, 'Type results in');
    await type(page, `Result of Ammonium (as NH₄) in ${code}-WH1-A`, '0,05');
    await click(page, 'Compare 1 result with the sheet');
    await see(page, 'Choose the unit of Ammonium (as NH₄).');
    await option(page, `Unit of Ammonium (as NH₄) in ${code}-WH1-A`, 'mg/L NH4');
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBe(0);
    await click(page, 'Compare 1 result with the sheet');
    await see(page, '0,05 mg/L NH4');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'As on the sheet: write 1 result down');
    await see(page, 'typed.csv');
    const rows = [
      ['Nitrate', '11', 'mg/L NO3'],
      ['Nitrite', '<0.02', 'mg/L NO2'],
    ].map((cells) => [`${code}-WH1-N`, ...cells].join(','));
    const file = join(mkdtempSync(join(tmpdir(), 'fonte-')), 'island.csv');
    writeFileSync(file, ['Sample,Parameter,Result,Unit', ...rows].join('\n'));
    const input = (await page.waitForSelector('input[type=file]'))!;
    await input.uploadFile(file);
    await click(page, 'Write 2 results down');
    await see(page, 'Every result meets its value.');
    await see(page, 'beside it Supply permit');
    await see(page, 'Supply permit: over a health value. Over 10 mg/L.');
    await open('/rounds', 'By boat');
    await see(page, 'Done');
  });
});
