import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, option, overflow, phone, pick, see, shows, tick, type } from './browser.ts';
import type { Running } from './harness.ts';
import { onDemo } from './stage.ts';
import * as walk from './walk.ts';

let server: Running;
let page: Page;

onDemo(async (stage) => {
  ({ server, page } = stage);
  await page.goto(`${server.address}/rounds/new`, { waitUntil: 'domcontentloaded' });
  await see(page, 'Plan a round');
  await tick(page, 'School');
  await type(page, 'Name', 'PFAS at the school');
  await type(page, 'System or site', 'Pedrinha');
  await option(page, 'More analyses at School', 'PFAS by EPA 533');
  await click(page, 'Plan it');
  await see(page, 'Field book');
});

describe.sequential('a plan', () => {
  it('lacks a field blank for PFAS, and has it with one touch, with a label for the water and one for the receiver', async () => {
    await see(page, 'Field blank for PFAS by EPA 533, at School');
    await click(page, 'Plan it');
    await see(page, '5 labels, pre-filled');
    expect(await shows(page, 'belongs to this plan and is not in it')).toBe(false);
    await see(page, 'Real ice in bags, no gel or chemical packs');
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('takes one more analysis, which has a column of its own', async () => {
    await option(page, 'One more analysis', 'Legionella');
    await pick(page, 'Legionella at School');
    await see(page, '6 to 20 °C, no ice');
    await pick(page, 'Legionella at School');
  });
});

describe.sequential('what is printed', () => {
  it('is a label for each bottle and a packing list, and says what does not fit a small label', async () => {
    const session = await page.createCDPSession();
    const folder = mkdtempSync(join(tmpdir(), 'fonte-'));
    await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
    const printed = async (button: string, name: string) => {
      await click(page, button);
      for (let waited = 0; waited < 200 && !existsSync(join(folder, name)); waited += 1)
        await new Promise((resolve) => {
          setTimeout(resolve, 100);
        });
      return readFileSync(join(folder, name));
    };
    const labels = await printed('Labels as PDF', 'labels-261123B.pdf');
    expect(labels.subarray(0, 5).toString()).toBe('%PDF-');
    const packing = await printed('Packing list as PDF', 'packing-261123B.pdf');
    expect(packing.length).toBeGreaterThan(10_000);
    await option(page, 'Labels to print on', 'Roll, 50');
    await see(page, 'too small for all of it: the least important is left out');
  });
});

describe.sequential('before the van leaves', () => {
  it('fails a photometer that reads too low, by number and by a standard that is out of date', async () => {
    await click(page, 'Prepare', 'link');
    await see(page, 'Before the van leaves');
    await click(page, 'Check: Blue photometer Zero of free chlorine');
    await type(page, 'Reads', '0,01');
    await see(page, 'Passes: ±0.02 mg/L');
    await click(page, 'Write it down');
    await walk.closed(page);
    await click(page, 'Check: Blue photometer Standard of free chlorine');
    await option(page, 'Standard of the register', 'Chlorine standard, old set');
    await type(page, 'Reads', '0.98');
    await see(page, 'Standard out of date');
    await option(page, 'Standard of the register', 'Chlorine standard, lot CL-2207');
    await type(page, 'Reads', '0.71');
    await see(page, 'Fails: ±0.10 mg/L');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Write it down');
    await walk.closed(page);
    await see(page, 'Failed');
  });

  it('says what a “no” costs, ticks the kit and writes calls down; all of it stands after a reload', async () => {
    await page.evaluate(() => {
      const group = document.querySelector('[aria-label^="No fluoropolymer in tubing"]')!;
      [...group.querySelectorAll('label')].find((one) => one.innerText === 'No')!.click();
    });
    await see(page, 'The sample would be spoilt.');
    await tick(page, 'Torch');
    await see(page, '1 of ');
    await click(page, 'Called: School office');
    await page.waitForSelector('.ant-modal .ant-radio-wrapper');
    await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('.ant-modal .ant-radio-wrapper')].find((one) => one.innerText === 'Yes')!.click(),
    );
    await click(page, 'Write it down');
    await walk.closed(page);
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, '1 of ');
    await see(page, 'The sample would be spoilt.');
    await see(page, 'Failed');
    await page.setViewport(phone);
    await see(page, 'Before the van leaves');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.setViewport(desk);
  });

  it('bars the chlorine reading at the tap, until somebody takes it on themselves', async () => {
    await click(page, 'PFAS at the school', 'link');
    await click(page, 'Go on');
    await walk.arrive(page);
    // Before anything is disinfected there: the PFAS, with the chlorine of treated water beside them.
    await click(page, 'Coliforms', 'link');
    await walk.chooseWay(page, 'Coliforms, distribution');
    await click(page, 'Start at the tap');
    await see(page, 'comes first: what is done after it changes its water.');
    await click(page, 'PFAS by EPA Method 533', 'link');
    await click(page, 'Start at the tap');
    const answers = [
      'The well that feeds it is pumping: asked, or seen',
      'The field blank of this building is filled, before the sample',
      'No hose, tape or tubing of yours at the outlet',
      'Fresh nitrile gloves, powder-free; nothing touched since',
    ];
    for (const item of answers) await choose(page, item, 'Yes');
    await click(page, 'Done');
    // Nobody swears to a blank that is still empty.
    await see(page, 'The field blank is still empty. Fill it first, or answer no.');
    await walk.fillFieldBlank(page);
    await click(page, 'PFAS by EPA Method 533', 'link');
    await click(page, 'Done');
    await walk.waitClock(page, 'Run cold water; all taps of this room that are sampled together');
    await see(page, 'Photometer: failed for free chlorine.');
    expect(await shows(page, 'Leave this step out')).toBe(true);
    await walk.useUnchecked(page, 'Photometer');
    await walk.measureStep(page, 'Measure free chlorine', '0.34');
    await see(page, 'Slow down and fill to the line');
  });
});

