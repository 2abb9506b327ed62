import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, option, overflow, phone, see, shows, tick, type } from './browser.ts';
import type { Running } from './harness.ts';
import { onDemo } from './stage.ts';
import * as walk from './walk.ts';

/* Tests at a tap: a photometer led by the hand, a chart of colours, meters; and what a protocol takes over of them. */

let server: Running;
let page: Page;
onDemo((stage) => ({ server, page } = stage), desk);

const test = async (what: string, by?: string) => {
  await see(page, 'Test something');
  if (await shows(page, 'Something else')) await click(page, 'Something else');
  await choose(page, 'What is measured', what);
  if (by) await choose(page, 'By which method', by);
};

describe.sequential('A photometer', () => {
  it('is led from the cuvette to the reagent, with its lot and what is left of it', async () => {
    await walk.openToday(page, server.address);
    await page.setViewport(phone);
    await page.goto(`${server.address}/rounds`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Tannery and market hall', 'link');
    await click(page, 'Market hall', 'link');
    await click(page, 'Tests', 'link');
    await test('Total chlorine', 'Total chlorine, 0 to 2 mg/L');
    await see(page, 'set zero with this water');
    await option(page, 'Reagent', 'T3-2290, 12 left');
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    // The same one after a reload, with what was chosen.
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'T3-2290');
    await click(page, 'Reagent is in: start its clock');
    await see(page, 'Read between 180 and 360 s after the reagent.');
  });

  it('runs its clock on the first page, over a reload, and asks why where it is read too early', async () => {
    await page.goto(server.address, { waitUntil: 'domcontentloaded' });
    await see(page, 'Read: Total chlorine, 0 to 2 mg/L');
    await walk.openLive(page);
    await see(page, 'to go');
    await type(page, 'Total chlorine, 0 to 2 mg/L reads', '0.31');
    await see(page, 'Read before its time');
    await click(page, 'Write it down');
    await see(page, 'Say why, in a few words.');
    for (let times = 0; times < 4; times++) await walk.skip(page, '1 min');
    await page.waitForFunction(() => !document.body.innerText.includes('Read before its time'));
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'left: long enough');
    await click(page, 'Read from the simulated photometer');
    await page.waitForFunction(() => document.querySelector<HTMLInputElement>('.typed.big input')?.value !== '0.31');
    await click(page, 'Write it down');
    await see(page, 'Measured here');
    await see(page, 'lot T3-2290');
  });

  it('asks about more free chlorine than there is in all, and computes what is combined of a pair that can be', async () => {
    await test('Free chlorine', 'Free chlorine, 0 to 2 mg/L');
    await click(page, 'Reagent is in: start its clock');
    await see(page, 'Choose the reagent lot, or tick below that something was otherwise.');
    await option(page, 'Reagent', 'T1-5521');
    await click(page, 'Reagent is in: start its clock');
    await type(page, 'Free chlorine, 0 to 2 mg/L reads', '1.4');
    await see(page, 'no more is free than there is in all');
    await click(page, 'Write it down');
    await see(page, 'Read again and correct it, or say why it is right.');
    await see(page, 'left: long enough');
    await click(page, 'Read from the simulated photometer');
    await page.waitForFunction(() => !document.body.innerText.includes('no more is free'));
    await click(page, 'Write it down');
    await see(page, 'Combined chlorine, total − free');
  });

  it('waits for the check of its own range: chlorine that reads right says nothing of pH', async () => {
    await test('pH', 'pH by photometer, 6.5 to 8.4');
    await see(page, 'Photometer: not checked for pH.');
    await click(page, 'Something else');
  });

  it('over its range says to dilute, and takes a diluted sample so many times', async () => {
    await test('Total chlorine', 'Total chlorine, 0 to 2 mg/L');
    await tick(page, 'The sample is diluted');
    await type(page, 'Made up to how many parts', '10');
    await option(page, 'Reagent', 'T3-2290');
    await click(page, 'Reagent is in: start its clock');
    await see(page, 'As shown; it is taken 10 times');
    await tick(page, 'It shows that it is over its range');
    await see(page, 'nobody knows how much more');
    await see(page, '> 20.00 mg/L');
    await tick(page, 'It shows that it is over its range');
    await type(page, 'Total chlorine, 0 to 2 mg/L reads', '1.2');
    await see(page, '12.00 mg/L');
    await click(page, 'Give this test up');
    await type(page, 'Why', 'spilt');
    await click(page, 'Give it up');
    await walk.closed(page);
    await see(page, 'Given up');
  });
});

