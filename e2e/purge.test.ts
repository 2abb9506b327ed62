import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, option, overflow, phone, see, shows, tick, type } from './browser.ts';
import { onDemo, type Stage } from './stage.ts';
import * as walk from './walk.ts';
import { patience } from './find.ts';

/*
 * Wells that are simulated as water moves: what is typed comes from their tape, pump and probe, and how a purge goes is up to the well.
 */

let stage: Stage;

/** How deep (m) the water of the simulated well stands at rest. */
const restOf = (page: Page) =>
  page.evaluate(() => {
    const key = Object.keys(sessionStorage).find((one) => one.startsWith('fonte.well.'))!;
    return (JSON.parse(sessionStorage.getItem(key)!) as { shape: { rest: number } }).shape.rest;
  });

/** Lets the tape down until it sounds, and a millimetre up until it does not: the depth as it is read. */
async function readTape(page: Page): Promise<string> {
  const press = (name: string) =>
    page.$eval(`.tape-device button[aria-label="${name}"]`, (one) => {
      (one as HTMLElement).click();
    });
  const isWet = async () => {
    // The tape says anew what it hears twice a second.
    await new Promise((resolve) => {
      setTimeout(resolve, 650);
    });
    return page.$eval('.tape-device [role=status]', (one) => one.textContent?.includes('It sounds') ?? false);
  };
  // Down to a hand above the water nobody listens.
  let far = Math.floor((await restOf(page)) * 100) - 3;
  for (const [centimetres, by] of [
    [100, '1 m'],
    [10, '10 cm'],
    [1, '1 cm'],
  ] as const)
    for (; far >= centimetres; far -= centimetres) await press(`Lower by ${by}`);
  for (const [down, up] of [
    ['1 cm', '1 cm'],
    ['1 mm', ''],
  ]) {
    while (!(await isWet())) await press(`Lower by ${down}`);
    if (up) await press(`Raise by ${up}`);
  }
  return page.$eval('.tape-device .value', (one) => one.textContent.replace(' m', ''));
}

/** Goes to the well, connects a simulated one and reads its level twice. */
async function atTheWell(page: Page, address: string, well: string, read: 'off the tape' | 'typed' = 'typed'): Promise<void> {
  await walk.openToday(page, address);
  await click(page, 'Go on');
  await walk.arrive(page);
  await option(page, 'Which well', well);
  await click(page, 'Connect');
  if (read === 'off the tape') {
    const depth = await readTape(page);
    await click(page, `Take ${depth} m over`);
    await choose(page, 'The water is', 'At rest');
    await click(page, 'Write it down');
    await see(page, 'Depth to water, again');
    await click(page, `Take ${depth} m over`);
    await click(page, 'Write it down');
  } else {
    const level = (await restOf(page)).toFixed(3);
    await walk.readLevel(page, level);
    await see(page, 'Depth to water, again');
    await walk.readLevel(page, level);
  }
  await see(page, 'Two readings agree');
  await click(page, 'On to the purge');
  await see(page, 'True inside diameter');
}

async function pump(page: Page, flow: string): Promise<void> {
  await type(page, 'Flow of the pump', flow);
  await click(page, 'Set the pump');
}

async function timeFlow(page: Page, caught: string, took: string): Promise<void> {
  await click(page, 'Time the flow');
  await type(page, 'Volume that is caught', caught);
  await walk.unfold(page, 'Timed by another watch');
  await type(page, 'Time it took', took);
  await click(page, 'Add it');
  await click(page, 'Write the flow down');
  await walk.closed(page);
}

const nextSet = async (page: Page) => Number((await page.$eval('.set-form h2', (one) => one.textContent)).replace(/\D+(\d+).*/, '$1'));

