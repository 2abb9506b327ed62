import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { click, desk, option, overflow, phone, see, shows, type } from './browser.ts';
import type { Running } from './harness.ts';
import { onDemo } from './stage.ts';
import { putIn, takeIn } from './walk.ts';

let server: Running;
let page: Page;

onDemo((stage) => ({ server, page } = stage));

const readings = (hour: (place: number) => string) =>
  Array.from({ length: 30 }, (_, place) => `${hour(place)},${(4.2 + (place % 7) / 1000).toFixed(3)}`).join('\n');

describe.sequential('a logger’s record', () => {
  it('is refused where it is none, and asks for what could be read two ways', async () => {
    await page.goto(`${server.address}/points`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Tannery 3, downstream', 'link');
    await click(page, 'Bring in a logger’s record', 'link');
    await see(page, 'A logger’s record');
    await option(page, 'It recorded', 'Height of water over the sensor');
    await putIn(page, 'notes.txt', 'Dear all,\nthe pump is fixed.\n');
    await see(page, 'No rows with a date and a number were found');
    await takeIn(
      page,
      'level.csv',
      `Time,Head (m)\n${readings((place) => `0${(place % 9) + 1}/08/2026 ${String(place % 24).padStart(2, '0')}:00`)}`,
    );
    await see(page, '30 rows');
    await click(page, 'Write it down');
    await see(page, 'Say how its clock goes.');
    // Neither the order of the date nor the mark of 4.203 is guessed.
    expect(await page.$$eval('.ant-select-placeholder', (all) => all.map((one) => one.textContent))).toEqual(
      expect.arrayContaining(['Could be read two ways: choose', 'Could be read two ways: choose']),
    );
  });

  it('keeps what was begun for a well with that well', async () => {
    const here = page.url();
    await page.goto(`${server.address}/points`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Tannery 2, yard', 'link');
    await click(page, 'Bring in a logger’s record', 'link');
    await see(page, 'Bring in the logger’s file');
    expect(await shows(page, 'level.csv')).toBe(false);
    await page.goto(here, { waitUntil: 'domcontentloaded' });
    await see(page, 'level.csv');
  });

  it('says that the clocks of water and air are an hour apart, and is mended there', async () => {
    await click(page, 'Read it out');
    await see(page, 'MW3-air.csv');
    await type(page, 'Which logger', 'L-7');
    await option(page, 'Its clock', 'the same all year');
    await option(page, 'Ahead of UTC', 'UTC+00:00');
    await option(page, 'Air: its clock', 'the same all year');
    await option(page, 'Air: ahead of UTC', 'UTC+01:00');
    await option(page, 'Held to levels by hand', 'one depth all the time');
    await see(page, 'The weather comes 1 h later by the clock of the water than by that of the air.');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'The weather comes 1 h later');
    await option(page, 'Air: ahead of UTC', 'UTC+00:00');
    await page.waitForFunction(
      () => !document.body.innerText.includes('The weather comes') && document.body.innerText.includes('The sensor hangs'),
    );
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('follows a sensor that drifts, and leaves a level by hand out with its reason', async () => {
    const offs = () =>
      page.$$eval('[aria-label="Levels by hand beside it"] tbody tr td:nth-child(4)', (all) =>
        all.map((one) => parseInt(one.textContent.replace('−', '-'))),
      );
    const worst = Math.max(...(await offs()).map(Math.abs));
    expect(worst).toBeGreaterThanOrEqual(8);
    await option(page, 'Held to levels by hand', 'a line through time');
    await see(page, 'in 30 days');
    expect(Math.max(...(await offs()).map(Math.abs))).toBeLessThan(worst);
    await click(page, 'Leave it out');
    await see(page, 'no: left out');
    await click(page, 'Write it down');
    await see(page, 'Missing.');
    await click(page, 'Use it');
    await page.waitForFunction(
      () => !document.body.innerText.includes('no: left out') && document.body.innerText.includes('The sensor hangs'),
    );
    await page.setViewport(phone);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.setViewport(desk);
    await see(page, 'The sensor hangs');
  });

  it('stands with its well, drawn with the levels by hand, and all its levels can be saved', async () => {
    await click(page, 'Write it down');
    await see(page, 'Logger records');
    await click(page, 'L-7', 'link');
    await see(page, '38,401 of 38,401 rows are readings');
    expect(await shows(page, 'The weather comes')).toBe(false);
    const lines = await page.evaluate(async () => {
      const link = [...document.querySelectorAll('a')].find((one) => one.innerText === 'Save all levels')!;
      return (await (await fetch(link.href)).text()).trim().split('\n').length;
    });
    expect(lines).toBeGreaterThan(38_000);
    await click(page, 'Tannery 3, downstream', 'link');
    await see(page, 'Logger L-7');
    await page.waitForSelector('[aria-label^="Water level elevation from Oct 25 to Nov 26"]');
    await click(page, 'Logger L-7', 'link');
    await click(page, 'Change', 'link');
    await see(page, 'How L-7 is read');
    await see(page, 'The sensor hangs');
    await type(page, 'Not used any more, and why', 'Cable cut in March');
    await click(page, 'Write the change');
    await see(page, 'Not used: Cable cut in March');
  });
});
