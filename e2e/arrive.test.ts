import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { click, desk, overflow, phone, see, shows, tick, type } from './browser.ts';
import type { Running } from './harness.ts';
import { onDemo } from './stage.ts';
import { seriousBarriers } from './axe.ts';
import * as walk from './walk.ts';

let server: Running;
let page: Page;
let round = '';

onDemo(async (stage) => {
  ({ server, page } = stage);
  await walk.openToday(page, server.address);
  await click(page, 'The whole round', 'link');
  await see(page, 'To pack');
  round = page.url();
}, phone);

const open = async (point: string) => {
  await page.goto(round, { waitUntil: 'domcontentloaded' });
  await see(page, 'To pack');
  await click(page, point, 'link');
  await see(page, 'Arrive');
  await click(page, 'Arrive', 'link');
};

describe('arriving', () => {
  it('says what was odd last time, has what the register knows ticked, and takes one touch', async () => {
    await open('Tannery 3, downstream');
    await see(page, 'Wasps under the cap: knock first');
    await see(page, 'Wasps, bees, ticks, known here');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await walk.arrive(page);
    await see(page, 'Depth to water');
  });

  it('stops at a pit without leave, and keeps what was ticked over a reload', async () => {
    await open('Market hall');
    await tick(page, 'Pit or vault');
    await see(page, 'Never enter one without a permit');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'Never enter one without a permit');
    await click(page, 'Go on by this leave');
    await see(page, 'not without leave');
    expect(await shows(page, 'Is this place fit?')).toBe(false);
    await tick(page, 'Pit or vault');
    await click(page, 'I looked round: nothing');
    await see(page, 'Is this place fit?');
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('judges what is seen at once, by what is planned', async () => {
    await page.evaluate(() => {
      for (const one of document.querySelectorAll('.faults details')) (one as HTMLDetailsElement).open = true;
    });
    await tick(page, 'Drips or leaks at stem or mouth');
    await see(page, 'Bacteria: not fit');
    await tick(page, 'Aerator, strainer or washer in the mouth');
    await tick(page, 'Taken off, no washer left');
    await click(page, 'Write it down');
    await see(page, 'What is taken here is no routine sample');
    await see(page, 'Screw the aerator back on');
    await see(page, '285 m from here');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('takes the alternative, with what could not be taken here', async () => {
    await page.setViewport(desk);
    await click(page, 'Take it instead');
    await see(page, 'Wall tap at the boat ramp');
    await see(page, 'What may hurt you here?');
    await walk.arrive(page);
    await see(page, 'Which way does the programme ask for?');
    await page.goto(round, { waitUntil: 'domcontentloaded' });
    await see(page, 'Quay house');
    const planned = await page.$$eval('.plan-table input[type=checkbox]:checked', (all) =>
      all.map((one) => one.getAttribute('aria-label')),
    );
    expect(planned).toContain('Coliforms + E. coli at Quay house');
    expect(planned).not.toContain('Coliforms + E. coli at Market hall');
  });

  it('remembers it for the next one who comes', async () => {
    await page.goto(`${server.address}/rounds/new`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Plan a round');
    await type(page, 'Name', 'Next time');
    await type(page, 'System or site', 'Marenta');
    await tick(page, 'Market hall');
    await click(page, 'Plan it');
    await see(page, 'Look round before you touch anything');
    await click(page, 'Go on');
    await see(page, 'Drips or leaks at stem or mouth');
  });
});