/** Reads a set off the probe; where the method wants the level, it is read off the well as well. */
async function takeSet(page: Page, level?: string): Promise<void> {
  const number = await nextSet(page);
  // The probe says anew what it reads twice a second: what it said before the clock was moved is no reading of now.
  await new Promise((resolve) => {
    setTimeout(resolve, 1100);
  });
  await click(page, 'Take over from the probe');
  if (level !== undefined) await type(page, 'Level while pumping', level);
  await click(page, 'Write the set down');
  await see(page, `Set ${number + 1}`);
}

const levelOf = (page: Page) => page.$eval('.rig', (one) => /level stands at ([\d.]+) m/.exec(one.textContent)![1]!);

describe.sequential('low flow at a quick well', () => {
  onDemo((set) => {
    stage = set;
  }, desk);

  it('starts with the level off the tape, and with what the tubing holds', async () => {
    const { page, server } = stage;
    await page.evaluateOnNewDocument(() => {
      // What would shake a phone.
      navigator.vibrate = (pattern) => {
        if (Array.isArray(pattern)) sessionStorage.setItem('rung', String(Number(sessionStorage.getItem('rung') ?? 0) + 1));
        return true;
      };
    });
    await atTheWell(page, server.address, 'Quick well', 'off the tape');
    await choose(page, 'Method', 'Low flow');
    await type(page, 'Length of the tubing', '16');
    await type(page, 'Inside diameter of the tubing', '6');
    await type(page, 'The flow cell holds', '500');
    // Geometry: π/4 · 6² mm² · 16 m = 452 mL, and the cell.
    await see(page, '0.95');
    await click(page, 'Start the purge');
    await see(page, 'Say where the purge water goes.');
    await choose(page, 'Purge water goes', 'Into a container');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Start the purge');
    await see(page, 'Set 1');
  });

  it('asks about a set that is read before the water of the well is there', async () => {
    const { page } = stage;
    await pump(page, '0.4');
    await walk.unfold(page, 'Watch its level');
    await page.waitForSelector('[aria-label^="The level of the simulated well"]');
    await click(page, 'Pump on');
    await timeFlow(page, '400', '60');
    await click(page, 'Take over from the probe');
    await click(page, 'Write the set down');
    await see(page, 'This is still the water that stood in them.');
    await page.reload();
    // Nothing typed is lost, and the well goes on.
    await see(page, 'Take over from the probe');
    const kept = await page.$$eval('.number-row input', (all) => all.map((one) => one.value).filter(Boolean).length);
    expect(kept).toBe(5);
    await walk.skip(page, '10 min');
  });

  it('foretells when it will be stable, judges what the level does, and says when it is', async () => {
    const { page } = stage;
    for (let set = 0; set < 24 && !(await shows(page, 'End the purge')); set++) {
      await takeSet(page, await levelOf(page));
      await walk.pass(page, 5);
      // The clock of the next set has ended: the phone shakes, whatever page is open.
      if (set === 0) await page.waitForFunction(() => Number(sessionStorage.getItem('rung') ?? 0) > 0, { timeout: 30_000 });
      if (set === 5) {
        const told = await page.waitForFunction(
          () =>
            document.querySelector('.when-stable')?.textContent ?? (document.body.innerText.includes('End the purge') ? 'stable' : null),
        );
        expect(await told.jsonValue()).toMatch(/^Stable (about|between)|do not tell|does not slow down yet|stable/);
      }
    }
    await see(page, 'End the purge');
    await see(page, 'Drawdown 0.0');
  }, 300_000);

  it('says when other criteria would have let one sample', async () => {
    const { page } = stage;
    await walk.unfold(page, 'By other criteria');
    await see(page, 'Cannot tell: redox potential not read');
    const first = await page.$$eval('[aria-label="By other criteria"] .word', (all) => all.map((one) => one.textContent));
    expect(first.filter((one) => one.includes('After set')).length).toBeGreaterThan(2);
  });

  it('strikes a set that was misread, and is judged anew', async () => {
    const { page } = stage;
    const before = await nextSet(page);
    await click(page, 'Correct set 1');
    await type(page, 'Why', 'probe was still in the buffer');
    await click(page, 'Strike it');
    await walk.closed(page);
    await page.waitForFunction((count) => document.querySelector('.set-form h2')?.textContent?.includes(`Set ${count - 1}`), {}, before);
  });

  it('asks for cell and flow one by one, and fills in an order with its minutes', async () => {
    const { page } = stage;
    await click(page, 'End and fill');
    await see(page, 'Detach the flow cell before you fill bottles.');
    await choose(page, 'The flow cell is', 'Detached');
    await choose(page, 'The flow for the bottles', 'Slowed');
    await type(page, 'Slowed to', '900');
    await click(page, 'End and fill');
    await see(page, 'is fast for these bottles');
    await type(page, 'Slowed to', '150');
    await click(page, 'End and fill');
    await see(page, 'Next bottle');
    await click(page, 'Purge', 'link');
    await see(page, 'In this order, at 150 mL/min:');
    // 500 mL at 150 mL/min: 3.33 min.
    expect(await page.$$eval('.fill-order li', (all) => all.map((one) => one.textContent).join('\n'))).toMatch(
      /250 mL: 2 min|500 mL: 4 min/,
    );
  });
});

