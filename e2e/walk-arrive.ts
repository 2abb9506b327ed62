import type { Page } from 'puppeteer-core';
import { click, see, shows } from './browser.ts';
import { patience } from './find.ts';

/** Looks round, and finds the place fit: the work comes next. */
export async function arrive(page: Page): Promise<void> {
  await see(page, 'What may hurt you here?');
  await pressAny(page, /^I looked round/);
  await page.waitForFunction(() => !document.body.innerText.includes('What may hurt you here?'));
  if (await shows(page, 'Is this place fit?')) await click(page, 'Nothing wrong: it is fit');
  // The page goes on by itself once it is written down: whoever goes elsewhere before is taken along.
  await page.waitForFunction(() => !location.pathname.endsWith('/arrive'), { timeout: patience, polling: 80 });
}

/** Presses the button whose words fit. */
async function pressAny(page: Page, words: RegExp): Promise<void> {
  const name = await page.waitForFunction(
    (source: string) =>
      [...document.querySelectorAll('button')].map((one) => one.innerText.trim()).find((text) => new RegExp(source).test(text)),
    {},
    words.source,
  );
  await click(page, (await name.jsonValue())!);
}
