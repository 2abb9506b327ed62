import { levelRead } from '@fonte/core/level';
import type { BookEntry } from '@fonte/core/book';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { choose, click, freshProfile, openBrowser, phone, see, shows, type } from './browser.ts';
import { ensureBuilt, start, type Running } from './harness.ts';
import { demoCaller, type Caller } from './people.ts';

/** Kills of the browser while somebody types and saves: few in `npm test`, two hundred in `npm run test:long`. */
const kills = Number(process.env['FONTE_TYPING_KILLS'] ?? 3);

/** ms after a key was pressed by which it is on its way to the disk. */
const toDisk = 500;

const field = '.typed.big input';
const profile = freshProfile();
let server: Running;
let browser: Browser;
let page: Page;
let caller: Caller;
let path: string;

async function openLevel(): Promise<void> {
  page = await browser.newPage();
  await page.setViewport(phone);
  await page.goto(server.address + path, { waitUntil: 'domcontentloaded' });
  await page.waitForSelector(field);
  if (!(await page.$('.ant-segmented[aria-label="The water is"] .ant-segmented-item-selected')))
    await choose(page, 'The water is', 'At rest');
}

async function killBrowser(): Promise<void> {
  browser.process()!.kill('SIGKILL');
  await new Promise((resolve) => {
    browser.once('disconnected', resolve);
  });
  browser = await openBrowser(profile);
}

const inField = () => page.$eval(field, (one) => one.value);
const overwrite = async () => {
  await page.click(field, { count: 3 });
  await page.keyboard.press('Backspace');
};
/** The levels that the server has. */
const levels = async () => {
  const entries = await caller.json<BookEntry[]>(path.replace(/^\/rounds\/([^/]+)\/.*$/, '/api/books/$1/entries'));
  return entries.flatMap((entry) => (levelRead.is(entry) ? [{ id: entry.id, depth: entry.payload.depth.text }] : []));
};
const written = async () => (await levels()).map(({ depth }) => depth);

beforeAll(async () => {
  ensureBuilt();
  [server, browser] = await Promise.all([start({ what: 'demo' }), openBrowser(profile)]);
  caller = await demoCaller(server);
  page = await browser.newPage();
  await page.setViewport(phone);
  await page.goto(server.address, { waitUntil: 'domcontentloaded' });
  await see(page, 'Tannery and market hall');
  path = await page.evaluate(() => document.querySelector<HTMLAnchorElement>('a[href^="/rounds/"]')!.getAttribute('href')!);
  const round = /\/rounds\/([^/]+)/.exec(path)![1]!;
  const [planned] = await caller.json<BookEntry[]>(`/api/books/${round}/entries`);
  const { visits } = planned!.payload as { visits: { id: string; point: { name: string; well?: object } }[] };
  path = `/rounds/${round}/at/${visits.find(({ point }) => point.well)!.id}/level`;
  await page.close();
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

/** Resolves once a write of this moment has been flushed: what was written to this origin before it has been, too. */
const writeProbe = () =>
  new Promise<void>((resolve) => {
    const opening = indexedDB.open('probe', 1);
    opening.onupgradeneeded = () => opening.result.createObjectStore('at');
    opening.onsuccess = () => {
      const writing = opening.result.transaction('at', 'readwrite', { durability: 'strict' });
      writing.objectStore('at').put(Date.now(), 'now');
      writing.oncomplete = () => {
        opening.result.close();
        resolve();
      };
    };
  });

/** What lies on the device unsent, with its state, for whoever looks for a number that is missing. */
const onDevice = (): Promise<string> =>
  page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const opening = indexedDB.open('fonte');
        opening.onsuccess = () => {
          const reading = opening.result.transaction('outbox').objectStore('outbox').getAll();
          reading.onsuccess = () => {
            opening.result.close();
            resolve(JSON.stringify(reading.result));
          };
        };
      }),
  );

