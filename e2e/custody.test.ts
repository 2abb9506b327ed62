import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BarcodeFormat, QRCodeWriter } from '@zxing/library';
import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { choose, click, desk, option, overflow, phone, press, see, shows, tick, type } from './browser.ts';
import type { Running } from './harness.ts';
import { onDemo } from './stage.ts';
import * as walk from './walk.ts';

let server: Running;
let page: Page;
let round: string;

onDemo(async (stage) => {
  ({ server, page } = stage);
  await page.setViewport(desk);
  await walk.openToday(page, server.address);
  await click(page, 'The whole round', 'link');
  await see(page, 'Points and analyses');
  round = page.url();
});

const scan = async (label: string, code: string) => {
  await type(page, label, code);
  await page.keyboard.press('Enter');
};
/** Puts a square code before the camera of the page. */
async function showToCamera(text: string): Promise<void> {
  const code = new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 260, 260, new Map());
  const rows = Array.from({ length: 260 }, (_, y) => Array.from({ length: 260 }, (_unused, x) => (code.get(x, y) ? '1' : '0')).join(''));
  await page.evaluate((dots) => {
    const canvas = document.createElement('canvas');
    canvas.width = 640;
    canvas.height = 480;
    const pen = canvas.getContext('2d')!;
    const draw = () => {
      pen.fillStyle = '#e8e4da';
      pen.fillRect(0, 0, 640, 480);
      pen.fillStyle = '#111';
      dots.forEach((row, y) => [...row].forEach((dot, x) => dot === '1' && pen.fillRect(180 + x, 100 + y, 1, 1)));
    };
    draw();
    setInterval(draw, 100);
    navigator.mediaDevices.getUserMedia = () => Promise.resolve(canvas.captureStream(10));
  }, rows);
}

/** Draws a line in the field in which one signs by hand. */
async function sign(which: string): Promise<void> {
  const field = (await page.waitForSelector(`canvas[aria-label^="${which}"]`))!;
  await field.evaluate((one) => one.scrollIntoView({ block: 'center' }));
  const { x, y, height } = (await field.boundingBox())!;
  await page.mouse.move(x + 30, y + height / 2);
  await page.mouse.down();
  for (let step = 1; step < 20; step += 1) await page.mouse.move(x + 30 + step * 9, y + height / 2 + (step % 2 === 0 ? 20 : -20));
  await page.mouse.up();
}

