import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser, type BrowserContext, type ElementHandle, type Page } from 'puppeteer-core';
import { clickable, labelled, patience, polling } from './find.ts';

export const desk = { width: 1280, height: 800 };
export const phone = { width: 390, height: 844, isMobile: true, hasTouch: true };

/**
 * Debian's Chromium without windows of its own: it does in a test two thirds of the work of the whole browser. Its program itself: what stands in
 * /usr/bin is a script, and to kill that leaves the browser alive.
 */
const shell = '/usr/lib/chromium/chromium-headless-shell';

export const freshProfile = (): string => mkdtempSync(join(tmpdir(), 'fonte-chromium-'));

/** Debian's Chromium, with a profile of its own unless one is given that it had before, and with further switches. */
export function openBrowser(profile = freshProfile(), more: readonly string[] = []): Promise<Browser> {
  return puppeteer.launch({
    executablePath: process.env['CHROMIUM'] ?? shell,
    userDataDir: profile,
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      // Compiling in further threads costs more than it saves where every core has work.
      '--js-flags=--single-threaded',
      ...more,
    ],
  });
}

/**
 * A page that is not put on the device, as in a browser that cannot: to put it there costs a tenth of all that a page does in a test. What is
 * about no signal, another version or another tab opens its pages itself.
 */
export async function plainPage(from: Browser | BrowserContext): Promise<Page> {
  const page = await from.newPage();
  await page.evaluateOnNewDocument(() => {
    delete (Navigator.prototype as { serviceWorker?: unknown }).serviceWorker;
  });
  return page;
}

/**
 * Takes the signal from a page, or gives it back. The service worker goes another way than its page and would send in between where a page is
 * loaded anew: on a device without a signal the browser does not call it.
 */
export async function signal(page: Page, isThere: boolean): Promise<void> {
  const state = isThere ? 'granted' : 'denied';
  await page.browserContext().setPermission(new URL(page.url()).origin, { permission: { name: 'background-sync' }, state });
  await page.setOfflineMode(!isThere);
}

/** Waits for text anywhere on the page; a pattern where a clock that goes on meanwhile is part of it. */
export async function see(page: Page, text: string | RegExp): Promise<void> {
  const isPattern = typeof text !== 'string';
  await page
    .waitForFunction(
      (wanted, asPattern) => (asPattern ? new RegExp(wanted).test(document.body.innerText) : document.body.innerText.includes(wanted)),
      { timeout: patience, polling },
      isPattern ? text.source : text,
      isPattern,
    )
    .catch(async () => {
      const shown = await page.evaluate(() => document.body.innerText);
      throw new Error(`“${String(text)}” is not on ${page.url()}:\n${shown}`);
    });
}

/** The address of the page, once it is one of this kind: words that two pages show do not say which of them stands there. */
export async function addressAt(page: Page, kind: RegExp): Promise<string> {
  await page.waitForFunction((wanted) => new RegExp(wanted).test(location.pathname), { timeout: patience, polling }, kind.source);
  return page.url();
}

/** Does something to an element anew where the page has drawn it anew in between. */
async function onWhatStands(work: () => Promise<void>): Promise<void> {
  const until = Date.now() + patience;
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (!/detached|not attached|not clickable/.test(String(error)) || Date.now() > until) throw error;
    }
  }
}

/** Clicks what has this accessible name, a button unless another role is given. */
export const click = (page: Page, name: string, role = 'button'): Promise<void> => onWhatStands(() => clickOnce(page, name, role));

async function clickOnce(page: Page, name: string, role: string): Promise<void> {
  const quick = await clickable(page, name, role);
  if (quick)
    // At once and not by its place, which may still move as the page draws: it was seen to be on top.
    return quick.evaluate((one) => {
      if (!one.isConnected) throw new Error('detached');
      one.focus();
      one.click();
    });
  const element = await page.locator(`aria/${name}[role="${role}"]`).setTimeout(patience).waitHandle();
  await page.waitForFunction(
    (one) => {
      if (!one.isConnected) throw new Error('detached');
      return !(one as HTMLButtonElement).disabled && !(one as HTMLElement).classList.contains('ant-btn-loading');
    },
    { timeout: patience, polling },
    element,
  );
  await element.evaluate((one) => one.scrollIntoView({ block: 'center' }));
  // A dialog that is closing may still lie over it.
  await page.waitForFunction(
    (one) => {
      // The page has drawn it anew meanwhile.
      if (!one.isConnected) throw new Error('detached');
      const { left, top, width, height } = one.getBoundingClientRect();
      return one.contains(document.elementFromPoint(left + width / 2, top + height / 2));
    },
    { timeout: patience, polling },
    element,
  );
  await element.click();
}

/** Types into the field with this label, in place of what stands there. */
export const type = (page: Page, label: string, text: string): Promise<void> => onWhatStands(() => typeOnce(page, label, text));

async function typeOnce(page: Page, label: string, text: string): Promise<void> {
  const field = (await labelled(page, label)) ?? (await page.locator(`aria/${label}[role="textbox"]`).setTimeout(patience).waitHandle());
  await field.evaluate((one) => one.scrollIntoView({ block: 'center' }));
  await field.click({ count: 3 });
  // The page may have moved under the mouse.
  if (!(await field.evaluate((one) => one === document.activeElement))) throw new Error(`${label}: not clickable yet`);
  await field.press('Backspace');
  // In one piece, as from a keyboard that completes words; key by key the sets of a purge are typed.
  const before = await field.evaluate((one) => (one as HTMLInputElement).value);
  await page.keyboard.sendCharacter(text);
  const after = await field.evaluate((one) => one.isConnected && (one as HTMLInputElement).value);
  if (after === false || (after === before && after.toLowerCase() !== text.toLowerCase())) throw new Error(`${label}: not clickable yet`);
}

