import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { choose, click, openBrowser, option, phone, see, shows, tick, type } from './browser.ts';
import { ensureBuilt, start, type Running } from './harness.ts';
import { setUpOnPage } from './people.ts';
import * as walk from './walk.ts';

let server: Running;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  ensureBuilt();
  [server, browser] = await Promise.all([start({ what: 'server' }), openBrowser()]);
  page = await browser.newPage();
  await page.setViewport(phone);
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

describe.sequential('an empty database, on a phone', () => {
  it('says what to do on every page that has nothing yet', async () => {
    await setUpOnPage(page, server, 'Rui Vale', 'RV');
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await shows(page, 'Demo clock')).toBe(false);
    await click(page, 'Plan a round', 'link');
    await see(page, 'No point is registered yet');
    await click(page, 'Register a point', 'link');
    await see(page, 'Measuring point');
  });

  it('takes a tap into the register', async () => {
    await choose(page, 'Kind', 'Tap');
    await option(page, 'Which kind', 'House tap');
    await type(page, 'Name', 'Fire station');
    await type(page, 'Code for labels', 'fs1');
    await type(page, 'Place', 'Pedrinha');
    await type(page, 'Which outlet exactly', 'Basin in the yard');
    await option(page, 'Disinfection', 'Free chlorine');
    await type(page, 'Least free chlorine', 'some');
    await click(page, 'Register it');
    await see(page, '“some” is not a number.');
    await type(page, 'Least free chlorine', '0,3');
    await click(page, 'Register it');
    await see(page, 'At least 0.3 mg/L free chlorine.');
  });

  it('plans a round without a lab', async () => {
    await page.goto(`${server.address}/rounds/new`, { waitUntil: 'domcontentloaded' });
    await type(page, 'Name', 'First round');
    await type(page, 'System or site', 'Village');
    await tick(page, 'Fire station');
    await walk.planIt(page);
    await see(page, 'Look round before you touch anything');
    await see(page, 'No lab: levels only, or bring the samples to a lab of your own.');
  });

  it('makes a special sample of one with too little chlorine, by the point’s own minimum', async () => {
    await click(page, 'Go on');
    await walk.arrive(page);
    await walk.chooseWay(page, 'Coliforms, distribution');
    await see(page, 'at least 0.30 mg/L free chlorine here');
    await walk.startAtTheTap(page);
    await walk.atStep(page, 'Run cold water, full and steady');
    await click(page, 'Leave this step out');
    await see(page, 'The sample is a special one then, not for compliance.');
    await page.type('.step-now input[type=text]', 'tap runs all day');
    await click(page, 'Leave it out');
    await walk.measureStep(page, 'Measure the water temperature', '19');
    await walk.measureStep(page, 'Measure free chlorine', '0.25', 'Go on as a special sample');
    await see(page, 'Special sample, not a routine one');
    await see(page, '“Run cold water, full and steady” departs from the protocol: tap runs all day. Special, not for compliance.');
    await see(page, 'The residual is too low for a routine sample.');
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('takes a wrong residual back, and with it what it made of the sample', async () => {
    await click(page, 'Correct Measure free chlorine');
    await type(page, 'Why', 'read the wrong scale');
    await click(page, 'Strike it');
    await page.waitForFunction(() => !document.body.innerText.includes('The residual is too low'));
    // What was left out stays left out.
    await see(page, 'Special sample, not a routine one');
    await walk.measureStep(page, 'Measure free chlorine', '0.35');
    await see(page, 'Choose how to disinfect the outlet');
  });

  it('warns before a flame, and abandons the tap where one is unsafe', async () => {
    await walk.chooseDisinfection(page, 'Flame');
    await see(page, 'Is a flame safe here?');
    await choose(page, 'Wall of stone, tile or metal', 'Yes');
    await choose(page, 'Tap all metal, no plastic or rubber', 'No');
    await choose(page, 'No alcohol was used here', 'Yes');
    await see(page, 'No flame on plastic.');
    await page.type('.step-now input[type=text]', 'plastic spout');
    await click(page, 'Go on, departing from the protocol');
    await see(page, 'No sample here.');
  });

  it('goes on after the choice of a flame is struck', async () => {
    for (const step of ['Is a flame safe here?', 'Choose how to disinfect the outlet']) {
      await click(page, `Correct ${step}`);
      await type(page, 'Why', 'bleach instead');
      await click(page, 'Strike it');
      await page.waitForFunction((name) => !document.querySelector(`[aria-label="Correct ${name}"]`), {}, step);
    }
    await walk.chooseDisinfection(page, 'Bleach');
    await see(page, 'Close the tap, wet the outlet inside and out, wait');
    await page.goto(server.address, { waitUntil: 'domcontentloaded' });
    await see(page, 'First round');
    await see(page, 'Close the tap, wet the outlet');
  });
});