describe.sequential('a tight well', () => {
  onDemo((set) => {
    stage = set;
  }, desk);

  it('is not ready while the level falls too far, and what is decided tells on the samples', async () => {
    const { page, server } = stage;
    await atTheWell(page, server.address, 'Tight well');
    await choose(page, 'Method', 'Low flow');
    await type(page, 'Length of the tubing', '16');
    await type(page, 'Inside diameter of the tubing', '6');
    await choose(page, 'Purge water goes', 'Into a container');
    await click(page, 'Start the purge');
    await see(page, 'Set 1');
    await pump(page, '0.4');
    await click(page, 'Pump on');
    await timeFlow(page, '400', '60');
    await walk.skip(page, '10 min');
    await page.waitForFunction(() => Number(/level stands at ([\d.]+) m/.exec(document.querySelector('.rig')!.textContent)![1]) > 7.9);
    await takeSet(page, await levelOf(page));
    await click(page, 'Decide: the level falls too far');
    await choose(page, 'What is done', 'Go on as it is');
    await type(page, 'Why', 'the plan wants low flow, the client was told');
    await click(page, 'Write the decision down');
    await walk.closed(page);
    await see(page, 'Special: not for compliance');
  });

  it('is sampled without a purge by what hung in its screen, which is noted', async () => {
    const { page } = stage;
    await walk.unfold(page, 'Change the method or the criterion');
    await choose(page, 'Method', 'No purge');
    await type(page, 'Why there is no purge', 'a bag hung in the screen for three weeks');
    await click(page, 'Change the set-up');
    await see(page, 'Say how the sample is taken.');
    await choose(page, 'The sample is taken', 'By a passive sampler');
    await click(page, 'Change the set-up');
    await walk.said(page);
    await click(page, 'Change the set-up');
    await see(page, 'Not purged: by a passive sampler, which is noted');
  });
});

