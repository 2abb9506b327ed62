import type { Page } from 'puppeteer-core';
import { protocols, stepsAt, stubStep, type Protocol, type Step, type StepAnswer } from '../core/src/tap/index.ts';
import type { Point } from '../core/src/registers/index.ts';
import { choose, click, see, shows, tick, type } from './browser.ts';
import { atStep, skip, useUnchecked } from './walk.ts';
import { patience } from './find.ts';

/* Any protocol of the tables, step by step on the real page: every answer that would make less of the sample is tried before the careful one. */

export const protocolNamed = (id: string): Protocol => protocols.newest.find((one) => one.id === id)!;

const gone = async (page: Page, text: string): Promise<void> => {
  await page.waitForFunction((one) => !document.body.innerText.includes(one), { timeout: patience, polling: 80 }, text);
};

/** What is said of a departure before it is written down. */
const effectSays = {
  noted: 'It is noted; the sample stays what it is.',
  special: 'The sample is a special one then, not for compliance.',
  invalid: 'The sample is then spoilt',
} as const;

/** Answers every check with no, one after the other, and sees what that would do; then all with yes. */
async function answerChecks(page: Page, { act }: Step): Promise<StepAnswer> {
  if (act.type !== 'checks') throw new Error(act.type);
  for (const { label } of act.items) await choose(page, label, 'Yes');
  for (const { label, stop, no = 'special' } of act.items) {
    await choose(page, label, 'No');
    await see(page, stop ? stop.say : effectSays[no]);
    await choose(page, label, 'Yes');
    await gone(page, stop ? stop.say : effectSays[no]);
  }
  await click(page, 'Done');
  return { type: 'checks', yes: act.items.map(({ id }) => id), no: [] };
}

async function measure(page: Page, { act, say }: Step, chlorine: string): Promise<StepAnswer> {
  if (act.type !== 'measure') throw new Error(act.type);
  const good = act.parameter === 'temperature' ? '17.4' : chlorine;
  await page.waitForSelector('.step-now input, .step-now .finding.stop');
  if (await shows(page, 'What it reads now would prove nothing')) await useUnchecked(page, 'Photometer');
  for (const stop of act.stops) {
    const bad = stop.aboveStep ? Number(chlorine) + 0.4 : stop.above === undefined ? 0 : stop.above + 0.5;
    await type(page, say, String(bad));
    // What holds of other water is no stop here.
    if (stop.where && (stop.where === 'disinfected') !== Number(chlorine) > 0) continue;
    if (stop.below === 'residual-minimum' && Number(chlorine) === 0) continue;
    await see(page, stop.say);
  }
  await type(page, say, good);
  for (const stop of act.stops) await gone(page, stop.say);
  await click(page, 'Done');
  return { type: 'measure', reading: { text: good, unit: act.unit } };
}

/** Lets a clock run as long as it must, and no longer than it may. */
async function runClock(page: Page, { act }: Step): Promise<StepAnswer> {
  if (act.type !== 'clock') throw new Error(act.type);
  await click(page, 'Start the clock');
  await page.waitForSelector('.countdown.big');
  await click(page, 'Stop early');
  await see(page, 'The clock asks for at least');
  let left = act.least;
  for (; left > 600; left -= 600) await skip(page, '10 min');
  for (; left > 0; left -= 60) await skip(page, '1 min');
  await see(page, 'long enough');
  await click(page, 'Done');
  return { type: 'clock' };
}

async function fillAll(page: Page): Promise<StepAnswer> {
  for (;;) {
    const label = await page.waitForFunction(
      () =>
        document.querySelector('.fill-card')?.getAttribute('aria-label') ??
        ([...document.querySelectorAll('.step-now button')].some((one) => one.textContent === 'Done') ? 'none' : false),
      { timeout: patience, polling: 80 },
    );
    const name = (await label.jsonValue()) as string;
    if (name === 'none') break;
    await click(page, 'Filled and capped');
    await page.waitForFunction((one) => document.querySelector('.fill-card')?.getAttribute('aria-label') !== one, {}, name);
  }
  await click(page, 'Done');
  return { type: 'fill' };
}

/** Keeps the number of the lab's stub of each bottle. */
async function keepStubs(page: Page): Promise<void> {
  const number = (row: number) => `48-22${row}`;
  const labels = await page.$$eval('label', (all) =>
    all.map((one) => one.innerText).filter((text) => text.startsWith('Number on the stub of')),
  );
  if (labels.length === 0) throw new Error('No stub is asked for.');
  for (const [row, label] of labels.entries()) {
    await type(page, label, number(row));
    await click(page, 'Keep the number');
    await see(page, `${label.replace('Number on the stub of', 'The stub of')} is ${number(row)}`);
  }
}

async function answer(page: Page, step: Step, chlorine: string): Promise<StepAnswer> {
  const { act, say } = step;
  switch (act.type) {
    case 'checks':
      return answerChecks(page, step);
    case 'choose': {
      const option = act.options.find(({ id }) => id === 'bleach') ?? act.options[0]!;
      await tick(page, option.label);
      await click(page, 'Done');
      return { type: 'choose', option: option.id };
    }
    case 'clock':
      return runClock(page, step);
    case 'measure':
      return measure(page, step, chlorine);
    case 'constant': {
      for (const text of ['17.9', '17.4', '17.4', '17.4']) {
        await type(page, say, text);
        await click(page, 'Add the reading');
      }
      await click(page, 'Done');
      return { type: 'constant', readings: [] };
    }
    case 'since': {
      await type(page, act.asks, '0');
      await see(page, act.stop.say);
      await type(page, act.asks, String(act.least / 3600));
      await gone(page, act.stop.say);
      await click(page, 'Done');
      return { type: 'since', lasted: { text: String(act.least / 3600), unit: 'h' } };
    }
    case 'times': {
      await click(page, 'Count one by one');
      // Nothing is said against a count that goes on; only who wants to end it is told.
      if (await shows(page, `At least ${act.least} times`)) throw new Error('A count that goes on was called short.');
      await click(page, 'Stop counting');
      await see(page, `At least ${act.least} times`);
      for (let time = 1; time < act.least; time++) await click(page, 'Once more');
      await gone(page, `At least ${act.least} times`);
      await click(page, 'Done');
      return { type: 'times', times: act.least };
    }
    case 'fill':
      return fillAll(page);
    default:
      if (step.id === stubStep) await keepStubs(page);
      await click(page, 'Done');
      return { type: 'confirm' };
  }
}

/** Runs a protocol that was started, from its first step to its end. @param chlorine what is measured wherever chlorine is */
export async function walkProtocol(page: Page, protocol: Protocol, point: Point, chlorine: string): Promise<void> {
  const answers = new Map<string, StepAnswer>();
  const next = () => stepsAt(protocol, point, answers).find(({ id }) => !answers.has(id));
  for (let step = next(); step; step = next()) {
    await atStep(page, step.say);
    answers.set(step.id, await answer(page, step, chlorine));
  }
  await see(page, 'Protocol done');
}
