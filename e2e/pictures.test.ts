import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { click, desk, openBrowser, overflow, see, type, plainPage } from './browser.ts';
import { start, type Running } from './harness.ts';

let server: Running;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  server = await start({ what: 'demo' });
  browser = await openBrowser();
  page = await plainPage(browser);
  await page.setViewport(desk);
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

/** A picture drawn by the page itself, as a camera would hand it over. */
async function choosePicture(name: string, width: number, height: number, colour: string): Promise<void> {
  await page.evaluate(
    async (file, wide, high, fill) => {
      const canvas = new OffscreenCanvas(wide, high);
      const pen = canvas.getContext('2d')!;
      pen.fillStyle = fill;
      pen.fillRect(0, 0, wide, high);
      const chosen = new DataTransfer();
      chosen.items.add(new File([await canvas.convertToBlob({ type: 'image/png' })], file, { type: 'image/png' }));
      const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
      input.files = chosen.files;
      input.dispatchEvent(new Event('change', { bubbles: true }));
    },
    name,
    width,
    height,
    colour,
  );
}

async function chooseText(): Promise<void> {
  await page.evaluate(() => {
    const chosen = new DataTransfer();
    chosen.items.add(new File(['<svg/>'], 'outlet.jpg', { type: 'image/jpeg' }));
    const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
    input.files = chosen.files;
    input.dispatchEvent(new Event('change', { bubbles: true }));
  });
}

const shown = () => page.$$eval('.pictures img', (all) => all.map((one) => [one.alt, one.naturalWidth, one.naturalHeight]));

describe.sequential('pictures of a visit', () => {
  it('are kept with what they show, smaller than the camera makes them', async () => {
    await page.goto(server.address, { waitUntil: 'domcontentloaded' });
    await click(page, 'The whole round', 'link');
    await click(page, 'Market hall', 'link');
    await click(page, 'Pictures', 'link');
    await see(page, 'No picture of this visit yet');
    await type(page, 'What it shows, before you take it', 'outlet from below');
    await choosePicture('IMG_0001.png', 3200, 2400, '#246');
    await see(page, 'Pictures (1)');
    await page.waitForFunction(() => document.querySelector<HTMLImageElement>('.pictures img')?.naturalWidth);
    expect(await shown()).toEqual([['outlet from below', 1600, 1200]]);
    expect(await page.$eval('.picture-ask input', (one) => one.value)).toBe('');
    await page.waitForFunction(() => !document.querySelector('.ant-btn-loading'));
    expect(await seriousBarriers(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await click(page, 'Field book', 'link');
    await see(page, 'with its pictures and files');
    const kept = await page.evaluate(async () => {
      const link = [...document.querySelectorAll('a')].find((one) => one.textContent === 'with its pictures and files')!;
      return (await (await fetch(link.href)).json()) as { files: Record<string, string> };
    });
    expect(Object.values(kept.files).map((file) => file.slice(0, 4))).toEqual(['/9j/']);
    await page.goBack();
  });

  it('carry an arrow to the outlet, drawn or moved by keys, here and on the point’s page', async () => {
    await click(page, 'Draw an arrow');
    await see(page, 'Which one is it?');
    await page.focus('.picture-drawn');
    await page.keyboard.press('ArrowLeft');
    const tips = () => page.$$eval('.pointed path', (all) => all.map((one) => one.getAttribute('d')!.split('L')[1]!.split(' ')[0]));
    expect((await tips())[0]).toBe('0.48,0.5');
    const { x, y, width, height } = (await (await page.$('.picture-drawn'))!.boundingBox())!;
    await page.mouse.move(x + width * 0.2, y + height * 0.8);
    await page.mouse.down();
    await page.mouse.move(x + width * 0.6, y + height * 0.25, { steps: 3 });
    await page.mouse.up();
    expect((await tips())[0]).toMatch(/^0\.(59|60)\d*,0\.(24|25)/);
    await click(page, 'Keep the arrow');
    await see(page, 'Draw the arrow again');
    await page.waitForFunction(() => !document.querySelector('.ant-modal-wrap:not([style*="none"])'));
    expect(await seriousBarriers(page)).toEqual([]);
    const visit = page.url();
    await page.goto(`${server.address}/points`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Market hall', 'link');
    await page.waitForSelector('.point-pictures .pointed svg');
    await page.goto(visit, { waitUntil: 'domcontentloaded' });
    await see(page, 'Pictures (1)');
  });

  it('refuse what is no picture, and keep what was typed', async () => {
    await type(page, 'What it shows, before you take it', 'label of the bottle');
    await chooseText();
    await see(page, 'cannot read the file as a picture');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'Pictures (1)');
    expect(await page.$eval('.picture-ask input', (one) => one.value)).toBe('label of the bottle');
  });

  it('say so where the same one is taken twice, and go only by being struck', async () => {
    await choosePicture('IMG_0001.png', 3200, 2400, '#246');
    await see(page, 'This picture stands in the book already.');
    await choosePicture('IMG_0002.png', 300, 400, '#642');
    await see(page, 'Pictures (2)');
    await click(page, 'Strike picture label of the bottle');
    await type(page, 'Why', 'a person is on it');
    await click(page, 'Strike it');
    await see(page, 'Pictures (1)');
  });
});
