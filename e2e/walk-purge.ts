import type { Page } from 'puppeteer-core';
import { choose, click, see, type } from './browser.ts';
import { readLevel, skip } from './walk.ts';

export async function setUpPurge(page: Page): Promise<void> {
  await see(page, 'True inside diameter');
  await choose(page, 'Purge water goes', 'Into a container');
  await click(page, 'Start the purge');
  await see(page, 'Set 1');
}

export const goodSets = [
  { pumped: '24', temperature: '16.8', ph: '6.88', conductivity: '584', oxygen: '3.95', turbidity: '14.0' },
  { pumped: '48', temperature: '16.2', ph: '6.91', conductivity: '576', oxygen: '3.62', turbidity: '8.9' },
  { pumped: '60', temperature: '16.1', ph: '6.92', conductivity: '573', oxygen: '3.55', turbidity: '8.5' },
  { pumped: '73', temperature: '16.1', ph: '6.92', conductivity: '572', oxygen: '3.51', turbidity: '8.2' },
];

/** Types a set with the keyboard alone: Enter moves from field to field, and on the last one writes the set down. */
export async function readSet(
  page: Page,
  number: number,
  set: (typeof goodSets)[number],
  wait = () => skip(page, '10 min'),
): Promise<void> {
  // The criterion asks for three minutes between sets.
  if (number > 1) await wait();
  await typeSet(page, number, set);
  await page.keyboard.press('Enter');
  await see(page, `Set ${number + 1}`);
}

/** Types all numbers of a set; another Enter would write it down. */
export async function typeSet(page: Page, number: number, set: (typeof goodSets)[number]): Promise<void> {
  await see(page, `Set ${number}`);
  // The total stands first where it is asked for, and last where flow and time tell it.
  const isTotalFirst = (await page.$eval('.number-rows label', (one) => one.textContent)) === 'Pumped so far';
  const read = [set.temperature, set.ph, set.conductivity, set.oxygen, set.turbidity, ''];
  const [first, ...others] = isTotalFirst ? [set.pumped, ...read] : [...read, set.pumped];
  await type(page, isTotalFirst ? 'Pumped so far' : 'Temperature', first);
  for (const value of others) {
    await page.keyboard.press('Enter');
    await page.keyboard.type(value);
  }
}

export async function endPurge(page: Page): Promise<void> {
  await choose(page, 'The flow cell is', 'Detached');
  await choose(page, 'The flow for the bottles', 'Slowed');
  await type(page, 'Slowed to', '150');
  await click(page, 'End and fill');
  await see(page, 'Next bottle');
}

/** From two levels that agree to the last of the sets: all but the end of the purge. */
export async function purgeUntilStable(page: Page): Promise<void> {
  await readLevel(page, '7.512');
  await see(page, 'the last was 7.512 m');
  await readLevel(page, '7.514');
  await click(page, 'On to the purge');
  await setUpPurge(page);
  for (const [index, set] of goodSets.entries()) await readSet(page, index + 1, set);
}
