import type { Page } from 'puppeteer-core';
import { click, see } from './browser.ts';
import * as walk from './walk.ts';

/** The demo's round up to where its five bottles are full and in the cooler. */
export async function fillTheRound(page: Page, address: string): Promise<void> {
  await walk.openToday(page, address);
  await click(page, 'Go on');
  await walk.arrive(page);
  await walk.readLevel(page, '7.512');
  await see(page, 'again');
  await walk.readLevel(page, '7.514');
  await see(page, 'Two readings agree');
  await click(page, 'On to the purge');
  await walk.setUpPurge(page);
  for (const [index, set] of walk.goodSets.entries()) await walk.readSet(page, index + 1, set);
  await walk.endPurge(page);
  for (const letter of ['M', 'N', 'A', 'G']) await walk.fillNext(page, `261123A-MW3-${letter}`);
  await walk.openToday(page, address);
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
}
