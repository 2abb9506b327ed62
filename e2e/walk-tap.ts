import type { Page } from 'puppeteer-core';
import { choose, click, see } from './browser.ts';
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

/** Starts the protocol and goes on to its flush. */
export async function startAtTheTap(page: Page): Promise<void> {
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
