import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { choose, click, option, overflow, phone, see, shows, type } from './browser.ts';
import { onDemo } from './stage.ts';
import * as walk from './walk.ts';

let page: Page;
let address: string;

/** The value of a field by its label. */
const valueOf = (label: string) =>
  page.evaluate(
    (wanted) =>
      [...document.querySelectorAll<HTMLInputElement>('input')].find((one) =>
        [...(one.labels ?? [])].some((text) => text.innerText.trim() === wanted),
      )?.value ?? null,
    label,
  );

describe.sequential('the level of a well', () => {
  onDemo((stage) => {
    page = stage.page;
    address = stage.server.address;
  });

  it('is questioned against the record: a decimal mark that slipped is named', async () => {
    await walk.openToday(page, address);
    await click(page, 'Go on');
    await walk.arrive(page);
    await see(page, 'Last time');
    await type(page, 'Depth to water', '0.75');
    await see(page, 'With the decimal mark one place on, it would be 7.50 m');
    await type(page, 'Depth to water', '');
  });

  it('comes off a steel tape that is held where the record proposes, and elsewhere the second time', async () => {
    await option(page, 'Read with', 'Chalked steel tape');
    // The last level was 7.476 m: one to two metres below it, at a whole mark.
    await page.waitForFunction(() => [...document.querySelectorAll('input')].some((one) => one.value === '9'));
    expect(await valueOf('Hold at the mark')).toBe('9');
    await type(page, 'Cut: the wetted length', '10');
    await choose(page, 'The water is', 'At rest');
    await click(page, 'Write it down');
    await see(page, 'The wetted length cannot be longer than the hold.');
    await type(page, 'Cut: the wetted length', '1.488');
    await see(page, '7.512 m');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Write it down');
    await see(page, 'The last two must agree within 5 mm; the last was 7.512 m.');
    await type(page, 'Cut: the wetted length', '1.487');
    await click(page, 'Write it down');
    await see(page, 'The second run was held at nearly the same mark as the first.');
    await type(page, 'Hold at the mark', '10');
    await type(page, 'Cut: the wetted length', '2.487');
    await click(page, 'Write it down');
    await see(page, 'Two readings agree');
    await see(page, '7.513');
  });

  it('is corrected by what stood on the tape', async () => {
    await click(page, 'Correct 7.513 m');
    await page.waitForFunction(() => {
      const fields = [...document.querySelectorAll<HTMLInputElement>('.ant-modal input')];
      const cut = fields.find((one) => one.labels?.[0]?.innerText === 'Cut: the wetted length');
      cut?.select();
      return cut && document.activeElement === cut;
    });
    await page.keyboard.type('2.489');
    await see(page, 'Depth to water: 7.511 m');
    await type(page, 'Why', 'misread by 2 mm');
    await click(page, 'Write the correction');
    await walk.closed(page);
    await see(page, 'struck: misread by 2 mm');
    await see(page, 'Two readings agree');
  });

  it('is converted only when that is asked for, where its unit is changed over it', async () => {
    const typed = () => page.$eval('.typed.big input', (one) => one.value);
    await option(page, 'Read with', 'Electric tape');
    await type(page, 'Another reading', '7.51');
    await choose(page, 'Unit of Another reading', 'ft');
    await see(page, 'Only the unit has changed. 7.51 m would be 24.64 ft.');
    expect(await typed()).toBe('7.51');
    await click(page, 'Use 24.64 ft');
    expect(await typed()).toBe('24.64');
    await choose(page, 'Unit of Another reading', 'm');
    await click(page, 'Use 7.510 m');
    // Another number is converted from its own unit, whatever was offered before.
    await choose(page, 'Unit of Another reading', 'ft');
    await type(page, 'Another reading', '8.20');
    await choose(page, 'Unit of Another reading', 'm');
    await see(page, 'Only the unit has changed. 8.20 ft would be 2.499 m.');
    await type(page, 'Another reading', '');
  });

  it('has a logger held against it', async () => {
    await click(page, 'Compare a logger in the well');
    await type(page, 'Which logger', 'LG-07');
    await type(page, 'It shows', '7.56');
    await click(page, 'Write the comparison down');
    await see(page, 'The logger is 0.05 m off the level read by hand.');
    await walk.said(page);
    await click(page, 'Write the comparison down');
    await walk.closed(page);
    await see(page, '49 mm against the hand');
  });

  it('is watched while it recovers, until it is at rest again', async () => {
    await option(page, 'Read with', 'Electric tape');
    await choose(page, 'The water is', 'Pumped lately');
    for (const depth of ['8.20', '7.80', '7.60']) {
      await type(page, 'Another reading', depth);
      await click(page, 'Write it down');
      await see(page, `${depth} m`);
      await walk.skip(page, '1 min');
    }
    await see(page, 'It rises by');
    await walk.skip(page, '10 min');
    await type(page, 'Another reading', '7.598');
    await click(page, 'Write it down');
    await see(page, 'At rest again');
    // The level at rest stays that of the visit.
    expect(await shows(page, '7.513')).toBe(true);
  });
});

describe.sequential('a well whose tape meets the bottom', () => {
  onDemo(async (stage) => {
    page = stage.page;
    address = stage.server.address;
    await page.setViewport(phone);
  });

  it('is left out with how far the tape came, on a phone, and can be taken back', async () => {
    await walk.openToday(page, address);
    await click(page, 'Go on');
    await walk.arrive(page);
    await see(page, 'Depth to water');
    await click(page, 'The level cannot be read');
    await choose(page, 'What is it', 'The well is dry');
    await type(page, 'Why it cannot be read', 'no signal down to the bottom');
    await click(page, 'Leave the level out');
    await see(page, 'Say how far down the tape came.');
    await type(page, 'The tape came down to', '18.6');
    await click(page, 'Leave the level out');
    await walk.closed(page);
    await see(page, 'No sample: dry.');
    await see(page, 'What was to be sampled here is still owed.');
    await see(page, 'The tape came down to 18.6 m');
    expect(await overflow(page)).toBe(0);
    expect(await seriousBarriers(page)).toEqual([]);
  });
});
