import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, option, overflow, phone, see, shows, tick, type } from './browser.ts';
import type { Running } from './harness.ts';
import { onDemo } from './stage.ts';
import * as walk from './walk.ts';

/* One tap, Legionella and lead: procedures of several ways, of which the programme asks for one. */

let server: Running;
let page: Page;
onDemo((stage) => ({ server, page } = stage), desk);

const bottle = (rule: string) => `261123B-SC1-${rule}`;

describe.sequential('Legionella and lead at one tap', () => {
  it('are planned together, and asked first which way the programme wants', async () => {
    await page.goto(`${server.address}/rounds/new`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Plan a round');
    await tick(page, 'School');
    await tick(page, 'Lead and copper at the tap');
    await option(page, 'More analyses at School', 'Legionella');
    await type(page, 'Name', 'What the school drinks');
    await type(page, 'System or site', 'Pedrinha');
    await click(page, 'Plan it');
    await see(page, 'Field book');
    await page.setViewport(phone);
    await see(page, 'Field book');
    await click(page, 'Go on');
    await walk.arrive(page);
    await see(page, 'Which way does the programme ask for?');
    await see(page, 'Legionella, after flushing');
    expect(await shows(page, 'Legionella at a shower')).toBe(false);
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
  });

  it('take the first water, and say what two hours too few make of it', async () => {
    await page.setViewport(phone);
    await tick(page, 'Legionella, the first water');
    await click(page, 'Another way');
    await tick(page, 'Legionella, the first water');
    await click(page, 'Start at the tap');
    await see(page, 'Ask since when nobody has used it');
    // The wrong outlet: given up, and begun again at the right one.
    await click(page, 'Give this protocol up');
    await type(page, 'The whole protocol is given up: no sample of it. Say why', 'that was the garden tap');
    await click(page, 'Give the protocol up');
    await see(page, 'Given up.');
    await click(page, 'Begin it again');
    await see(page, 'Which way does the programme ask for?');
    await tick(page, 'Legionella, the first water');
    await click(page, 'Start at the tap');
    await see(page, 'had come to nothing. that was the garden tap');
    await click(page, 'Done');
    await type(page, 'For how long has nobody used it?', '1,5');
    await see(page, 'Used within two hours: what stood in it is gone.');
    await type(page, 'For how long has nobody used it?', '9');
    await page.waitForFunction(() => !document.body.innerText.includes('Used within two hours'));
    await click(page, 'Done');
    await see(page, 'Look at it and leave it as it is');
    await choose(page, 'Not cleaned or disinfected today', 'Yes');
    await choose(page, 'Aerator, head or hose are on, as it is used', 'Yes');
    await click(page, 'Done');
    // The step list names it before it is the step now.
    await walk.atStep(page, 'Which water comes out of it?');
    expect(await shows(page, 'Leave this step out')).toBe(false);
    await tick(page, 'Cold');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'Which water comes out of it?');
    await click(page, 'Done');
    await see(page, 'Open gently and catch the first water');
    await walk.fillNext(page, bottle('LG'));
    await click(page, 'Done');
    await walk.confirmStep(page, 'Close it and turn it over a few times');
    await walk.confirmStep(page, 'Into its own box, at 6 to 20 °C, in the dark');
    await see(page, '2 min');
    await click(page, 'Start the clock');
    await walk.skip(page, '1 min');
    await click(page, 'Stop early');
    await see(page, 'The clock asks for at least 120 s');
    await walk.skip(page, '1 min');
    await click(page, 'Done');
    await walk.measureStep(page, 'Measure the temperature as it runs', '16,4');
    await see(page, 'Protocol done');
    await see(page, 'Routine sample so far');
  });

  it('then the lead, by the first litre: the water that ran before makes it a special one', async () => {
    await click(page, 'Lead at the tap', 'link');
    await see(page, 'Which way does the programme ask for?');
    await tick(page, 'Lead, the first litre after six hours');
    await click(page, 'Start at the tap');
    await walk.answerLeadFitness(page);
    await see(page, 'Ask when water was last used anywhere in the house');
    await type(page, 'For how long has nobody used any water?', '0');
    await see(page, 'Less than six hours');
    await click(page, 'Go on as a special sample');
    await see(page, 'Special sample, not a routine one');
    await walk.fillNext(page, bottle('L'));
    await click(page, 'Done');
    await walk.confirmStep(page, 'Close the tap; water may be used again');
    await see(page, 'Protocol done');
  });
});

describe.sequential('Trihalomethanes at a tap', () => {
  it('are taken once the temperature holds: reading after reading, the rule beside them', async () => {
    await page.setViewport(desk);
    await page.goto(`${server.address}/rounds/new`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Plan a round');
    await tick(page, 'Quay house');
    await option(page, 'More analyses at Quay house', 'Trihalomethanes');
    await type(page, 'Name', 'By-products');
    await type(page, 'System or site', 'Porto Amaro');
    await click(page, 'Plan it');
    await see(page, 'Field book');
    await click(page, 'Go on');
    await walk.arrive(page);
    await see(page, 'Trihalomethanes at a tap');
    await click(page, 'Start at the tap');
    await choose(page, 'Aerator and hose are off', 'Yes');
    await choose(page, 'No engine, fuel or solvent near by', 'Yes');
    await click(page, 'Done');
    await walk.waitClock(page, 'Run cold water');
    await see(page, 'Until the last 3 lie within 0.5 °C');
    await click(page, 'Done');
    await see(page, 'Measure, and add the reading.');
    for (const reading of ['18,4', '17.2', '17.0']) {
      await type(page, 'Measure the temperature until it holds', reading);
      await page.keyboard.press('Enter');
    }
    await see(page, 'The last 3 readings do not lie within 0.5 °C.');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, '17.2 °C');
    await type(page, 'Measure the temperature until it holds', '16.9');
    // What is typed and not added stays over a reload, and is not left behind.
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, '17.2 °C');
    await click(page, 'Add the reading');
    await page.waitForFunction(() => !document.body.innerText.includes('do not lie within'));
    expect(await seriousBarriers(page)).toEqual([]);
    await page.setViewport(phone);
    await see(page, '16.9 °C');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.setViewport(desk);
    await see(page, '16.9 °C');
    await click(page, 'Done');
    await walk.measureStep(page, 'Measure free chlorine', '0.31');
    await walk.confirmStep(page, 'Slow the stream until it runs smooth as a pencil');
    await see(page, 'Next bottle');
    // The card says the time that the clock will count, and whose rule that is.
    await see(page, '14 d by the rule');
    await see(page, 'Routine sample so far');
  });
});