describe.sequential('a plan for two labs', () => {
  it('sends metals to another lab, with a blank, and a duplicate that goes blind', async () => {
    await click(page, 'Some bottles go to another lab');
    await option(page, 'Which lab', 'Costa Leste');
    await option(page, 'All bottles of these kinds', 'Metals');
    await click(page, 'They go there');
    await see(page, 'To Costa Leste trace laboratory: Metals');
    await option(page, 'Duplicate or blank at Tannery 3, downstream', 'Equipment blank: Metals');
    await see(page, 'Equipment blank: Metals');
    await click(page, 'Blind duplicate at Tannery 3, downstream');
    await option(page, 'Of what', 'General chemistry');
    await type(page, 'Made-up code', 'mh1');
    await type(page, 'Made-up name', 'Upper fountain');
    await click(page, 'Plan it');
    // A point of the round has that code.
    await see(page, 'could not be told apart');
    await type(page, 'Made-up code', 'zb4');
    await click(page, 'Plan it');
    await see(page, 'as ZB4, Upper fountain');
    await walk.closed(page);
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('packs them into three boxes', async () => {
    await click(page, 'Prepare', 'link');
    for (const [group, box] of [
      ['Cold, on ice', 'Big blue cool box'],
      ['No cooling', 'Small cool box'],
    ] as const) {
      await option(page, `Box of Tannery 3, downstream: ${group}`, box);
      // It stands there once it is written down.
      await page.waitForFunction(
        (name) =>
          [...document.querySelectorAll('.ant-select')].some(
            (one) => one.textContent?.includes(name) && !one.classList.contains('ant-select-disabled'),
          ),
        {},
        box,
      );
    }
  });
});

describe.sequential('in the field', () => {
  it('fills the blank first, stops at the wrong bottle, keeps the lab’s own code, and takes a spare for one that ran over', async () => {
    await walk.openToday(page, server.address);
    await click(page, 'Go on');
    await walk.arrive(page);
    await walk.purgeUntilStable(page);
    await walk.endPurge(page);
    await walk.fillNext(page, '261123A-MW3-M-EB');
    await scan('Scan 261123A-MW3-M', '261123a-mw3-n');
    await see(page, 'That is 261123A-MW3-N, and not 261123A-MW3-M.');
    await scan('Scan 261123A-MW3-M', 'CL-000871');
    await see(page, 'is no label of this round');
    await click(page, 'Yes, keep it as its other name');
    await see(page, '261123A-MW3-M has its label on; the lab calls it CL-000871');
    await walk.fillNext(page, '261123A-MW3-M');
    await click(page, 'Throw away 261123A-MW3-N');
    await click(page, 'Throw it away');
    await see(page, 'Choose why.');
    await option(page, 'Why', 'Overfilled');
    await click(page, 'Throw it away');
    await walk.closed(page);
    await showToCamera('261123A-MW3-N2');
    await click(page, 'Scan 261123A-MW3-N2 with the camera');
    await see(page, '261123A-MW3-N2 has its label on');
    await walk.closed(page);
    for (const letter of ['N2', 'A', 'G']) await walk.fillNext(page, `261123A-MW3-${letter}`);
  });

  it('waits with the next bottle for the label of the one before, where that is wanted', async () => {
    await click(page, 'Settings');
    await tick(page, 'The next bottle waits until the one before has its label');
    await click(page, 'Close');
    await walk.closed(page);
    await see(page, 'First the label of 261123A-MW3-G.');
    expect(
      await page.evaluate(() => [...document.querySelectorAll('button')].find((one) => one.innerText === 'Filled and capped')!.disabled),
    ).toBe(true);
    // Of the bottles here, the last that was filled is asked for first.
    for (const letter of ['G', 'A', 'M-EB']) {
      await see(page, `First the label of 261123A-MW3-${letter}.`);
      await press(page, 'Label is on');
    }
    await walk.fillNext(page, '261123A-ZB4-G');
    await see(page, 'All bottles here are full');
    await press(page, 'Label is on');
    await page.waitForFunction(() => !document.body.innerText.includes('Label is on'));
    await click(page, 'Settings');
    await tick(page, 'The next bottle waits until the one before has its label');
    await click(page, 'Close');
    await walk.closed(page);
  });

  it('samples the tap', async () => {
    await walk.openToday(page, server.address);
    await click(page, 'Go on');
    await walk.arrive(page);
    await walk.startAtTheTap(page);
    await walk.waitClock(page, 'Run cold water, full and steady');
    await walk.measureStep(page, 'Measure the water temperature', '17,4');
    await walk.measureStep(page, 'Measure free chlorine', '0.34');
    await walk.chooseDisinfection(page, 'Bleach');
    await walk.waitClock(page, 'Close the tap, wet the outlet inside and out, wait');
    await walk.rinseBleach(page);
    await walk.fillAndPutBack(page, '261123A-MH1-B');
  });
});

describe.sequential('from hand to hand', () => {
  it('shows every bottle on a phone, box by box, with nothing beyond its edge', async () => {
    await page.goto(`${round}/custody`);
    await see(page, '7 bottles to hand over');
    await see(page, 'Big blue cool box');
    await see(page, 'In Cooler now');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('asks about 41 degrees, reads the box in Fahrenheit then, and foretells before one drives off', async () => {
    await click(page, 'Write down how it is packed');
    await type(page, 'How cold', '41');
    await click(page, 'Write it down');
    await see(page, 'As °F it would be 5.0 °C');
    await choose(page, 'Unit of How cold', '°F');
    await click(page, 'Write it down');
    await walk.closed(page);
    await see(page, '41 °F');
    await choose(page, 'When', 'Before I drive off');
    await see(page, 'Off now, at the lab at');
    await choose(page, 'When', 'At the desk');
  });

  it('goes to a courier with both signatures; a bottle that is not on the form is found at once', async () => {
    await choose(page, 'To whom', 'A courier');
    await choose(page, 'Which bottles', 'For Costa Leste trace laboratory');
    await see(page, '2 bottles on the form');
    await scan('Scan a bottle', '261123A-MW3-G');
    await see(page, '261123A-MW3-G is not on this form.');
    await scan('Scan a bottle', '261123A-MW3-N');
    await see(page, '261123A-MW3-N was thrown away.');
    await scan('Scan a bottle', '261123A-MW3-M-EB');
    await see(page, '1 of 2 scanned; not yet 261123A-MW3-M');
    // The lab's own code is as good as ours.
    await scan('Scan a bottle', 'CL-000871');
    await see(page, '2 of 2 scanned');
    await type(page, 'In the box now', '4.8');
    await type(page, 'Seal number', 'C-17');
    await type(page, 'Number of the facility', 'PT-4471');
    await type(page, 'Programme', 'Tannery');
    await type(page, 'Who takes them', 'Ana Reis');
    await type(page, 'Sign as Inês Faria', 'Inês Faria');
    await sign('Sign as Inês Faria');
    await type(page, 'Ana Reis signs', 'Ana Reis');
    await sign('Ana Reis signs');
    await click(page, 'Hand over 2 bottles');
    await see(page, '2 to Ana Reis');
    expect(await page.$$eval('.signed .drawn', (all) => all.length)).toBe(2);
  });

  it('keeps the form over a reload, and takes no second tap', async () => {
    await walk.openToday(page, server.address);
    await see(page, '2 bottles with Ana Reis');
    await page.goto(`${round}/custody`);
    await page.reload();
    await see(page, 'With us: 5');
    await see(page, 'With Ana Reis: 2');
  });

  it('has a first page for the courier: what to bring, by when, and what waits to be fetched', async () => {
    await option(page, 'Who writes', 'Rui Vale, coordinator');
    await page.goto(`${server.address}/people/new`, { waitUntil: 'domcontentloaded' });
    await type(page, 'Name', 'Ana Reis');
    await type(page, 'Initials', 'AR');
    await option(page, 'Role', 'Courier');
    await click(page, 'Register it');
    await see(page, 'Ana Reis');
    await page.goto(server.address, { waitUntil: 'domcontentloaded' });
    await option(page, 'Who writes', 'Ana Reis, courier');
    await see(page, 'With you: 2 bottles');
    await see(page, '5 bottles of');
    expect(await shows(page, 'Go on')).toBe(false);
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Hand over');
    await see(page, 'With Ana Reis: 2');
    await page.goto(round, { waitUntil: 'domcontentloaded' });
    await see(page, 'Points and analyses');
    await option(page, 'Who writes', 'Inês Faria, technician');
    await page.goto(`${round}/custody`, { waitUntil: 'domcontentloaded' });
    await see(page, 'With us: 5');
  });

  it('hands the rest over at the desk of the first lab, which refuses what was foretold', async () => {
    await type(page, 'In Big blue cool box now', '4.4');
    await type(page, 'In Cooler now', '5.1');
    await type(page, 'Seal number of Big blue cool box', 'B-1');
    await type(page, 'Seal number of Cooler', 'B-2');
    await option(page, 'Condition of 261123A-MW3-A', 'Leaking');
    await see(page, 'The lab would refuse a bottle');
    await type(page, 'Taken by', 'Intake desk');
    await type(page, 'Bottles counted by who takes them', '5');
    await type(page, 'Sign as Inês Faria', 'Inês Faria');
    await click(page, 'Hand over 5 bottles all the same');
    await see(page, '5 to Ponta Norte water laboratory');
    await click(page, 'Correct the hand-over');
    await type(page, 'In Big blue cool box', '4.6');
    await type(page, 'Why', 'misread the thermometer');
    await click(page, 'Write the correction');
    await walk.closed(page);
    await see(page, 'Big blue cool box 4.6 °C');
    await click(page, 'Ask the lab for its answer');
    await see(page, '261123A-MW3-A: Arrived leaking As Fonte had foretold: leaking.');
    await see(page, '261123A-ZB4-G');
  });

  it('takes in what a logger recorded in the box: its clock is asked about, and the worst bottle is named', async () => {
    await click(page, 'Bring in a logger’s file of Big blue cool box', 'link');
    await click(page, 'Read it out');
    await see(page, 'Temperature [°C]');
    await click(page, 'Write it down');
    await see(page, 'Say how its clock goes.');
    await option(page, 'Its clock', 'the same all year');
    // Read as of another zone, none of it lies between filling and hand-over.
    await option(page, 'Ahead of UTC', 'UTC+14:00');
    await see(page, 'None of its readings lies in the time of this box.');
    await option(page, 'Ahead of UTC', 'UTC+00:00');
    await see(page, 'The line is the logger’s');
    expect(await seriousBarriers(page)).toEqual([]);
    await page.reload();
    await see(page, 'The line is the logger’s');
    await click(page, 'Write it down');
    await see(page, 'Big blue cool box was above 6 °C');
    await walk.said(page);
    await click(page, 'Write it down');
    await page.waitForSelector('[aria-label="Strike record of Big blue cool box"]');
    await see(page, 'Longest for 261123A-MW3-');
  });

  it('takes in the record of the box that nobody named as well, with what it is asked about answered once', async () => {
    await click(page, 'Bring in a logger’s file of Cooler', 'link');
    await click(page, 'Read it out');
    await see(page, 'Temperature [°C]');
    await option(page, 'Its clock', 'the same all year');
    await option(page, 'Ahead of UTC', 'UTC+00:00');
    await see(page, 'The line is the logger’s');
    await click(page, 'Write it down');
    await page.waitForFunction(
      () => /It is so|record of Cooler/.test(document.body.innerText) || document.querySelector('[aria-label="Strike record of Cooler"]'),
    );
    if (await shows(page, 'It is so')) {
      await walk.said(page);
      await click(page, 'Write it down');
    }
    await page.waitForSelector('[aria-label="Strike record of Cooler"]');
  });

  it('reaches the second lab by the courier, who finds its seal broken; its answer comes by mail and is taken down', async () => {
    await see(page, 'With Ana Reis: 2');
    await choose(page, 'To whom', 'Costa Leste trace laboratory');
    await type(page, 'In the box now', '5.6');
    await type(page, 'Seal number', 'C-17');
    await choose(page, 'The seal is', 'Broken');
    await see(page, 'Small cool box: its seal is broken.');
    // It is put down as it is found, and handed over all the same.
    await type(page, 'Number of the facility', 'PT-4471');
    await type(page, 'Programme', 'Tannery');
    await type(page, 'Taken by', 'Reception');
    await type(page, 'Bottles counted by who takes them', '2');
    await type(page, 'Sign as Ana Reis', 'Ana Reis');
    await click(page, 'Hand over 2 bottles all the same');
    await see(page, '2 to Costa Leste trace laboratory');
    await click(page, 'It answered otherwise');
    await type(page, 'Who said so', 'Reception');
    await type(page, 'The lab’s reference', 'CLT-88');
    await choose(page, '261123A-MW3-M-EB', 'Taken');
    await choose(page, '261123A-MW3-M', 'Refused');
    await click(page, 'Write it down');
    await see(page, 'Why is it refused?');
    await type(page, 'Why', 'turbid, wants it filtered');
    await click(page, 'Write it down');
    await walk.closed(page);
    await see(page, 'turbid, wants it filtered');
    // For the broken seal Fonte had foretold a refusal of both: one was a false alarm.
    await see(page, 'Fonte had foretold a refusal: seal broken.');
  });

  it('owes what was refused, and prints a form that says nothing of what is blind', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'fonte-'));
    const first = await page.$$('.panel h2');
    expect(first.length).toBeGreaterThan(2);
    const file = await walk.savedBy(page, folder, async () => {
      const buttons = await page.$$('button');
      for (const button of buttons.reverse())
        if ((await button.evaluate((one) => one.innerText)) === 'Form as PDF') {
          await button.evaluate((one) => one.click());
          break;
        }
    });
    const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
    expect(text).toContain('Chain of custody: 261123A to Ponta Norte water laboratory');
    expect(text).toContain('261123A-ZB4-G');
    expect(text).toContain('MARENTA-26');
    expect(text).not.toMatch(/blind|Duplicate/i);
    expect(text).toMatch(/entries\. The hash of the last \(SHA-256\):/);
    await page.goto(round);
    await see(page, 'Sample again: the lab refused 261123A-MW3-A.');
    await see(page, 'Sample again: the lab refused 261123A-MW3-M.');
    await page.goto(`${round}/book`);
    await see(page, 'Handed over');
    expect(await shows(page, 'set aside')).toBe(false);
  });

  it('is walked on a phone, too', async () => {
    await page.setViewport(phone);
    await page.goto(`${round}/custody`);
    await see(page, '2 to Costa Leste trace laboratory');
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
    await page.setViewport(desk);
  });
});