describe.sequential('A chart of colours and a meter', () => {
  it('gives a class, between two steps as well, and never more', async () => {
    await test('Fluoride', 'Fluoride by colour');
    await tick(page, 'Something was otherwise');
    await type(page, 'What was otherwise', 'the lot’s label is washed off');
    await click(page, 'Reagent is in: start its clock');
    // None of its chart is built in: what the leaflet says is filled in, row by row.
    await see(page, 'What does it look like?');
    await click(page, 'One more shade');
    const leaflet = ['5', '4', 'red', '0', 'orange', '1', 'yellow', '1,5'];
    const fields = await page.$$('section[aria-label="The kit"] input:not([type=radio])');
    expect(fields).toHaveLength(leaflet.length);
    for (const [place, text] of leaflet.entries()) {
      await fields[place]!.click({ count: 3 });
      await page.keyboard.type(text);
    }
    await click(page, 'Reagent is in: start its clock');
    await walk.skip(page, '1 min');
    await walk.skip(page, '1 min');
    await click(page, 'Write it down');
    await see(page, 'Choose a step, or the two it lies between.');
    await click(page, 'orange 1 mg/L');
    await click(page, 'yellow 1.5 mg/L');
    await see(page, 'it counts as up to 1.50 mg/L');
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await click(page, 'Write it down');
    await see(page, 'A class by eye, no number.');
  });

  it('asks what a number is read beside, and about what can hardly be', async () => {
    await page.setViewport(desk);
    await test('Conductivity');
    if (await shows(page, 'What it reads now would prove nothing')) await walk.useUnchecked(page, 'Multi-parameter probe');
    await type(page, 'Conductivity reads', '410');
    await click(page, 'Write it down');
    await see(page, 'Does the meter state it at 25 °C?');
    await choose(page, 'Does the meter state it at 25 °C?', 'No, as it is');
    await type(page, 'Temperature of the water', '17');
    await click(page, 'Write it down');
    // 410 · 1.197: ISO 7888, table of factors at 17 °C (from memory).
    await see(page, '491 µS/cm');
    await test('Dissolved oxygen');
    await type(page, 'Dissolved oxygen reads', '13.9');
    await type(page, 'Temperature of the water', '17');
    await see(page, '% of what air gives');
    await click(page, 'Write it down');
    await see(page, 'Read again and correct it, or say why it is right.');
    await type(page, 'Dissolved oxygen reads', '8.9');
    await click(page, 'Write it down');
    await see(page, '92 % of what air gives.');
  });
});

describe.sequential('A protocol', () => {
  it('sends to the test that its step asks for, and takes the number over with its test', async () => {
    await click(page, 'Coliforms', 'link');
    await walk.startAtTheTap(page);
    await walk.waitClock(page, 'Run cold water, full and steady');
    await walk.measureStep(page, 'Measure the water temperature', '17.4');
    await walk.atStep(page, 'Measure free chlorine');
    await click(page, 'Guide me through the test', 'link');
    await see(page, 'Back to the protocol');
    await choose(page, 'By which method', 'Free chlorine, 0 to 2 mg/L');
    await option(page, 'Reagent', 'T1-5521');
    await click(page, 'Reagent is in: start its clock');
    await see(page, 'left: long enough');
    await click(page, 'Read from the simulated photometer');
    await click(page, 'Write it down');
    await see(page, 'Test something');
    await click(page, 'Back to the protocol', 'link');
    const taken = await page.waitForFunction(() =>
      [...document.querySelectorAll('button')].find((one) => /^Take 0\.\d\d mg\/L, read/.test(one.textContent ?? '')),
    );
    await (taken as unknown as { click: () => Promise<void> }).click();
    await click(page, 'Done');
    await see(page, 'Choose how to disinfect the outlet');
    expect(await shows(page, 'Routine sample so far')).toBe(true);
  });
});
