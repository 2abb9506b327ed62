import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { click, desk, openBrowser, option, overflow, see, tick, type, plainPage } from './browser.ts';
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

const stops = () => page.$$eval('.day-stops h3', (all) => all.map((one) => one.textContent));

describe.sequential('the day of a round', () => {
  it('is worked backwards from the lab’s door: the best order, when to set out, and the latest at every stop', async () => {
    await page.goto(`${server.address}/rounds/new`);
    await see(page, 'Plan a round');
    await page.click('.ant-picker input', { count: 3 });
    await page.keyboard.type('2026-11-24');
    await page.keyboard.press('Enter');
    for (const point of ['Market hall', 'School', 'Tannery 2, yard', 'Tannery 1, upstream', 'Public spring']) await tick(page, point);
    await type(page, 'Name', 'Tuesday');
    await type(page, 'System or site', 'Marenta');
    await click(page, 'Plan it');
    await see(page, 'Field book');
    await click(page, 'The day', 'link');
    await see(page, 'No order is at the lab earlier: all were weighed.');
    await see(page, 'Set out at 08:00, at the latest at');
    await see(page, 'Begin at the latest');
    await see(page, 'To the calendar');
    const order = await stops();
    // The yard's water is dirty: the clean well comes first.
    expect(order.indexOf('Tannery 1, upstream')).toBeLessThan(order.indexOf('Tannery 2, yard'));
    expect(await page.$eval('.timeline', (one) => one.getAttribute('aria-label'))).toMatch(/08:00 to .* drive.*At the lab \d\d:\d\d/);
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBe(0);
  });

  it('is timed at once in another order, which says what it breaks', async () => {
    const order = await stops();
    const yard = order.indexOf('Tannery 2, yard');
    for (let place = yard; place > order.indexOf('Tannery 1, upstream'); place -= 1) await click(page, 'Tannery 2, yard earlier');
    await see(page, 'It cannot be done in this order');
    await see(page, 'Tannery 2, yard comes after Tannery 1, upstream.');
    await see(page, 'This is your order.');
    await click(page, 'Take the proposed order');
    await see(page, 'No order is at the lab earlier');
    expect(await stops()).toEqual(order);
  });

  it('is ordered by dragging a stop as well', async () => {
    const order = await stops();
    const handles = await page.$$('.day-handle');
    await handles[0]!.scrollIntoView();
    const [from, to] = await Promise.all([handles[0]!, handles[1]!].map((one) => one.boundingBox()));
    await page.mouse.move(from!.x + 10, from!.y + 10);
    await page.mouse.down();
    await page.mouse.move(from!.x + 10, from!.y + 30, { steps: 3 });
    await page.mouse.move(to!.x + 10, to!.y + 15, { steps: 6 });
    await page.mouse.up();
    await see(page, 'This is your order.');
    expect((await stops()).slice(0, 2)).toEqual([order[1], order[0]]);
    await click(page, 'Take the proposed order');
    await see(page, 'No order is at the lab earlier');
  });

  it('is written down, and is the order of the round from then on', async () => {
    await type(page, 'Set out not before', '8 o’clock');
    await click(page, 'Write the order down');
    await see(page, 'A time such as 08:00.');
    await type(page, 'Set out not before', '07:30');
    await page.keyboard.press('Tab');
    await see(page, 'Set out at 07:30');
    const order = await stops();
    await click(page, 'Write the order down');
    await see(page, 'Write the order down anew');
    await click(page, 'Tuesday', 'link');
    await see(page, 'Points and analyses');
    const lines = await page.$$eval('.stream-point a', (all) => all.map((one) => one.textContent));
    expect(lines).toEqual(order);
    await page.goto(`${page.url()}/day`);
    await see(page, 'Set out at 07:30');
    await page.goto(page.url().replace(/\/day$/, '/book'));
    await see(page, 'Set out at 07:30, 5 stops, 40 km/h on the road.');
  });

  it('that cannot be done says why, and offers what was tried and helps', async () => {
    await page.goto(`${server.address}/rounds/new`);
    await see(page, 'Plan a round');
    await page.click('.ant-picker input', { count: 3 });
    // A Wednesday: bacteria are taken in until 14:30 only.
    await page.keyboard.type('2026-11-25');
    await page.keyboard.press('Enter');
    for (const point of ['Market hall', 'School', 'Public spring']) await tick(page, point);
    await type(page, 'Name', 'Late start');
    await type(page, 'System or site', 'Marenta');
    await click(page, 'Plan it');
    await see(page, 'Field book');
    await click(page, 'The day', 'link');
    await see(page, 'Set out at 08:00');
    await type(page, 'Set out not before', '12:00');
    await page.keyboard.press('Tab');
    await see(page, 'This day cannot be done');
    await see(page, 'the work must be done by 11:00');
    await see(page, 'What would help');
    await see(page, 'Leave Market hall for another day');
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBe(0);
    const remedy = await page.$$eval('.day-remedies button', (all) => all.map((one) => one.textContent.trim()));
    expect(remedy[0]).toMatch(/^Set out at \d\d:\d\d: at the lab \d\d:\d\d$/);
    await click(page, remedy[0]!);
    await see(page, `At the lab at ${remedy[0]!.slice(-5)}`);
    await see(page, `Set out at ${remedy[0]!.slice(11, 16)}`);
    await option(page, 'Who writes', 'Teresa Pinho');
    await see(page, 'This is written by');
    await walk.closed(page);
  });
});

describe.sequential('somebody who stands at a point on the day itself', () => {
  it('is told until when the work may begin there, and what is lost once that has passed', async () => {
    await page.goto(`${server.address}/rounds`);
    await option(page, 'Who writes', 'Inês Faria');
    await click(page, 'Tannery and market hall', 'link');
    await click(page, 'Market hall', 'link');
    await see(page, 'Begin here at the latest 10:2');
    await page.goto(page.url().replace(/\/at\/.*/, ''));
    await click(page, 'Tannery 3, downstream', 'link');
    await see(page, 'Begin here at the latest');
    await see(page, 'Contaminated water, known here');
    await page.goBack();
    for (const by of ['1 h', '10 min', '10 min'] as const) await walk.skip(page, by);
    await click(page, 'Market hall', 'link');
    // As long as this took until here, the clock has gone on.
    await see(page, /Market hall: you would be there at 10:4\d, and the work must be done by 11:00\./);
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBe(0);
    await walk.arrive(page);
    await walk.startAtTheTap(page);
    await page.waitForFunction(() => !document.body.innerText.includes('must be done by 11:00'));
  });
});
