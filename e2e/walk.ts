import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { choose, click, see, shows, tick, type } from './browser.ts';
import { patience, polling } from './find.ts';

export { arrive } from './walk-arrive.ts';
export { answerFitness, answerLeadFitness, chooseWay, fillAndPutBack, rinseBleach, startAtTheTap } from './walk-tap.ts';
export { endPurge, goodSets, purgeUntilStable, readSet, setUpPurge, typeSet } from './walk-purge.ts';

/** The steps a technician takes through the demo's round, each on the real page. Used by the test and for pictures. */

export async function openToday(page: Page, address: string): Promise<void> {
  await page.goto(address, { waitUntil: 'domcontentloaded' });
  await see(page, 'Tannery and market hall');
}

export async function skip(page: Page, by: '1 min' | '10 min' | '1 h' | '1 d'): Promise<void> {
  // By its name and not by its place: the bar may shift while the page still loads, and another button would be under the mouse.
  const name = `Move the demo clock on by ${by}`;
  await page.waitForSelector(`.skip button[aria-label="${name}"]:not(:disabled)`);
  await page.$eval(`.skip button[aria-label="${name}"]`, (one) => (one as HTMLElement).click());
  await page.waitForFunction(() => ![...document.querySelectorAll('.skip button')].some((one) => (one as HTMLButtonElement).disabled));
}

/** From the first page to what runs: not by its place, which moves as the page draws, and until that page stands there. */
export async function openLive(page: Page): Promise<void> {
  const tile = await page.waitForSelector('.tile.live');
  await tile!.evaluate((one) => (one as HTMLElement).click());
  await page.waitForFunction(() => location.pathname !== '/', { timeout: patience, polling });
}

/** Lets some minutes pass on the demo's clock: the page is told with the last of them. */
export async function pass(page: Page, minutes: number): Promise<void> {
  const body = JSON.stringify({ seconds: (minutes - 1) * 60 });
  await page.evaluate(
    (sent) =>
      fetch('/api/demo/clock', { method: 'POST', headers: { 'content-type': 'application/json' }, body: sent }).then(() => undefined),
    body,
  );
  await skip(page, '1 min');
}

/** Waits until no dialog is on its way out: what fades is neither read nor judged. */
export async function closed(page: Page): Promise<void> {
  await page.waitForFunction(() => ![...document.querySelectorAll('.ant-modal-wrap')].some((dialog) => dialog.checkVisibility()));
}

/** Chooses something in the settings. */
export async function set(page: Page, group: string, option: string): Promise<void> {
  await click(page, 'Settings');
  await choose(page, group, option);
  await click(page, 'Close');
  await closed(page);
}

export async function readLevel(page: Page, text: string): Promise<void> {
  const field = '.ant-form-item:has(.typed.big) label';
  await page.waitForSelector(field);
  const label = await page.$eval(field, (one) => one.textContent ?? '');
  await type(page, label, text);
  const asked = await page.evaluate(() => document.querySelectorAll('.finding, [role=alert], .ant-form-item-explain-error').length);
  // The state of the well is said once, and stays for the next reading.
  if (!(await page.$('.ant-segmented[aria-label="The water is"] .ant-segmented-item-selected')))
    await choose(page, 'The water is', 'At rest');
  await click(page, 'Write it down');
  // Written once the field is empty for the next one; or something is asked about it.
  const answered = (before: number) =>
    document.querySelector<HTMLInputElement>('.typed.big input')?.value === '' ||
    document.querySelectorAll('.finding, [role=alert], .ant-form-item-explain-error').length > before;
  await page.waitForFunction(answered, { timeout: patience, polling }, asked).catch(() => undefined);
}

export async function fillNext(page: Page, id: string): Promise<void> {
  await see(page, id);
  await click(page, 'Filled and capped');
  await page.waitForFunction((label) => document.querySelector('.fill-card')?.getAttribute('aria-label') !== `Bottle ${label}`, {}, id);
}

/** Fills the field blank of a visit, before its water is touched. */
export async function fillFieldBlank(page: Page): Promise<void> {
  await click(page, 'Fill', 'link');
  const isBlank = () => /-FR$/.test(document.querySelector('.fill-card .label-like, .label-like')?.textContent ?? '');
  await page.waitForFunction(isBlank, { timeout: patience, polling });
  await click(page, 'Filled and capped');
  await page.waitForFunction(() => !/-FR$/.test(document.querySelector('.label-like')?.textContent ?? ''), { timeout: patience, polling });
}

/** Waits until a step of a protocol is the one in hand: the list of steps names it before. */
export async function atStep(page: Page, say: string): Promise<void> {
  await page
    .waitForFunction((wanted) => document.querySelector('.step-say')?.textContent === wanted, { timeout: patience, polling }, say)
    .catch(async () => {
      const step = await page.evaluate(() => document.querySelector('.step-say')?.textContent ?? document.body.innerText);
      throw new Error(`The step is not “${say}” but: ${step}`);
    });
}

export async function confirmStep(page: Page, say: string): Promise<void> {
  await atStep(page, say);
  await click(page, 'Done');
}

export async function waitClock(page: Page, say: string, wait = () => skip(page, '10 min')): Promise<void> {
  await atStep(page, say);
  await click(page, 'Start the clock');
  await page.waitForSelector('.countdown.big');
  await wait();
  await see(page, 'so far: long enough');
  await click(page, 'Done');
}

