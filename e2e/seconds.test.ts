import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, openBrowser, option, overflow, see, tick, type, plainPage } from './browser.ts';
import { ensureBuilt, start, type Running } from './harness.ts';
import * as walk from './walk.ts';

let server: Running;
let browser: Browser;
let page: Page;

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
describe.sequential('one tap, lead and bacteria, visited twice', () => {
  it('is planned so, with a second set of limits beside the first', async () => {
    await open('/rounds/new', 'Plan a round');
    await tick(page, 'School');
    await tick(page, 'Lead and copper at the tap');
    await click(page, 'Visit again: School');
    await see(page, 'School, visit 2');
    await option(page, 'Limits, the first one leads', 'US drinking water');
    await see(page, '1 + 1 spare lead at the tap, 2 + 1 spare bacteria');
    await type(page, 'Name', 'Lead at the school');
    await type(page, 'System or site', 'Pedrinha');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Plan it');
    await see(page, 'Look round before you touch anything');
    await see(page, 'School, visit 2');
    expect(await overflow(page)).toBe(0);
  });

  it('asks about a day that is past before it plans for it', async () => {
    await open('/rounds/new', 'Plan a round');
    await page.click('.ant-picker input', { count: 3 });
    await page.keyboard.type('2026-11-02');
    await page.keyboard.press('Enter');
    await see(page, '2 November 2026 is past.');
    await type(page, 'Name', 'Late');
    await type(page, 'System or site', 'Pedrinha');
    await tick(page, 'Market hall');
    await click(page, 'Plan it');
    await see(page, '2 November 2026 is past. Is that the day?');
    await tick(page, 'It is so');
    await click(page, 'Plan it');
    // The code stands on the form already: only the round's own page has its book.
    await see(page, 'Field book');
    await see(page, '261102A');
  });

  it('takes the first water first', async () => {
    await open('/rounds', 'Lead at the school');
    await click(page, 'Lead at the school', 'link');
    await click(page, 'Go on');
    await walk.arrive(page);
    await see(page, 'Which way does the programme ask for?');
    await tick(page, 'Lead, 30 minutes standing');
    await click(page, 'Start at the tap');
    await walk.answerLeadFitness(page);
    await walk.confirmStep(page, 'Tell everybody: no water anywhere in the house');
    await walk.waitClock(page, 'Run cold water, full');
    await see(page, 'the water stands, nobody uses any');
  });

  it('starts the half hour anew when somebody used water, and lets other work come first meanwhile', async () => {
    await click(page, 'Start the clock');
    await see(page, 'to go');
    await walk.skip(page, '10 min');
    await click(page, 'Somebody used water');
    // The tap is flushed again first, unless somebody says otherwise.
    await see(page, 'The tap is flushed again');
    await click(page, 'Restart the clock only');
    await click(page, 'Restart the clock');
    await see(page, 'Say why, in a few words.');
    await type(page, 'The clock starts from zero. Say why', 'a toilet was flushed');
    await page.reload();
    await page.waitForFunction(() => [...document.querySelectorAll('input')].some((one) => one.value === 'a toilet was flushed'));
    await click(page, 'Restart the clock');
    await see(page, 'Started anew');
    await see(page, 'a toilet was flushed');
    await click(page, 'Lead at the school', 'link');
    // The clock of the first visit runs: what comes next is the second visit.
    await see(page, 'Look round before you touch anything');
    await open('/', 'Running');
    expect(await seriousBarriers(page)).toEqual([]);
    await walk.openLive(page);
    for (let time = 0; time < 3; time += 1) await walk.skip(page, '10 min');
    await see(page, 'left: long enough');
    await click(page, 'Done');
    await walk.fillNext(page, '261123B-SC1-L');
    await click(page, 'Done');
    await walk.confirmStep(page, 'Close the tap; water may be used again');
    await see(page, 'Protocol done');
  });

  it('does no second step by a double tap', async () => {
    await click(page, 'Coliforms', 'link');
    await walk.chooseWay(page, 'Coliforms, distribution');
    await click(page, 'Start at the tap');
    // Nothing is chosen beforehand: what nobody answered is asked for.
    await click(page, 'Done');
    await see(page, 'Answer “Outlet faces down');
    await walk.answerFitness(page);
    await walk.atStep(page, 'Take off aerator and attachments');
    await page.waitForFunction(() => !document.querySelector<HTMLButtonElement>('.step-now .ant-btn-primary')?.disabled);
    const { x, y, width, height } = (await (await page.$('.step-now .ant-btn-primary'))!.boundingBox())!;
    for (let tap = 0; tap < 2; tap += 1) {
      await page.mouse.click(x + width / 2, y + height / 2);
      await new Promise((resolve) => {
        setTimeout(resolve, 180);
      });
    }
    await page.waitForFunction(() => !document.querySelector<HTMLButtonElement>('.step-now .ant-btn-primary')?.disabled);
    await see(page, 'Wash hands, put gloves on');
    await walk.confirmStep(page, 'Wash hands, put gloves on');
  });

  it('then takes the bacteria, each bottle with its own label', async () => {
    await walk.waitClock(page, 'Run cold water, full and steady');
    await walk.measureStep(page, 'Measure the water temperature', '17.1');
    await walk.measureStep(page, 'Measure free chlorine', '0.31');
    await walk.chooseDisinfection(page, 'Bleach');
    await walk.waitClock(page, 'Close the tap, wet the outlet inside and out, wait');
    await walk.rinseBleach(page);
    await walk.fillAndPutBack(page, '261123B-SC1-B');
    await click(page, 'Lead at the school', 'link');
    await see(page, 'Look round before you touch anything');
    await page.waitForSelector('[aria-label^="261123B-SC1.2-B"]');
  });
});