describe.sequential('the registers of gear', () => {
  it('take an instrument, a lot with its value, and a box in litres', async () => {
    await page.goto(`${server.address}/lots/new`, { waitUntil: 'domcontentloaded' });
    await type(page, 'Name', 'Buffer pH 10');
    await type(page, 'Lot', 'B10-4');
    await option(page, 'For', 'pH');
    await click(page, 'Register it');
    await see(page, 'A date such as 2027-03-31.');
    await page.click('.ant-picker input');
    await page.keyboard.type('2031-02-28');
    await page.keyboard.press('Enter');
    await click(page, 'Register it');
    await see(page, 'A standard has a value.');
    await type(page, 'Nominal value, pH', '10.01');
    await click(page, 'Register it');
    await see(page, '10.01 pH');
    await see(page, 'Out of date since 31 March 2026');
    await page.goto(`${server.address}/boxes/new`, { waitUntil: 'domcontentloaded' });
    await type(page, 'Name', 'Third box');
    await type(page, 'Holds', '-3');
    await click(page, 'Register it');
    await see(page, 'Must be more than 0.');
    await type(page, 'Holds', '24');
    await click(page, 'Register it');
    await see(page, '24 L');
    await page.goto(`${server.address}/instruments`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Blue photometer', 'link');
    await see(page, 'Standard of free chlorine. 3 checks');
    expect(await seriousBarriers(page)).toEqual([]);
  });
});

describe.sequential('a second round of the day', () => {
  it('takes over what was checked for the first, failures too, and asks for nothing twice', async () => {
    await page.goto(`${server.address}/rounds/new`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Plan a round');
    await tick(page, 'School');
    await type(page, 'Name', 'Second of the day');
    await type(page, 'System or site', 'Pedrinha');
    await click(page, 'Plan it');
    await see(page, 'Field book');
    await click(page, 'Prepare', 'link');
    await see(page, 'Checked in another round:');
    await see(page, 'Standard of free chlorine: fails at 0.71 mg/L');
    await click(page, 'Use these 4 checks');
    await page.waitForFunction(() => !document.body.innerText.includes('Checked in another round:'));
    await see(page, 'Failed');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'Failed');
    expect(await shows(page, 'Checked in another round:')).toBe(false);
    expect(await seriousBarriers(page)).toEqual([]);
  });
});
