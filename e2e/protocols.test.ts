import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { analysisName, bottleTables } from '../core/src/bottles/index.ts';
import { pointKind, waters, type PointKind, type TapPoint } from '../core/src/registers/index.ts';
import { wellPoint } from '../core/test/script.ts';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, option, overflow, phone, see, shows, tick, type } from './browser.ts';
import type { Running } from './harness.ts';
import { onDemo } from './stage.ts';
import { protocolNamed, walkProtocol } from './walk-protocol.ts';
import * as walk from './walk.ts';

/* Every way of every protocol, on a phone, at a point it is for. A few in `npm test`, all in `npm run test:long`. */

let server: Running;
let page: Page;
onDemo((stage) => ({ server, page } = stage), desk);

const isLong = Boolean(process.env['FONTE_LONG']);

/** Where a protocol is walked: a kind of point, its water, and whether it is chlorinated. */
interface Place {
  kind: PointKind;
  water: keyof typeof waters;
  least: number | null;
}
const house: Place = { kind: 'house-tap', water: 'treated', least: 0.2 };
const farm: Place = { kind: 'outside-tap', water: 'private', least: null };

const all: [id: string, place: Place, inShort?: true][] = [
  ['coliforms-distribution', house],
  ['coliforms-outlet-first', house],
  ['coliforms-at-the-tap', house],
  ['coliforms-as-drunk', house],
  ['coliforms-raw', { kind: 'raw-tap', water: 'raw', least: null }],
  ['private-near-well', farm],
  ['private-drunk', farm],
  ['private-flood', farm, true],
  ['lead-timed', house],
  ['lead-first-litre', house],
  ['lead-fifth-litre', house],
  ['lead-random', house],
  ['pfas-533-tap', house, true],
  ['pfas-537-tap', house],
  ['legionella-pre-flush', house],
  ['legionella-post-flush', house],
  ['legionella-outbreak', house],
  ['legionella-shower', { kind: 'shower', water: 'treated', least: 0.2 }],
  ['legionella-tank', { kind: 'tank', water: 'treated', least: 0.2 }],
  ['legionella-swab', { kind: 'surface', water: 'treated', least: 0.2 }],
  ['legionella-outbreak-shower', { kind: 'shower', water: 'treated', least: 0.2 }],
  ['legionella-outbreak-tank', { kind: 'tank', water: 'treated', least: 0.2 }],
  ['legionella-outbreak-swab', { kind: 'surface', water: 'treated', least: 0.2 }],
  ['trihalomethanes-tap', house],
  ['volatiles-tap', house],
  ['radon-tap', house],
  ['chemistry-tap', house],
];

const table = bottleTables.newest[0]!;

/** Registers a point for one protocol. */
async function register(name: string, code: string, { kind, water, least }: Place): Promise<void> {
  await page.goto(`${server.address}/points/new`, { waitUntil: 'domcontentloaded' });
  await see(page, 'Register a point');
  await choose(page, 'Kind', 'Tap');
  await option(page, 'Which kind', pointKind(kind).name);
  await type(page, 'Name', name);
  await type(page, 'Code for labels', code);
  await type(page, 'Place', 'Lomba Velha');
  await type(page, 'Which outlet exactly', 'The only one');
  await option(page, 'Disinfection', least === null ? 'Not disinfected' : 'Free chlorine');
  if (least !== null) await type(page, 'Least free chlorine', String(least));
  await option(page, 'Water', waters[water]);
  await click(page, 'Register it');
  await page.waitForFunction(() => !location.pathname.endsWith('/new'));
}

/** Asks for one analysis alone: some are proposed for such a point. */
async function only(name: string, wanted: string): Promise<void> {
  const boxes = '.ant-checkbox-group label';
  await page.waitForSelector(boxes);
  const ticked = await page.$$eval(boxes, (all_) =>
    all_.map((one) => [one.textContent.trim(), one.querySelector('input')!.checked] as const),
  );
  for (const [label, isTicked] of ticked) if (isTicked !== (label === wanted)) await tick(page, label);
  if (!ticked.some(([label]) => label === wanted)) await option(page, `More analyses at ${name}`, wanted);
}

describe.each(all.filter(([, , inShort]) => isLong || inShort))('%s', (id, place) => {
  const protocol = protocolNamed(id);
  const point = {
    kind: place.kind,
    water: place.water,
    type: 'tap',
    tap: { outlet: 'The only one', residualMinimum: place.least },
  } as TapPoint;

  it('is walked from its first step to its end, with everything said that would make less of its sample', async () => {
    await page.setViewport(desk);
    const place_ = all.findIndex(([one]) => one === id) + 10;
    const name = `Place ${place_}`;
    await register(name, `ZZ${place_}`, place);
    // A protocol is asked for from the day of its first edition on.
    const days = (Date.parse(protocol.from) - Date.parse('2026-11-23')) / 86_400_000;
    for (let day = 0; day < days; day += 1) await walk.skip(page, '1 d');
    await page.goto(`${server.address}/rounds/new`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Plan a round');
    await tick(page, name);
    const wanted = analysisName(table, protocol.analysis);
    await only(name, wanted);
    await type(page, 'Name', `Walk of ${id}`);
    await type(page, 'System or site', 'Marenta');
    await walk.planIt(page);
    await see(page, 'Field book');
    const hasBlank = id.startsWith('pfas');
    if (hasBlank) {
      await see(page, 'Field blank for');
      await click(page, 'Plan it');
      await page.waitForFunction(() => !document.body.innerText.includes('belongs to this plan and is not in it'));
    }
    await click(page, 'Go on');
    await walk.arrive(page);
    if (hasBlank) {
      await walk.fillFieldBlank(page);
      await click(page, protocol.title, 'link');
    }
    await walk.chooseWay(page, protocol.title);
    await page.setViewport(phone);
    await walk.chooseWay(page, protocol.title);
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Start at the tap');
    await walkProtocol(page, protocol, point, place.least === null ? '0' : '0.42');
    expect(await shows(page, 'Routine sample so far')).toBe(true);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
  }, 180_000);
});

describe.runIf(isLong)('coliforms-well', () => {
  it('is walked at a well once that is past its purge', async () => {
    await page.setViewport(desk);
    await page.goto(`${server.address}/rounds/new`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Plan a round');
    await walk.skip(page, '1 d');
    await page.goto(`${server.address}/rounds/new`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Plan a round');
    await tick(page, 'Waterworks well');
    await only('Waterworks well', 'Coliforms + E. coli');
    await type(page, 'Name', 'Raw water');
    await type(page, 'System or site', 'Marenta');
    await walk.planIt(page);
    await see(page, 'Field book');
    await click(page, 'Go on');
    await walk.arrive(page);
    await click(page, 'The level cannot be read');
    await choose(page, 'What is it', 'No way in for a tape');
    await type(page, 'Why it cannot be read', 'the pump head has no opening');
    await click(page, 'Leave the level out');
    await walk.closed(page);
    await click(page, 'Purge', 'link');
    await choose(page, 'Method', 'No purge');
    await choose(page, 'The sample is taken', 'By a passive sampler');
    await type(page, 'Why there is no purge', 'it pumps all day');
    await click(page, 'Go without a purge');
    await click(page, 'Coliforms at a well', 'link');
    await click(page, 'Start at the well');
    await walkProtocol(page, protocolNamed('coliforms-well'), wellPoint, '0');
    expect(await shows(page, 'Routine sample so far')).toBe(true);
  }, 180_000);
});