describe.sequential('a blank and a duplicate', () => {
  const take = (name: string) => option(page, 'Duplicate or blank at Tannery 2, yard', name);

  it('go along with their own labels, and the blank is filled first', async () => {
    await open('/rounds/new', 'Plan a round');
    await tick(page, 'Tannery 2, yard');
    await type(page, 'Name', 'With a blank');
    await type(page, 'System or site', 'Lomba Velha');
    await click(page, 'Plan it');
    await see(page, 'Look round before you touch anything');
    await take('Field blank: Metals');
    await see(page, 'Field blank: Metals');
    await take('Duplicate: Nutrients');
    await see(page, '8 labels, pre-filled');
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBe(0);
    const visit = await page.$eval('.stream-point a', (one) => one.href);
    await page.goto(visit.replace(/arrive$/, 'fill'), { waitUntil: 'domcontentloaded' });
    const label = await (await page.waitForSelector('.label-like'))!.evaluate((one) => one.textContent);
    expect(label).toMatch(/-MW2-M-FR$/);
    await see(page, `Open ${label.replace('FR', 'FS')}, the water that the lab supplied`);
    await click(page, 'Filled earlier');
    await click(page, 'Filled and capped then');
    await see(page, 'Say why, in a few words.');
    await type(page, 'Why not now', 'hands full at the well');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Filled and capped then');
    await see(page, 'The purge comes first');
  });
});

describe.sequential('a supply well that runs', () => {
  it('needs no level and no volume, only readings that hold', async () => {
    await open('/rounds/new', 'Plan a round');
    await tick(page, 'Tannery 1, upstream');
    await type(page, 'Name', 'Running well');
    await type(page, 'System or site', 'Lomba Velha');
    await click(page, 'Plan it');
    await see(page, 'Look round before you touch anything');
    await click(page, 'Go on');
    await walk.arrive(page);
    await click(page, 'The level cannot be read');
    await click(page, 'Leave the level out');
    await see(page, 'Say why, in a few words.');
    await choose(page, 'What is it', 'No way in for a tape');
    await type(page, 'Why it cannot be read', 'sealed head');
    await click(page, 'Leave the level out');
    await see(page, 'Left out: no way in for a tape.');
    await click(page, 'Purge', 'link');
    await see(page, 'The level was left out');
    await choose(page, 'Method', 'Supply well that runs');
    await tick(page, 'The pump was running already');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Start the purge');
    await walk.useUnchecked(page, 'Multi-parameter probe');
    for (const [index, set] of walk.goodSets.slice(1).entries()) await walk.readSet(page, index + 1, { ...set, pumped: '0' });
    await see(page, 'Stable');
    await walk.endPurge(page);
    expect(await overflow(page)).toBe(0);
  });
});

describe.sequential('a verdict by several sets', () => {
  it('stands beside the one that leads, and the coordinator may let another lead, with a reason', async () => {
    await open('/rounds', 'School tap');
    await click(page, 'School tap', 'link');
    await see(page, 'Read the report');
    await click(page, 'Go on');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('button')].some((one) => /^Write \d+ results? down$/.test(one.innerText)),
    );
    await page.evaluate(() =>
      [...document.querySelectorAll('button')].find((one) => /^Write \d+ results? down$/.test(one.innerText))!.click(),
    );
    await see(page, 'Against EU drinking water');
    await page.waitForFunction(() => ![...document.querySelectorAll('button')].some((one) => one.innerText === 'Judge by other limits'));
    await option(page, 'Who writes', 'Rui Vale');
    await click(page, 'Judge by other limits');
    await option(page, 'Limits, the first one leads', 'WHO');
    await click(page, 'Judge anew');
    await see(page, 'Say why, in a few words.');
    await type(page, 'Why', 'the report goes abroad');
    await click(page, 'Judge anew');
    await see(page, 'beside it WHO guideline values');
    await see(page, 'WHO guideline values: meets');
    await walk.closed(page);
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBe(0);
  });
});