describe.sequential('what is typed', () => {
  it('is written under another id where its own has been written with other words, and none is lost', async () => {
    await openLevel();
    await page.type(field, '7.4991');
    await click(page, 'Write it down');
    await see(page, 'Depth to water, again');
    await expect.poll(written, { timeout: 60_000 }).toEqual(['7.4991']);
    const [first] = await levels();
    // As a browser might bring it back: what was typed, under the id of an entry that stands.
    await page.type(field, '7.49');
    await page.evaluate((id) => {
      const name = Object.keys(sessionStorage).find((key) => key.startsWith('fonte.draft.level'))!;
      const draft = JSON.parse(sessionStorage.getItem(name)!) as { text: string; entry: string };
      const kept = JSON.parse(draft.text) as { id: string };
      sessionStorage.setItem(name, JSON.stringify({ ...draft, text: JSON.stringify({ ...kept, id }) }));
    }, first!.id);
    await page.reload({ waitUntil: 'domcontentloaded' });
    await page.waitForSelector(field);
    await overwrite();
    await type(page, 'Depth to water, again', '7.4992');
    await click(page, 'Write it down');
    await page.waitForFunction((one) => document.querySelector<HTMLInputElement>(one)?.value === '', {}, field);
    await expect.poll(written, { timeout: 60_000 }).toEqual(['7.4991', '7.4992']);
    await page.close();
  });

  it(`is saved once, offered or still there over ${kills} kills at random moments`, async () => {
    const saved: string[] = ['7.4991', '7.4992'];
    let [number, offered] = [0, 0];
    /** What was begun and not seen to be saved. */
    const begun = new Set<string>();
    for (let kill = 0; kill < kills; kill += 1) {
      await openLevel();
      await overwrite();
      let keys: { at: number; text: string }[] = [];
      let [isSaving, meant] = [false, ''];
      // A disk that a busy machine holds up keeps nothing: what was pressed since it last confirmed a write may be gone.
      let answeredAt = 0;
      const asking = (async () => {
        for (;;) {
          const askedAt = Date.now();
          await page.evaluate(writeProbe);
          answeredAt = askedAt;
          await new Promise((resolve) => {
            setTimeout(resolve, 50);
          });
        }
      })().catch(() => undefined);
      const typing = (async () => {
        for (;;) {
          const text = `7.5${String((number += 1)).padStart(4, '0')}`;
          [keys, isSaving, meant] = [[], false, text];
          begun.add(text);
          for (let length = 1; length <= text.length; length += 1) {
            await page.keyboard.sendCharacter(text[length - 1]!);
            keys.push({ at: Date.now(), text: text.slice(0, length) });
            await new Promise((resolve) => {
              setTimeout(resolve, Math.random() * 60);
            });
          }
          // What the page did not take nobody takes for typed: the hand sees an empty field.
          await page.waitForFunction(
            (one, whole) => document.querySelector<HTMLInputElement>(one)?.value === whole,
            { polling: 20 },
            field,
            text,
          );
          isSaving = true;
          await page.keyboard.press('Enter');
          await page.waitForFunction((one) => document.querySelector<HTMLInputElement>(one)?.value === '', { polling: 20 }, field);
          saved.push(text);
        }
      })().catch(() => undefined);
      await new Promise((resolve) => {
        setTimeout(resolve, 100 + Math.random() * 1900);
      });
      const safeBefore = answeredAt - toDisk;
      await killBrowser();
      await Promise.all([typing, asking]);
      await openLevel();
      const now = await inField();
      const last = keys.at(-1)?.text ?? '';
      const safe = keys.filter(({ at }) => at <= safeBefore).at(-1)?.text ?? '';
      await expect
        .poll(written, { timeout: 90_000 })
        .toEqual(expect.arrayContaining(saved))
        .catch(async (failure: unknown) => {
          console.log(`Not in the book after kill ${kill}; on the device: ${await onDevice()}`);
          throw failure;
        });
      if (isSaving && now === '' && !saved.includes(last)) {
        // It had been kept when the browser was killed: it goes out now. Or the page was held up since the first key, and never saw one.
        const goesOut = expect.poll(written, { timeout: safe === '' ? 15_000 : 60_000 }).toContain(last);
        if (
          await goesOut.then(
            () => true,
            (failure: unknown) => (safe === '' ? false : Promise.reject(failure as Error)),
          )
        )
          saved.push(last);
      } else if (now !== '') {
        offered += 1;
        const isOpen = [...begun].some((text) => !saved.includes(text) && text.startsWith(now));
        expect([now.startsWith(safe), isOpen], `${now} for ${meant}`).toEqual([true, true]);
        expect(await shows(page, 'and not written down')).toBe(true);
      } else if (!saved.includes(last)) expect(safe).toBe('');
      // What was written is never offered once more.
      expect(saved).not.toContain(now);
      await page.close();
    }
    const all = await written();
    expect([...all].sort()).toEqual([...new Set(saved)].sort());
    console.log(`${kills} kills of the browser while typing: ${saved.length} saved, each once; ${offered} offered again`);
  }, 3_600_000);
});
