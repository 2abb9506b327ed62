import { seriousBarriers } from './axe.ts';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { choose, click, desk, openBrowser, option, overflow, pick, press, see, shows, type, plainPage } from './browser.ts';
import { ensureBuilt, start, type Running } from './harness.ts';
import * as walk from './walk.ts';

let server: Running;
let browser: Browser;
let page: Page;
const broken: string[] = [];

beforeAll(async () => {
  ensureBuilt();
  [server, browser] = await Promise.all([start({ what: 'demo' }), openBrowser()]);
  page = await plainPage(browser);
  page.on('pageerror', (error) => broken.push(String(error)));
  await page.setViewport(desk);
  await walk.openToday(page, server.address);
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

const noSeriousBarrier = async () => expect(await seriousBarriers(page), page.url()).toEqual([]);
const today = async () => {
  await page.goto(server.address);
  await see(page, 'Also open');
};

describe.sequential('a round from plan to verdict', () => {
  it('stands on the first page with what is next', async () => {
    expect(await page.$eval('h1', (one) => one.textContent)).toBe('Look round before you touch anything');
    await see(page, 'Tannery 3, downstream');
    await noSeriousBarrier();
  });

  it('changes bottles and labels at once when an analysis is added or taken away', async () => {
    await click(page, 'The whole round', 'link');
    await see(page, '5 labels');
    await pick(page, 'Nutrients at Market hall');
    await see(page, '7 labels');
    await see(page, '2 bottles are labelled and packed');
    await noSeriousBarrier();
    await pick(page, 'Nutrients at Market hall');
    await see(page, '5 labels');
  });

  it('asks about a level that jumps, about feet and inches, and keeps what was typed over a reload', async () => {
    await click(page, 'Go on');
    await walk.arrive(page);
    // No state of the well is taken for granted.
    await type(page, 'Depth to water', '7.40');
    await click(page, 'Write it down');
    await see(page, 'Choose one.');
    await type(page, 'Depth to water', '9.40');
    await see(page, 'The water stands 1.92 m lower than last time');
    await click(page, 'Write it down');
    await see(page, 'say in a few words why it is right');
    await page.reload();
    await see(page, 'lower than last time');
    expect(await page.$eval('.typed.big input', (one) => one.value)).toBe('9.40');
    await type(page, 'Depth to water', '12\' 7"');
    await see(page, 'is feet and inches');
    for (const [text, complaint] of [
      ['', 'Enter a number'],
      ['abc', 'not a number'],
      ['1e9', 'not a number'],
      ['-30', 'Cannot be less than'],
      ['99999', 'Cannot be more than'],
    ] as const) {
      await type(page, 'Depth to water', text);
      if (await shows(page, 'If it is right, say why')) await type(page, 'If it is right, say why', 'to see what is refused');
      await click(page, 'Write it down');
      await see(page, complaint);
      expect(await page.$eval('.typed.big input', (one) => one.value)).toBe(text);
    }
    await noSeriousBarrier();
  });

  it('takes the level from two readings that agree, in metres or feet', async () => {
    await walk.readLevel(page, '7,52');
    await see(page, 'the last was 7,52 m');
    await choose(page, 'Unit of Depth to water, again', 'ft');
    await walk.readLevel(page, '24.66');
    await see(page, 'Two readings agree');
    await see(page, '44.824');
    await noSeriousBarrier();
  });

  it('strikes a misread level with a reason and shows both', async () => {
    await click(page, 'Correct 24.66 ft');
    await type(page, 'Should read', '24.67');
    await noSeriousBarrier();
    await click(page, 'Write the correction');
    await see(page, 'Say why');
    await type(page, 'Why', 'misread the tape');
    await click(page, 'Write the correction');
    await see(page, 'struck: misread the tape');
    await see(page, '24.66 ft');
    expect(await page.$eval('.figure.reading .value', (one) => one.textContent)).toBe('24.67ft');
  });

  it('purges by keyboard until volume and stability are there, and says what holds it up', async () => {
    await click(page, 'On to the purge');
    await walk.setUpPurge(page);
    await walk.readSet(page, 1, walk.goodSets[0]!);
    await walk.readSet(page, 2, walk.goodSets[1]!);
    await see(page, 'more sets are needed');
    await walk.readSet(page, 3, walk.goodSets[2]!);
    await see(page, 'held up by dissolved oxygen, turbidity');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await walk.readSet(page, 4, walk.goodSets[3]!);
    await see(page, 'Stable, and 3.1 volumes out');
    await noSeriousBarrier();
    await press(page, 'How it came about');
    await see(page, 'T = n · V');
    await page.keyboard.press('Escape');
    await click(page, 'End and fill');
    await see(page, 'Detach the flow cell before you fill bottles.');
    await walk.endPurge(page);
  });

  it('fills in order, throws one away and takes a spare', async () => {
    await noSeriousBarrier();
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await walk.fillNext(page, '261123A-MW3-M');
    await click(page, 'Throw away 261123A-MW3-N');
    await click(page, 'Throw it away');
    await see(page, 'Choose why.');
    await option(page, 'Why', 'Overfilled');
    await click(page, 'Throw it away');
    await walk.fillNext(page, '261123A-MW3-N2');
    await walk.fillNext(page, '261123A-MW3-A');
    await walk.fillNext(page, '261123A-MW3-G');
    await see(page, 'All bottles here are full');
  });

  it('keeps the flush clock over a reload and a closed tab', async () => {
    await today();
    await click(page, 'Go on');
    await walk.arrive(page);
    await walk.startAtTheTap(page);
    await click(page, 'Start the clock');
    await page.waitForSelector('.countdown.big');
    await walk.skip(page, '1 min');
    await page.reload();
    await see(page, 'to go');
    const left = await page.$eval('.countdown.big .time', (one) => one.textContent);
    expect(left).toMatch(/^(1 min 00 s|[345]\d s)$/);
    const url = page.url();
    await page.close();
    page = await plainPage(browser);
    await page.setViewport(desk);
    await today();
    await see(page, 'Running');
    await noSeriousBarrier();
    await page.goto(url);
    await walk.skip(page, '1 min');
    await see(page, 'so far: long enough');
    await click(page, 'Done');
  });

  it('says at once that a low residual makes a special sample', async () => {
    await walk.measureStep(page, 'Measure the water temperature', '17,4');
    await type(page, 'Measure free chlorine', '0.05');
    await see(page, 'The residual is too low for a routine sample.');
    await noSeriousBarrier();
    await walk.measureStep(page, 'Measure free chlorine', '0.34');
    await walk.chooseDisinfection(page, 'Bleach');
    await walk.waitClock(page, 'Close the tap, wet the outlet inside and out, wait');
  });

  it('says before a clock is cut short what that makes of the sample, and notes what changes nothing', async () => {
    await walk.atStep(page, 'Open and rinse the disinfectant off');
    await click(page, 'Start the clock');
    await click(page, 'Stop early');
    await see(page, 'The sample is then spoilt');
    await click(page, 'Go on with a spoilt sample');
    await see(page, 'Say why, in a few words.');
    await walk.skip(page, '10 min');
    await see(page, 'so far: long enough');
    await click(page, 'Done');
    await type(page, 'Measure free chlorine again', '0.60');
    await see(page, 'the bleach is not rinsed off');
    await noSeriousBarrier();
    await walk.measureStep(page, 'Measure free chlorine again', '0.33');
    await walk.confirmStep(page, 'Set a stream as thin as a pencil, then leave the valve alone');
    await walk.fillNext(page, '261123A-MH1-B');
    await click(page, 'Done');
    await walk.confirmStep(page, 'Bottle into the cooler, dark');
    await see(page, 'Put aerator and attachments back');
    await click(page, 'Leave this step out');
    await see(page, 'It is noted; the sample stays what it is.');
    await page.type('.step-now input[type=text]', 'the owner does it');
    await click(page, 'Leave it out');
    await see(page, 'Protocol done');
    await see(page, 'Routine sample so far');
    await see(page, '“Put aerator and attachments back” departs from the protocol: the owner does it.');
  });

  it('foretells what the lab would refuse, and the lab refuses it', async () => {
    await today();
    await click(page, 'Go on');
    await see(page, '5 bottles to hand over');
    await see(page, 'Not yet known: temperature, seal');
    await walk.signOver(page, { temperature: '11', seal: '' });
    await see(page, 'Too warm: 11.0 °C. The lab takes these at 1 °C to 6 °C.');
    await see(page, 'Cooler: this lab asks for a seal number.');
    await walk.signOver(page, { temperature: '4.4', seal: '0431' });
    await see(page, 'Nothing the lab would refuse');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await noSeriousBarrier();
    await option(page, 'Condition of 261123A-MW3-A', 'Leaking');
    await see(page, 'The lab would refuse a bottle');
    await click(page, 'Hand over 5 bottles all the same');
    await click(page, 'Ask the lab for its answer');
    await see(page, '261123A-MW3-A: Arrived leaking');
  });

  it('reads the lab’s own CSV: units, decimal commas, reporting limits, and what it could not understand', async () => {
    await click(page, 'To the report', 'link');
    await click(page, 'Fetch from the lab');
    await see(page, 'The lab has no report yet.');
    await walk.skip(page, '1 d');
    await click(page, 'Fetch from the lab');
    await see(page, 'What would be written down');
    await see(page, '12,9 mg/L N');
    await see(page, '57.1 mg/L');
    await see(page, 'Crómio hexavalente');
    await noSeriousBarrier();
    await option(page, 'Column Resultado is', 'Not read');
    await see(page, 'The reporting limit is not the result. Choose it above.');
    await option(page, 'Column Resultado is', 'Result');
    await click(page, 'Write 28 results down');
  });

  it('judges bacteria first and says what must be done by when', async () => {
    await see(page, 'Coliform bacteria found at');
    expect(await page.$$eval('.judged .strong', (all) => all.slice(0, 2).map((one) => one.textContent))).toEqual([
      'Coliform bacteria',
      'E. coli',
    ]);
    await see(page, 'Only known to be below 20 µg/L, and the limit is 10 µg/L.');
    await see(page, 'refused, Arrived leaking');
    await see(page, '1 row of it was not understood');
    await click(page, 'They do not matter', 'button');
    await type(page, 'Why', 'chromium (VI) was not asked for');
    await click(page, 'They do not matter here');
    await see(page, 'Coliform bacteria found at Market hall; nitrate exceeds a health value at Tannery 3, downstream; ');
    // The dialog is about to go, and its button is pale.
    await walk.closed(page);
    await noSeriousBarrier();
    await today();
    await see(page, 'Tell the operator, look for the way in, and sample again');
    // A day from the report on, less what passed until here.
    await see(page, /23 h 5\d min/);
    await see(page, 'Sample again: the lab refused 261123A-MW3-A.');
  });

  it('keeps all of it in the book, struck entries too, on a chain that holds', async () => {
    await click(page, 'The whole round', 'link');
    await click(page, 'Field book', 'link');
    await see(page, 'Struck: misread the tape. IF');
    await noSeriousBarrier();
    expect(broken).toEqual([]);
  });

  it('plans the sample that a refusal owes, linked to it, with the bottle’s own analysis', async () => {
    await today();
    await click(page, 'The whole round', 'link');
    await see(page, 'Points and analyses');
    await see(page, 'Sample again: the lab refused 261123A-MW3-A.');
    await page.evaluate(() => {
      const line = [...document.querySelectorAll('.follow-up > li')].find((one) =>
        (one as HTMLElement).innerText.includes('Sample again: the lab refused 261123A-MW3-A'),
      )!;
      [...line.querySelectorAll('button')].find((one) => one.innerText === 'Plan the sample')!.click();
    });
    await see(page, 'Sample taken again for 261123A-MW3-A');
    await type(page, 'System or site', 'Marenta');
    await click(page, 'Plan it');
    await see(page, 'Field book');
    expect(
      await page.$$eval('.plan-table input[type=checkbox]:checked', (all) => all.map((one) => one.getAttribute('aria-label'))),
    ).toEqual(['Nutrients at Tannery 3, downstream']);
    await click(page, 'Tannery 3, downstream', 'link');
    await see(page, 'Sample taken again for 261123A-MW3-A');
    await click(page, 'What asked for it', 'link');
    await see(page, ': planned');
    expect(broken).toEqual([]);
  });
});