describe.sequential('a well that runs dry, by casing volumes first', () => {
  onDemo((set) => {
    stage = set;
  }, phone);

  it('is read on one phone screen: the next number within the first 500 px, and the pad below it', async () => {
    const { page, server } = stage;
    await page.setViewport(desk);
    await atTheWell(page, server.address, 'Well that runs dry');
    await choose(page, 'Purge water goes', 'Into a container');
    await click(page, 'Start the purge');
    await see(page, 'Set 1');
    await page.setViewport(phone);
    await see(page, 'Set 1');
    await page.waitForSelector('.pad');
    // It is laid out anew for the phone first.
    await page
      .waitForFunction(() => document.querySelector('.pad')!.getBoundingClientRect().bottom + scrollY <= 844, { timeout: patience })
      .catch(() => undefined);
    const { first, pad } = await page.evaluate(() => ({
      first: document.querySelector('.number-row input')!.getBoundingClientRect().bottom + scrollY,
      pad: document.querySelector('.pad')!.getBoundingClientRect().bottom + scrollY,
    }));
    expect(first).toBeLessThan(500);
    expect(pad).toBeLessThanOrEqual(844);
    expect(await overflow(page)).toBe(0);
  });

  it('takes a set on the pad with one press more for each number', async () => {
    const { page } = stage;
    const press = async (keys: string) => {
      for (const key of keys)
        await page.$eval(`.pad button[aria-label="${key === '.' ? 'Point' : key}"]`, (one) => (one as HTMLElement).click());
      await page.$eval('.pad-next', (one) => (one as HTMLElement).click());
    };
    await page.setViewport(phone);
    await see(page, 'Set 1');
    await page.waitForSelector('.pad-next');
    for (const number of ['8', '18.2', '7.31', '641', '6.02', '21.4']) await press(number);
    await see(page, 'Set 2');
    await page.waitForSelector('.pad-next:not(.ant-btn-loading)');
    // What is asked about a set that comes too soon stands on the screen, though it stands below the pad.
    for (const number of ['16', '18.2', '7.31', '641', '6.02', '21.4']) await press(number);
    await see(page, 'it will not count');
    expect(await page.$eval('.set-form .finding.question', (one) => one.getBoundingClientRect().bottom <= innerHeight + 1)).toBe(true);
    await page.waitForSelector('.pad-next:not(.ant-btn-loading)');
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('is purged dry instead, and sampled once it has recovered', async () => {
    const { page } = stage;
    await page.setViewport(desk);
    await see(page, 'Change the method or the criterion');
    await walk.unfold(page, 'Change the method or the criterion');
    await choose(page, 'Method', 'Purge dry, let it recover');
    await click(page, 'Change the set-up');
    await see(page, '1 set was read by another method.');
    await tick(page, 'It is so');
    await click(page, 'Change the set-up');
    await see(page, 'Not yet: pumped until it runs dry');
    await pump(page, '2');
    await click(page, 'Pump on');
    await walk.skip(page, '10 min');
    await walk.skip(page, '10 min');
    await see(page, 'It draws air');
    await click(page, 'It ran dry');
    await click(page, 'Stop it');
    await see(page, 'Not yet: recovered to 80 %: read the level');
    // It comes back by itself: what is read too soon is not enough.
    const readNow = async () => {
      await click(page, 'Level while it recovers');
      await type(page, 'Level while it recovers', await levelOf(page));
      await click(page, 'Write the level down');
      await walk.closed(page);
    };
    await readNow();
    await see(page, '% of 80 %');
    for (let hours = 0; hours < 20 && !(await shows(page, 'End the purge')); hours++) {
      await walk.skip(page, '1 h');
      await readNow();
    }
    await see(page, 'End the purge');
  });
});

describe.sequential('casing volumes at a quick well', () => {
  onDemo((set) => {
    stage = set;
  }, desk);

  it('goes from the level to the first bottle, with volumes by flow and time', async () => {
    const { page, server } = stage;
    await atTheWell(page, server.address, 'Quick well');
    await walk.setUpPurge(page);
    await pump(page, '6');
    await click(page, 'Pump on');
    await timeFlow(page, '6000', '60');
    for (let set = 0; set < 16 && !(await shows(page, 'End the purge')); set++) {
      for (let minute = 0; minute < 4; minute++) await walk.skip(page, '1 min');
      await takeSet(page);
    }
    // 3 × 23.7 L at 6 L/min are some 12 minutes, and three sets that hold come after them or with them.
    await see(page, 'End the purge');
    await walk.endPurge(page);
    await walk.fillNext(page, '261123A-MW3-M');
    await see(page, 'Filled');
  }, 200_000);
});