/** Ticks the box with this text beside it. */
export async function tick(page: Page, text: string): Promise<void> {
  const label = await page.waitForFunction(
    (wanted) => [...document.querySelectorAll('label')].find((one) => one.innerText.includes(wanted)) ?? null,
    { timeout: patience, polling },
    text,
  );
  // Not by its place, which may still move as the page draws.
  await (label as unknown as ElementHandle<HTMLElement>).evaluate((one) => one.click());
}

/** Chooses a segment of a group by their names. */
export const choose = (page: Page, group: string, option: string): Promise<void> => onWhatStands(() => chooseOnce(page, group, option));

async function chooseOnce(page: Page, group: string, option: string): Promise<void> {
  const found = await page
    .waitForFunction(
      (name, text) => {
        const around = [...document.querySelectorAll('.ant-segmented, .ant-radio-group')].find(
          (one) => one.getAttribute('aria-label') === name && one.checkVisibility(),
        );
        return [...(around?.querySelectorAll('label') ?? [])].find((one) => one.innerText.trim().split('\n')[0] === text) ?? null;
      },
      { timeout: patience, polling },
      group,
      option,
    )
    .catch(async () => {
      const shown = await page.evaluate(() => document.body.innerText);
      throw new Error(`“${option}” of “${group}” is not on ${page.url()}:\n${shown}`);
    });
  const segment = found as unknown as ElementHandle<HTMLLabelElement>;
  // Looked at and clicked in one go: between the two the page may move, and a finger would be on something else.
  await segment.evaluate((one) => {
    if (!one.isConnected) throw new Error('detached');
    one.scrollIntoView({ block: 'center' });
    const { left, top, width, height } = one.getBoundingClientRect();
    if (!one.contains(document.elementFromPoint(left + width / 2, top + height / 2))) throw new Error('not clickable');
    one.click();
  });
  // Where the choice is made, it may be gone.
  const isChosen = (one: HTMLLabelElement) => !one.isConnected || /-(item-selected|wrapper-checked)/.test(one.className);
  await page
    .waitForFunction(isChosen, { timeout: 2000, polling }, segment)
    .catch(() => Promise.reject(new Error(`“${option}” of “${group}”: not clickable yet`)));
}

/** Chooses from the list with this accessible name what contains a text. */
export const option = (page: Page, list: string, text: string): Promise<void> => onWhatStands(() => optionOnce(page, list, text));

async function optionOnce(page: Page, list: string, text: string): Promise<void> {
  const box = await page.waitForFunction(
    // Nothing named within: the tool that runs the pictures would put a helper of its own beside it.
    (name) =>
      [...document.querySelectorAll<HTMLInputElement>('input[role=combobox]')].find(
        (one) => one.getAttribute('aria-label') === name || [...(one.labels ?? [])].some((label) => label.innerText.trim() === name),
      ) ?? null,
    { timeout: patience, polling },
    list,
  );
  const select = await (box as unknown as ElementHandle<HTMLInputElement>).evaluateHandle((one) => one.closest('.ant-select')!);
  await select.evaluate((one) => one.scrollIntoView({ block: 'center' }));
  await select.click();
  const find = (timeout: number) =>
    page.waitForFunction(
      (wanted) =>
        [...document.querySelectorAll<HTMLElement>('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option')].find(
          (one) => one.innerText.includes(wanted) && one.checkVisibility(),
        ) ?? null,
      { timeout, polling },
      text,
    );
  // Of a long list only what is in sight is drawn: the rest is found by typing.
  const isLong = await select.evaluate((one) => one.classList.contains('ant-select-show-search'));
  const found = await (
    isLong
      ? find(4000).catch(async () => {
          await page.keyboard.type(text);
          return find(12_000);
        })
      : find(12_000)
  )
    // A page that was drawn anew between the click and the list has taken the list away.
    .catch((error: unknown) => Promise.reject(new Error(`“${text}” does not stand in “${list}”: not clickable`, { cause: error })));
  await (found as unknown as ElementHandle<HTMLElement>).evaluate((one) => one.click());
  // Where several may be chosen, the list stays open.
  if (await select.evaluate((one) => one.classList.contains('ant-select-multiple'))) await page.keyboard.press('Escape');
}

/** Ticks the checkbox with this accessible name. */
export async function pick(page: Page, name: string): Promise<void> {
  const box = await page.waitForSelector(`input[type=checkbox][aria-label="${name}"], [aria-label="${name}"] input[type=checkbox]`, {
    timeout: patience,
  });
  await page.waitForFunction((one) => !(one as HTMLInputElement).disabled, { timeout: patience, polling }, box);
  await box!.evaluate((one) => one.click());
}

/** Clicks the first button with this text. */
export async function press(page: Page, text: string): Promise<void> {
  const found = await page.waitForFunction(
    (wanted) => [...document.querySelectorAll('button')].find((one) => one.innerText.trim() === wanted) ?? null,
    { timeout: patience, polling },
    text,
  );
  await (found as unknown as { asElement: () => { click: () => Promise<void> } }).asElement().click();
}

/** Whether text stands on the page now. */
export function shows(page: Page, text: string): Promise<boolean> {
  return page.evaluate((wanted) => document.body.innerText.includes(wanted), text);
}

/** How many px the page is wider than a phone's screen: more than none, and it scrolls sideways. */
export async function overflow(page: Page): Promise<number> {
  // Without touch, which would reload the page.
  await page.setViewport({ width: phone.width, height: phone.height });
  await new Promise((resolve) => {
    setTimeout(resolve, 200);
  });
  const over = (await page.evaluate(() => document.documentElement.scrollWidth)) - phone.width;
  await page.setViewport(desk);
  return over;
}