/** Says that what was asked about is so. */
export const said = (page: Page): Promise<void> => tick(page, 'It is so');

/** Plans the round that the form holds; where its lab is shut on the day on which the test runs, that is so. */
export async function planIt(page: Page): Promise<void> {
  await click(page, 'Plan it');
  const came = await page.waitForFunction(
    () => (location.pathname !== '/rounds/new' ? 'planned' : document.body.innerText.includes('It is so') ? 'asked' : null),
    { timeout: patience, polling: 80 },
  );
  if ((await came.jsonValue()) !== 'asked') return;
  await said(page);
  await click(page, 'Plan it');
}

/** Opens what lies folded under a line. */
export async function unfold(page: Page, line: string): Promise<void> {
  const summary = await page.waitForFunction(
    (wanted) => [...document.querySelectorAll('summary')].find((one) => one.textContent === wanted && one.checkVisibility()) ?? null,
    { timeout: patience, polling: 80 },
    line,
  );
  await (summary as unknown as ElementHandle<HTMLElement>).evaluate((one) => {
    (one.parentElement as HTMLDetailsElement).open = true;
  });
}

/** Uses an instrument that was not checked, and says why. */
export async function useUnchecked(page: Page, instrument: string): Promise<void> {
  await click(page, `Use it without a good check: ${instrument}`);
  await type(page, 'Why', 'checked at the works this morning');
  await click(page, 'Use it all the same');
  await closed(page);
}

export async function measureStep(page: Page, label: string, text: string, button = 'Done'): Promise<void> {
  await atStep(page, label);
  if (await shows(page, 'What it reads now would prove nothing')) await useUnchecked(page, 'Photometer');
  await type(page, label, text);
  await click(page, button);
}

export async function chooseDisinfection(page: Page, option: string): Promise<void> {
  await see(page, 'Choose how to disinfect the outlet');
  const choice = await page.waitForFunction(
    (wanted) => [...document.querySelectorAll<HTMLLabelElement>('.choice')].find((one) => one.innerText.includes(wanted)) ?? null,
    { timeout: patience, polling: 80 },
    option,
  );
  await (choice as unknown as ElementHandle<HTMLLabelElement>).evaluate((one) => one.click());
  await click(page, 'Done');
}

export async function signOver(page: Page, { temperature, seal }: { temperature: string; seal: string }): Promise<void> {
  await type(page, 'In the box now', temperature);
  await type(page, 'Seal number', seal);
  await type(page, 'Taken by', 'Intake desk');
  const count = await page.evaluate(() => /(\d+) bottles? on the form/.exec(document.body.innerText)?.[1] ?? '');
  await type(page, 'Bottles counted by who takes them', count);
  await type(page, 'Sign as Inês Faria', 'Inês Faria');
}

/** Takes a file in, as if it had been chosen. */
export async function takeIn(page: Page, name: string, text: string): Promise<void> {
  await putIn(page, name, text);
  await see(page, name);
}

/** Chooses a file of a text for the first place on the page that takes one. */
export async function putIn(page: Page, name: string, text: string): Promise<void> {
  await page.waitForSelector('input[type=file]');
  await page.evaluate(
    (called, content) => {
      const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
      const files = new DataTransfer();
      files.items.add(new File([content], called));
      input.files = files.files;
      input.dispatchEvent(new Event('change', { bubbles: true }));
    },
    name,
    text,
  );
}

/** Takes a picture of one colour, saying before what it shows. */
export async function takePicture(page: Page, shows: string): Promise<void> {
  await type(page, 'What it shows, before you take it', shows);
  await choosePicture(page);
}

/** Chooses a picture of one colour for the first place on the page that takes one. */
export async function choosePicture(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(400, 300);
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = `rgb(${Date.now() % 256} ${(Date.now() >> 8) % 256} 90)`;
    pen.fillRect(0, 0, 400, 300);
    const chosen = new DataTransfer();
    chosen.items.add(new File([await canvas.convertToBlob({ type: 'image/png' })], 'a.png', { type: 'image/png' }));
    const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
    input.files = chosen.files;
    input.dispatchEvent(new Event('change', { bubbles: true }));
  });
}

/** The file that a page saves in a folder when something is done. */
export async function savedBy(page: Page, folder: string, work: () => Promise<void>): Promise<string> {
  const session = await page.createCDPSession();
  await session.send('Browser.setDownloadBehavior', {
    behavior: 'allow',
    downloadPath: folder,
    browserContextId: page.browserContext().id!,
  });
  await work();
  for (;;) {
    const file = readdirSync(folder).find((name) => !name.endsWith('.crdownload'));
    if (file) return join(folder, file);
    await new Promise((resolve) => {
      setTimeout(resolve, 100);
    });
  }
}

/** Waits until nothing lies on the device that the server does not have, whichever tab has written it. */
export async function handedIn(page: Page): Promise<void> {
  const waiting = () =>
    page.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const opening = indexedDB.open('fonte');
          opening.onsuccess = () => {
            const disk = opening.result;
            const counting = disk.transaction('outbox').objectStore('outbox').count();
            counting.onsuccess = () => {
              disk.close();
              resolve(counting.result);
            };
          };
        }),
    );
  const until = Date.now() + 30_000;
  while ((await waiting()) > 0) {
    if (Date.now() > until) throw new Error('Something is still only on this device.');
    await new Promise((resolve) => {
      setTimeout(resolve, 200);
    });
  }
}
