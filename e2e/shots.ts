import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { click, desk, openBrowser, option, phone, see, tick, type } from './browser.ts';
import { root, start } from './harness.ts';
import * as walk from './walk.ts';

/** Makes docs/screenshots anew: one picture of each main view, from the demo. */
const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
const server = await start({ what: 'demo' });
const browser = await openBrowser();
const page = await browser.newPage();

async function shot(name: string, size: 'desk' | 'phone' = 'desk'): Promise<void> {
  await page.setViewport(size === 'desk' ? desk : phone);
  await page.evaluate(async () => {
    window.scrollTo(0, 0);
    await document.fonts.ready;
  });
  await new Promise((resolve) => {
    setTimeout(resolve, 700);
  });
  await page.screenshot({ path: join(folder, `${name}.png`) });
  await page.setViewport(desk);
}
const home = async (on: Page) => {
  await on.goto(server.address, { waitUntil: 'networkidle0' });
  await see(on, 'Also open');
};

await page.setViewport(desk);
await home(page);
await click(page, 'The whole round', 'link');
await see(page, 'To pack');
await shot('round');
await click(page, 'Go on');
await type(page, 'Depth to water', '9.40');
await see(page, 'lower than last time');
await shot('level-questioned');
await walk.readLevel(page, '7.512');
await see(page, 'again');
await walk.readLevel(page, '7.514');
await see(page, 'Two readings agree');
await shot('level-phone', 'phone');
await click(page, 'On to the purge');
await walk.setUpPurge(page);
for (const [index, set] of walk.goodSets.slice(0, 3).entries()) await walk.readSet(page, index + 1, set);
await shot('purge');
await walk.readSet(page, 4, walk.goodSets[3]!);
await walk.endPurge(page);
await shot('fill');
for (const letter of ['M', 'N', 'A', 'G']) await walk.fillNext(page, `261123A-MW3-${letter}`);
await home(page);
await click(page, 'Go on');
await walk.startAtTheTap(page);
await click(page, 'Start the clock');
await see(page, 'to go');
await shot('tap');
await shot('tap-phone', 'phone');
const tap = page.url();
await home(page);
await see(page, 'Running');
await shot('today');
await page.goto(tap.replace(/\/tap.*/, '/pictures'));
for (const [shows, colour] of [
  ['outlet from below', '#8fa39a'],
  ['the tap in its corner', '#a39a8f'],
] as const) {
  await type(page, 'What it shows, before you take it', shows);
  await page.evaluate(async (fill) => {
    const canvas = new OffscreenCanvas(1200, 900);
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = fill;
    pen.fillRect(0, 0, 1200, 900);
    pen.fillStyle = '#45504b';
    pen.fillRect(540, 0, 120, 420);
    pen.fillRect(430, 380, 340, 90);
    const chosen = new DataTransfer();
    chosen.items.add(new File([await canvas.convertToBlob({ type: 'image/png' })], 'tap.png', { type: 'image/png' }));
    const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
    input.files = chosen.files;
    input.dispatchEvent(new Event('change', { bubbles: true }));
  }, colour);
  await page.waitForSelector(`.pictures img[alt="${shows}"]`);
}
await shot('pictures');
await page.goto(tap);
await see(page, 'to go');
await walk.skip(page, '10 min');
await see(page, 'so far: long enough');
await click(page, 'Done');
await walk.measureStep(page, 'Measure the water temperature', '17,4');
await walk.measureStep(page, 'Measure free chlorine', '0.34');
await walk.chooseDisinfection(page, 'Bleach');
await walk.waitClock(page, 'Close the tap, wet the outlet inside and out, wait');
await walk.rinseBleach(page);
await walk.fillAndPutBack(page, '261123A-MH1-B');
await home(page);
await click(page, 'Go on');
await walk.signOver(page, { temperature: '7.2', seal: '0431' });
await shot('custody');
await walk.signOver(page, { temperature: '4.4', seal: '0431' });
await click(page, 'Hand over 5');
await click(page, 'Ask the lab for its answer');
await see(page, 'Accepted');
await walk.skip(page, '1 d');
await click(page, 'To the report', 'link');
await click(page, 'Fetch from the lab');
await see(page, 'What would be written down');
await shot('report');
await click(page, 'Write 29 results down');
await see(page, 'What must be done');
await page.evaluate(() => document.getElementById('follow-up')!.scrollIntoView());
await shot('verdict');
await click(page, 'Field book', 'link');
await see(page, 'Nothing here is ever changed');
await page.evaluate(() => document.querySelector('h1')!.scrollIntoView());
await shot('book');
await page.goto(`${server.address}/points`, { waitUntil: 'networkidle0' });
await page.waitForSelector('canvas');
await shot('points');
await page.goto(`${server.address}/bench`, { waitUntil: 'networkidle0' });
await type(page, 'Bottom below the mark', '18.62');
await type(page, 'Water below the mark', '7.514');
await type(page, 'True inside diameter', '52');
await type(page, 'Caught', '1');
await type(page, 'In', '23');
await type(page, 'How long for', '18');
await type(page, 'Hold at the mark', '40.00');
await type(page, 'Cut, the wetted length', '3.27');
await type(page, 'Number', '12.57');
await shot('bench');
await page.goto(`${server.address}/rounds/new`, { waitUntil: 'networkidle0' });
await tick(page, 'School');
await tick(page, 'Lead and copper at the tap');
await click(page, 'Visit again: School');
await shot('new-round');
await page.goto(`${server.address}/labs`, { waitUntil: 'networkidle0' });
await option(page, 'Who writes', 'coordinator');
await click(page, 'Ponta Norte water laboratory', 'link');
await see(page, 'Intake hours');
await shot('lab');
await page.goto(`${server.address}/ready`, { waitUntil: 'networkidle0' });
await see(page, 'to go without signal');
await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
await page.evaluate(() => [...document.querySelectorAll('button')].find((one) => one.innerText.startsWith('Fetch what'))!.click());
await page.waitForFunction(() => document.querySelector('h1')?.textContent === 'Ready to go without signal', { timeout: 60_000 });
await shot('ready');
await page.goto(`${server.address}/people`, { waitUntil: 'networkidle0' });
await see(page, 'Teresa Pinho');
await shot('people');
await browser.close();
await server.stop();
