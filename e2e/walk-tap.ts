import type { Page } from 'puppeteer-core';
import { choose, click, see, shows, tick } from './browser.ts';
import { confirmStep, measureStep, waitClock, fillNext } from './walk.ts';

export async function answerFitness(page: Page): Promise<void> {
  await see(page, 'Look at the tap');
  for (const item of ['Outlet faces down, clean and not leaking', 'No softener, filter or hose before it', 'The connection is in use'])
    await choose(page, item, 'Yes');
  await click(page, 'Done');
}

/** Looks at a tap before lead is taken, and finds nothing wrong. */
export async function answerLeadFitness(page: Page): Promise<void> {
  await see(page, 'Look at the tap and what leads to it');
  for (const item of [
    'People drink from this tap',
    'No softener or filter in the path, or it is bypassed',
    'The aerator is on, as people drink',
  ])
    await choose(page, item, 'Yes');
  await click(page, 'Done');
}

/** Chooses a way where the page asks which; where it goes by the way of the point before, that stays. */
export async function chooseWay(page: Page, title: string): Promise<void> {
  await page.waitForFunction(() =>
    ['Which way does the programme ask for?', 'Start at the tap'].some((text) => document.body.innerText.includes(text)),
  );
  if (await shows(page, 'Which way does the programme ask for?')) await tick(page, title);
  await see(page, 'Start at the tap');
}

/** Starts the protocol of bacteria in the network and goes on to its flush. */
export async function startAtTheTap(page: Page): Promise<void> {
  await chooseWay(page, 'Coliforms, distribution');
  await click(page, 'Start at the tap');
  await answerFitness(page);
  await confirmStep(page, 'Take off aerator and attachments');
  await confirmStep(page, 'Wash hands, put gloves on');
}

/** Bleach is rinsed off until there is no more chlorine than before. */
export async function rinseBleach(page: Page): Promise<void> {
  await waitClock(page, 'Open and rinse the disinfectant off');
  await measureStep(page, 'Measure free chlorine again', '0.30');
}

/** From the thin stream to the end of the protocol. */
export async function fillAndPutBack(page: Page, bottle: string): Promise<void> {
  await confirmStep(page, 'Set a stream as thin as a pencil, then leave the valve alone');
  await fillNext(page, bottle);
  await click(page, 'Done');
  await confirmStep(page, 'Bottle into the cooler, dark');
  await confirmStep(page, 'Put aerator and attachments back');
  await see(page, 'Protocol done');
}
