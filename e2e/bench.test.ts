import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, overflow, phone, see, shows, tick, type } from './browser.ts';
import type { Running } from './harness.ts';
import { onDemo } from './stage.ts';
import { protocolNamed, walkProtocol } from './walk-protocol.ts';
import * as walk from './walk.ts';
import { tapPoint } from '../core/test/script.ts';

/* Bacteria that are grown and counted on one's own bench, from the tap to the verdict. */

let server: Running;
let page: Page;
onDemo((stage) => ({ server, page } = stage), desk);

const bottle = '261123A-MH1-B';
const coliforms = 'Coliforms, positive of 51 of 1.96 mL';
const ecoli = 'Of them E. coli, of 51 of 1.96 mL';

describe.sequential('Bacteria on the own bench', () => {
  it('go from the tap into the incubator, with what is not as the method asks said why', async () => {
    await walk.openToday(page, server.address);
    await page.goto(`${server.address}/rounds`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Tannery and market hall', 'link');
    await click(page, 'Market hall', 'link');
    await walk.arrive(page);
    await walk.chooseWay(page, 'Coliforms, as people drink it');
    await click(page, 'Start at the tap');
    await walkProtocol(page, protocolNamed('coliforms-as-drunk'), tapPoint, '0.42');
    await page.goto(page.url().replace(/\/at\/.*/, '/custody'), { waitUntil: 'domcontentloaded' });
    await click(page, 'Bacteria on the own bench', 'link');
    await see(page, 'Into the incubator');
    await click(page, 'They are in: start the clock');
    await see(page, 'Say by which method.');
    await tick(page, 'Enzyme substrate, 51 wells');
    await tick(page, bottle);
    await type(page, 'Lot of the medium', 'M-204');
    await type(page, 'Expires on', '2027-05-31');
    await type(page, 'In the incubator', '39');
    await see(page, 'The incubator is too cold or too warm');
    await click(page, 'They are in: start the clock');
    await see(page, 'Say why, in a few words.');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'The incubator is too cold or too warm');
    await type(page, 'In the incubator', '35.1');
    await page.waitForFunction(() => !document.body.innerText.includes('The incubator is too cold'));
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'They are in: start the clock');
    await see(page, 'to go');
  });

  it('are not counted before their time where nothing grew, and their clock stands on the first page', async () => {
    await click(page, `Count ${bottle}`);
    await type(page, coliforms, '0');
    await type(page, ecoli, '0');
    await see(page, 'Counted before its time');
    await type(page, 'Counted before its time. Wait, or say why; what is positive is at least so much.', 'in a hurry');
    await click(page, 'Write it down');
    await see(page, 'Before its time nothing follows from what has not grown. Wait.');
    const here = page.url();
    await page.goto(server.address, { waitUntil: 'domcontentloaded' });
    await see(page, 'Count: Enzyme substrate, 51 wells');
    await page.setViewport(phone);
    await page.goto(here, { waitUntil: 'domcontentloaded' });
  });

  it('are counted as wells, refused where there are not so many, and told with their limits', async () => {
    await see(page, 'to go');
    await walk.skip(page, '1 d');
    await walk.skip(page, '1 h');
    await click(page, `Count ${bottle}`);
    await type(page, coliforms, '52');
    await type(page, ecoli, '2');
    await click(page, 'Write it down');
    await see(page, '52 positive of 51: count again.');
    await type(page, coliforms, '1');
    await click(page, 'Write it down');
    await see(page, 'More E. coli than coliforms');
    await type(page, coliforms, '5');
    await see(page, '95 %: 1.9 to 11.3 per 100 mL.');
    await click(page, 'Write it down');
    await click(page, 'Count Positive control');
    await choose(page, 'Did the positive control grow?', 'It grew');
    await click(page, 'Write it down');
    await click(page, 'Count Blank');
    await click(page, 'Write it down');
    await see(page, 'Say whether it grew.');
    await choose(page, 'Did the blank grow?', 'It grew');
    await click(page, 'Write it down');
    await see(page, 'The blank grew: what is positive proves nothing.');
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
  });

  it('stand in the verdict as of the own bench, with what is doubted of them and what is to be done', async () => {
    await page.setViewport(desk);
    await page.goto(page.url().replace('/culture', '/verdict'), { waitUntil: 'domcontentloaded' });
    await see(page, 'E. coli found by the in-house lab test at');
    await see(page, 'take a new sample before anybody is alarmed');
    expect(await shows(page, 'Call the authority')).toBe(false);
    await see(page, 'Own bench, counted Tue 24 Nov');
    await see(page, 'The blank grew: what is positive proves nothing.');
    await walk.unfold(page, 'Measured at the point: 1');
    await see(page, 'Coliforms, as people drink it, Mon 23 Nov');
    expect(await seriousBarriers(page)).toEqual([]);
  });
});
