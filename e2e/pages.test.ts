import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, openBrowser, option, phone, pick, see, shows, tick, type, overflow, signal } from './browser.ts';
import { ensureBuilt, start, type Running } from './harness.ts';
import { demoCaller, type Caller } from './people.ts';
import * as walk from './walk.ts';
import { patience } from './find.ts';

let server: Running;
let browser: Browser;
let page: Page;
let caller: Caller;

beforeAll(async () => {
  ensureBuilt();
  [server, browser] = await Promise.all([start({ what: 'demo' }), openBrowser()]);
  caller = await demoCaller(server);
  page = await browser.newPage();
  await page.setViewport(desk);
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

const open = async (path: string, text: string) => {
  await page.goto(server.address + path, { waitUntil: 'domcontentloaded' });
  await see(page, text);
};
const roundId = async (name: string) =>
  (await caller.json<{ id: string; name: string }[]>('/api/rounds')).find((round) => round.name === name)!.id;

describe.sequential('the other pages', () => {
  it('plan a second round from the register, and keep what was typed when it is refused', async () => {
    await open('/rounds/new', 'Plan a round');
    await tick(page, 'Tannery 1, upstream');
    await see(page, '1 + 1 spare ammonium');
    await click(page, 'Plan it');
    await see(page, 'Give the round a name.');
    await type(page, 'Name', 'Upstream well');
    await page.reload();
    await see(page, '1 + 1 spare ammonium');
    await type(page, 'System or site', 'Tannery wells');
    await click(page, 'Plan it');
    await see(page, 'Look round before you touch anything');
    await see(page, '261123B');
    await open('/rounds', 'Upstream well');
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('register a point, with each mistake at its field', async () => {
    await open('/points/new', 'Register a point');
    await click(page, 'Register it');
    await see(page, 'Missing.');
    await type(page, 'Name', 'Farm well');
    await type(page, 'Code for labels', 'fw1');
    await option(page, 'Which kind', 'Monitoring well');
    await type(page, 'Place', 'Pedrinha');
    for (const [label, text] of [
      ['Elevation of the mark', '31,2'],
      ['Mark above ground', '0.4'],
      ['Bottom, below ground', '12'],
      ['Screen from, below ground', '8'],
      ['Screen to, below ground', '14'],
      ['True inside diameter', '103'],
    ] as const)
      await type(page, label, text);
    await click(page, 'Register it');
    await see(page, 'The screen ends above the bottom of the well.');
    await type(page, 'Screen to, below ground', '11,5');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Register it');
    await see(page, 'Bottom 12.00 m, screen 8.00 m to 11.50 m below ground, inside 103.0 mm');
  });

  it('show all points in a list and on a map, sought by what one knows of them', async () => {
    await open('/points/map', '9 points');
    await page.waitForSelector('.point-map .point-mark');
    expect(await seriousBarriers(page)).toEqual([]);
    await type(page, 'Find a point', 'lomba mw2');
    await see(page, '1 of 9 points');
    await page.click('.point-map .point-mark');
    await see(page, 'Tannery 2, yard, MW2, Lomba Velha. Monitoring well, to be taken. Open');
    await type(page, 'Find a point', ' ');
    await option(page, 'Kinds', 'Spring');
    await see(page, '1 of 9 points');
    await see(page, 'Public spring');
    await option(page, 'Kinds', 'House tap');
    await see(page, '3 of 9 points');
    await choose(page, 'State', 'Out of use');
    await see(page, 'No point is found by this.');
    await choose(page, 'State', 'All');
    expect(await overflow(page)).toBe(0);
    await page.setViewport({ width: phone.width, height: phone.height });
    await choose(page, 'Show', 'Map');
    await page.waitForSelector('.point-map .point-mark');
    expect(await shows(page, 'House tap')).toBe(true);
    await page.setViewport(desk);
  });

  it('show levels through time, in the chosen units', async () => {
    await open('/points', 'Tannery 3, downstream');
    await page.waitForSelector('canvas[aria-label*="Water level elevation"]');
    await see(page, '7.476 m');
    await walk.set(page, 'Units', 'Feet, gallons');
    await see(page, '24.53 ft');
    expect(await seriousBarriers(page)).toEqual([]);
    await walk.set(page, 'Units', 'Metres, litres');
  });

  it('calculate on the bench', async () => {
    await open('/bench', 'Bench');
    await type(page, 'Hold at the mark', '40,00');
    await type(page, 'Cut, the wetted length', '3.27');
    await see(page, '36.730');
    await type(page, 'Cut, the wetted length', '41');
    await see(page, 'Longer than the hold.');
    await type(page, 'Number', '12\' 7"');
    await see(page, 'feet and inches');
    await type(page, 'Number', '1');
    await see(page, '0.30480');
    // Five of 51 equal wells: 51 · ln(51/46) = 5.3 in 100 mL.
    await type(page, 'Positive of 51 of 1.96 mL', '5');
    await see(page, '5.3');
    await type(page, 'Positive of 51 of 1.96 mL', '52');
    await see(page, 'There are only 51 of them.');
    await option(page, 'Wells or tubes', '3 tubes each of 10, 1 and 0.1 mL');
    for (const [row, positive] of ['0', '0', '3'].entries()) await type(page, `Positive of 3 of ${[10, 1, 0.1][row]} mL`, positive);
    await see(page, 'times less likely than the likeliest');
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('read the report that waits, and leave alone what may be a thousand', async () => {
    await open(`/rounds/${await roundId('School tap')}/report`, 'A report to read');
    await see(page, 'may be a thousand or a decimal');
    await see(page, 'Which mark stands before decimals?');
    // As a thousand it is more than water holds; the other way round the file's decimals are none. Neither is taken.
    await choose(page, 'Decimals stand after', 'A comma: 1.234 is a thousand');
    await see(page, 'Is it the unit?');
    await choose(page, 'Decimals stand after', 'A point: 1,234 is a thousand');
    await see(page, 'It has another decimal mark');
    // What was said stays over a reload, and can be taken back.
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'It has another decimal mark');
    await click(page, 'Take it back');
    await see(page, 'may be a thousand or a decimal');
    await click(page, 'Write 14 results down');
    await see(page, '1 result pending; 1 row not understood');
    // Flushed water says nothing of what comes out of the pipes.
    await see(page, 'Only water that stood in the pipes tells what comes out of them.');
    expect(await shows(page, 'Coliform bacteria found')).toBe(false);
  });

  it('refuse a file that is no report, naming the place, and keep the page as it was', async () => {
    await open(`/rounds/${await roundId('School tap')}/report`, 'The report is read');
    const refused = await page.evaluate(async () => {
      const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
      const files = new DataTransfer();
      files.items.add(new File(['<html><body>Sign in</body></html>'], 'report.csv', { type: 'text/csv' }));
      input.files = files.files;
      input.dispatchEvent(new Event('change', { bubbles: true }));
      return input.accept;
    });
    expect(refused).toContain('.csv');
    await see(page, 'This is markup, or JSON that holds no list of results.');
    await see(page, 'Line 1, column 1');
  });

  it('show two tabs the same book, with nothing lost or doubled', async () => {
    const round = await roundId('Tannery and market hall');
    const other = await browser.newPage();
    await open(`/rounds/${round}`, '5 labels');
    await other.goto(`${server.address}/rounds/${round}`, { waitUntil: 'domcontentloaded' });
    await Promise.all([pick(page, 'Nutrients at Market hall'), pick(other, 'General chemistry at Market hall')]);
    for (const tab of [page, other]) {
      await tab.bringToFront();
      await see(tab, '8 labels');
    }
    await other.close();
    await page.bringToFront();
  });

  it('say so when the server is away, keep what was written on the device, and send it once when it is back', async () => {
    const round = await roundId('Tannery and market hall');
    await open(`/rounds/${round}`, 'Look round before you touch anything');
    await click(page, 'Go on');
    await walk.arrive(page);
    await see(page, 'Depth to water');
    // What the other tab wrote may still be on its way.
    await walk.handedIn(page);
    const before = await entriesOf(round);
    await signal(page, false);
    await walk.readLevel(page, '7.512');
    await see(page, '1 entry only on this device');
    await see(page, 'the last was 7.512 m');
    expect((await entriesOf(round)) - before).toBe(0);
    await signal(page, true);
    await page.waitForFunction(() => !document.body.innerText.includes('only on this device'), { timeout: patience });
    expect((await entriesOf(round)) - before).toBe(1);
  });

  it('write a reading once whose answer was lost on the way, also after a reload and another Enter', async () => {
    const round = await roundId('Tannery and market hall');
    const before = await entriesOf(round);
    const session = await page.createCDPSession();
    await session.send('Fetch.enable', { patterns: [{ urlPattern: '*/api/entries', requestStage: 'Response' }] });
    session.on(
      'Fetch.requestPaused',
      ({ requestId }) => void session.send('Fetch.failRequest', { requestId, errorReason: 'ConnectionReset' }),
    );
    await walk.readLevel(page, '7.702');
    await see(page, '1 entry only on this device');
    // The server has it; the page cannot know.
    expect((await entriesOf(round)) - before).toBe(1);
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'the last was 7.702 m');
    await page.focus('.typed.big input');
    await page.keyboard.press('Enter');
    await see(page, 'Enter a number');
    await session.send('Fetch.disable');
    await page.waitForFunction(() => !document.body.innerText.includes('only on this device'), { timeout: patience });
    expect((await entriesOf(round)) - before).toBe(1);
    expect(await shows(page, 'Two readings agree')).toBe(false);
  });

  it('fit a phone without sideways scrolling, in every light', async () => {
    await page.setViewport(phone);
    const round = await roundId('Tannery and market hall');
    const visits = (await caller.json<{ payload: { visits?: { id: string }[] } }[]>(`/api/books/${round}/entries`))[0]!.payload.visits!;
    const paths = [
      '/',
      '/rounds',
      '/rounds/new',
      '/points',
      '/labs',
      '/people',
      '/bench',
      `/rounds/${round}`,
      `/rounds/${round}/custody`,
      `/rounds/${round}/book`,
      `/rounds/${round}/at/${visits[0]!.id}/level`,
      `/rounds/${round}/at/${visits[1]!.id}/tap`,
    ];
    for (const path of paths) {
      await page.goto(server.address + path, { waitUntil: 'networkidle0' });
      expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(phone.width);
    }
    for (const light of ['Night', 'Full sun']) {
      await walk.set(page, 'Light', light);
      expect(await seriousBarriers(page), light).toEqual([]);
    }
  });

  it('go on without a connection: what cannot be fetched is said, and takes nothing else along', async () => {
    // Of its own, so that nothing is kept from before.
    const context = await browser.createBrowserContext();
    const alone = await context.newPage();
    await alone.setViewport(desk);
    await alone.goto(server.address, { waitUntil: 'domcontentloaded' });
    await see(alone, 'Also open');
    await signal(alone, false);
    await click(alone, 'Settings');
    await see(alone, 'No connection: the settings cannot be opened now.');
    await click(alone, 'Bench', 'link');
    await see(alone, 'This page cannot be fetched without a connection');
    await click(alone, 'Today', 'link');
    await see(alone, 'Also open');
    await signal(alone, true);
    await click(alone, 'Settings');
    await see(alone, 'Settings on this device');
    await context.close();
  });

  it('say what to do at an address where there is nothing', async () => {
    await open('/nowhere', 'There is nothing at this address');
    await open('/rounds/01a20799-0ac0-7e14-ac1e-a37805fa5240', 'There is no such round');
  });
});

async function entriesOf(round: string): Promise<number> {
  return (await caller.json<unknown[]>(`/api/books/${round}/entries`)).length;
}
