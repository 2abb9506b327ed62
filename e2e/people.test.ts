import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newId, writeEntry, type BookEntry } from '@fonte/core/book';
import { kitGiven } from '@fonte/core/kit';
import { roundPlanned } from '@fonte/core/plan';
import { personRegistered, pointRegistered, type Person } from '@fonte/core/registers';
import { editionsOn } from '@fonte/core/round';
import type { Browser, BrowserContext, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { signed } from '../core/test/keys.ts';
import { tapPoint, wellPoint } from '../core/test/script.ts';
import { seriousBarriers } from './axe.ts';
import { click, desk, openBrowser, phone, see, shows, type, signal } from './browser.ts';
import { ensureBuilt, start, type Running } from './harness.ts';
import { firstCaller, passphrase, type Caller } from './people.ts';
import * as walk from './walk.ts';
import { patience } from './find.ts';

let server: Running;
let browser: Browser;
let caller: Caller;
/** A tablet that two people share, a reader's desk, and another phone. */
let tablet: Page;
let phoneOfRui: Page;
let address: string;
const [round, kit] = [newId(Date.now()), newId(Date.now())];
const visits = { well: newId(Date.now()), tap: newId(Date.now()), home: newId(Date.now()) };
const secrets = { ines: 'goats shut the gate', reader: 'everything and nothing' };

const personOf = (name: string, initials: string, role: Person['role']): Person => ({ id: newId(Date.now()), name, initials, role });
const ines = personOf('Inês Faria', 'IF', 'technician');
const teresa = personOf('Teresa Pinho', 'TP', 'reader');
const home = personOf('House at the bend', 'HB', 'householder');

const pen = (book: string) => ({ book, author: caller.person, device: caller.device, now: Date.now(), offset: 0 });
const plan = (
  book: string,
  code: string,
  at: { id: string; point: typeof wellPoint | typeof tapPoint; analyses: ('coliforms' | 'lead')[] }[],
) => {
  const today = new Date().toISOString().slice(0, 10);
  const said = {
    name: `Round ${code}`,
    code,
    system: 'Lomba Velha',
    date: today,
    zone: 'UTC',
    lab: null,
    editions: editionsOn(today),
    visits: at,
  };
  return writeEntry(pen(book), roundPlanned, said);
};
const linkFor = async (person: Person, body: object = {}) => {
  const { token } = (await (await caller.post(`/api/people/${person.id}/invitation`, body)).json()) as { token: string };
  return `${address}/join#${token}`;
};
const pageIn = async (context: BrowserContext, viewport: typeof desk | typeof phone, path: string) => {
  const page = await context.newPage();
  await page.setViewport(viewport);
  await page.goto(path.startsWith('http') ? path : address + path, { waitUntil: 'domcontentloaded' });
  return page;
};
const inBook = (book: string) => caller.json<BookEntry[]>(`/api/books/${book}/entries`);
const levelPage = (page: Page) => page.goto(`${address}/rounds/${round}/at/${visits.well}/level`, { waitUntil: 'domcontentloaded' });
/** From here on the page opens without a network. */
const installed = (page: Page) => page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
const comeIn = async (page: Page, name: string, secret: string) => {
  await type(page, 'Your name', name);
  await type(page, 'Passphrase', secret);
  await click(page, 'Sign in');
};

beforeAll(async () => {
  ensureBuilt();
  [server, browser] = await Promise.all([start({ what: 'server' }), openBrowser()]);
  // A passkey is bound to a name, and 127.0.0.1 is none.
  address = server.address.replace('127.0.0.1', 'localhost');
  caller = await firstCaller(server);
  const entries = [
    ...[ines, teresa, home].map((person) => writeEntry(pen(person.id), personRegistered, person)),
    writeEntry(pen(wellPoint.id), pointRegistered, wellPoint),
    writeEntry(pen(tapPoint.id), pointRegistered, tapPoint),
    plan(round, 'SHARED', [
      { id: visits.well, point: wellPoint, analyses: [] },
      { id: visits.tap, point: tapPoint, analyses: ['coliforms'] },
    ]),
    plan(kit, 'KIT', [{ id: visits.home, point: tapPoint, analyses: ['lead'] }]),
    writeEntry(pen(kit), kitGiven, {
      person: home.id,
      name: home.name,
      ways: { 'lead-timed': 'lead-random' },
      pickUp: { date: '2026-12-01', from: '08:00', to: '10:00', where: 'beside the door' },
      call: '',
    }),
  ].map((entry) => signed(entry));
  const { results } = (await (await caller.post('/api/entries', { entries })).json()) as { results: { status: number }[] };
  expect(results.every(({ status }) => status === 201)).toBe(true);
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

describe.sequential('two people who share a tablet', () => {
  it('come in by a link that works once, and sign what they write', async () => {
    const context = await browser.createBrowserContext();
    const link = await linkFor(ines);
    tablet = await pageIn(context, phone, link);
    await see(tablet, 'Welcome, Inês Faria');
    expect(await seriousBarriers(tablet)).toEqual([]);
    await click(tablet, 'Come in');
    await see(tablet, 'At least 12 letters');
    await type(tablet, 'Passphrase', secrets.ines);
    await type(tablet, 'Name of this device', 'Yellow tablet');
    await click(tablet, 'Come in');
    await see(tablet, 'Round SHARED');
    const again = await pageIn(await browser.createBrowserContext(), phone, link);
    await see(again, 'This link does not work');
    await again.close();
    await levelPage(tablet);
    await walk.readLevel(tablet, '7.400');
    await see(tablet, '7.400');
  });

  it('set a PIN each; the second signs in beside the first', async () => {
    await tablet.goto(`${address}/me`, { waitUntil: 'domcontentloaded' });
    await click(tablet, 'Set a PIN');
    await type(tablet, 'PIN', '1234');
    await click(tablet, 'Set it');
    await see(tablet, 'Too easy to guess.');
    await type(tablet, 'PIN', '2580');
    await click(tablet, 'Set it');
    await see(tablet, 'A PIN is set here');
    await walk.closed(tablet);
    expect(await seriousBarriers(tablet)).toEqual([]);
    await click(tablet, 'IF');
    await click(tablet, 'Somebody else signs in');
    await type(tablet, 'Your name', 'Rui Vale');
    await type(tablet, 'Passphrase', passphrase);
    await click(tablet, 'Sign in');
    await see(tablet, 'Rui Vale');
    await walk.closed(tablet);
    await levelPage(tablet);
    await walk.readLevel(tablet, '7.402');
    await see(tablet, '7.402');
    const writers = async () => (await inBook(round)).filter(({ kind }) => kind === 'level-read');
    await expect.poll(async () => (await writers()).map(({ author }) => author), { timeout: patience }).toEqual([ines.id, caller.person]);
    const [hers, his] = await writers();
    expect(hers!.device).toBe(his!.device);
    await installed(tablet);
  });

  it('change by PIN, also without a signal; a guessed one is locked', async () => {
    await walk.handedIn(tablet);
    await signal(tablet, false);
    await click(tablet, 'RV');
    await click(tablet, 'Inês Faria, technician');
    await type(tablet, 'PIN of Inês Faria', '9999');
    await click(tablet, 'Go on as Inês Faria');
    await see(tablet, 'That is not the PIN.');
    await type(tablet, 'PIN of Inês Faria', '2580');
    await click(tablet, 'Go on as Inês Faria');
    await walk.closed(tablet);
    await levelPage(tablet);
    await walk.readLevel(tablet, '7.401');
    await see(tablet, '1 entry only on this device');
    await signal(tablet, true);
    await tablet.waitForFunction(() => !document.body.innerText.includes('only on this device'), { timeout: 30_000, polling: 200 });
    expect((await inBook(round)).at(-1)).toMatchObject({ kind: 'level-read', author: ines.id });
    await tablet.reload({ waitUntil: 'domcontentloaded' });
    await click(tablet, 'IF');
    // The second has set no PIN here.
    await click(tablet, 'Rui Vale, coordinator');
    await type(tablet, 'PIN of Rui Vale', '0000');
    await click(tablet, 'Go on as Rui Vale');
    await see(tablet, 'No PIN is set on this device. The passphrase opens it.');
    await click(tablet, 'Close');
    await walk.closed(tablet);
  });

  it('are signed out from elsewhere, and lose nothing: what they write meanwhile waits until somebody signs in', async () => {
    await walk.handedIn(tablet);
    await signal(tablet, false);
    await levelPage(tablet);
    await walk.readLevel(tablet, '7.399');
    await see(tablet, '1 entry only on this device');
    // Meanwhile she changes her passphrase elsewhere, which ends every other session.
    const elsewhere = await pageIn(await browser.createBrowserContext(), desk, '/');
    await comeIn(elsewhere, 'Inês Faria', secrets.ines);
    await see(elsewhere, 'Round SHARED');
    await elsewhere.goto(`${address}/me`, { waitUntil: 'domcontentloaded' });
    await click(elsewhere, 'Change the passphrase');
    await type(elsewhere, 'The one you have', secrets.ines);
    secrets.ines = 'wasps along the wall';
    await type(elsewhere, 'The new one', secrets.ines);
    await click(elsewhere, 'Change it');
    await walk.closed(elsewhere);
    await signal(tablet, true);
    await see(tablet, '1 entry is only on this device. Nothing is lost');
    await comeIn(tablet, 'Inês Faria', secrets.ines);
    const last = async () => (await inBook(round)).at(-1);
    await expect.poll(last, { timeout: 30_000 }).toMatchObject({ author: ines.id, payload: { depth: { text: '7.399' } } });
    await elsewhere.close();
  });
});

describe.sequential('two devices that were a day apart on one round', () => {
  it('write without a signal, one of them that the round is given up, and then both see the same', async () => {
    phoneOfRui = await pageIn(await browser.createBrowserContext(), phone, '/');
    await comeIn(phoneOfRui, 'Rui Vale', passphrase);
    await see(phoneOfRui, 'Round SHARED');
    await phoneOfRui.goto(`${address}/rounds/${round}`, { waitUntil: 'domcontentloaded' });
    await see(phoneOfRui, 'Abandon this round');
    await installed(phoneOfRui);
    await tablet.bringToFront();
    await levelPage(tablet);
    await see(tablet, '7.399');
    await Promise.all([signal(tablet, false), signal(phoneOfRui, false)]);
    await walk.readLevel(tablet, '7.411');
    await see(tablet, '1 entry only on this device');
    await phoneOfRui.bringToFront();
    await click(phoneOfRui, 'Abandon this round');
    await type(phoneOfRui, 'Why', 'storm from the west');
    await click(phoneOfRui, 'Abandon it');
    await see(phoneOfRui, '1 entry only on this device');
    await Promise.all([signal(tablet, true), signal(phoneOfRui, true)]);
    for (const page of [tablet, phoneOfRui]) {
      await page.bringToFront();
      await page.waitForFunction(() => !document.body.innerText.includes('only on this device'), { timeout: 30_000, polling: 200 });
      await page.goto(`${address}/rounds/${round}/book`, { waitUntil: 'domcontentloaded' });
      await see(page, 'storm from the west');
      await see(page, '7.411');
    }
    const text = (page: Page) => page.$eval('main', (main) => main.innerText);
    expect(await text(tablet)).toBe(await text(phoneOfRui));
  });

  it('hand a book on as a file when one is about to die', async () => {
    await walk.handedIn(tablet);
    await tablet.bringToFront();
    // A round that was abandoned takes nothing more before somebody resumes it and says why.
    await tablet.goto(`${address}/rounds/${round}`, { waitUntil: 'domcontentloaded' });
    await click(tablet, 'Resume the round SHARED');
    await type(tablet, 'Why', 'the storm is over');
    await click(tablet, 'Strike it');
    await walk.closed(tablet);
    await see(tablet, 'Abandon this round');
    await walk.handedIn(tablet);
    await signal(tablet, false);
    await tablet.goto(`${address}/rounds/${round}/at/${visits.tap}/pictures`);
    await see(tablet, 'No picture of this visit yet');
    await walk.takePicture(tablet, 'outlet from below');
    await see(tablet, 'outlet from below');
    await tablet.goto(`${address}/outbox`);
    await see(tablet, '1 entry is only on this device');
    expect(await seriousBarriers(tablet)).toEqual([]);
    const folder = mkdtempSync(join(tmpdir(), 'fonte-parcel-'));
    const saved = await walk.savedBy(tablet, folder, () => click(tablet, 'Give it to a colleague as a file'));
    await phoneOfRui.bringToFront();
    await phoneOfRui.goto(`${address}/outbox`, { waitUntil: 'domcontentloaded' });
    await see(phoneOfRui, 'Nothing is only on this device');
    const input = (await phoneOfRui.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(saved);
    await see(phoneOfRui, '1 entry was taken in.');
    await see(phoneOfRui, 'Nothing is only on this device');
    const last = (await inBook(round)).at(-1)!;
    expect(last).toMatchObject({ kind: 'picture-taken', author: ines.id });
    const { sha256 } = last.payload as { sha256: string };
    expect((await caller.ask(`/api/rounds/${round}/pictures/${sha256}`)).status).toBe(200);
    // The tablet comes back after all: the same entry once.
    await signal(tablet, true);
    await see(tablet, 'Nothing is only on this device');
    expect((await inBook(round)).filter(({ id }) => id === last.id)).toHaveLength(1);
  });
});

describe.sequential('a reader', () => {
  let page: Page;
  it('sees everything and is offered nothing to write', async () => {
    page = await pageIn(await browser.createBrowserContext(), desk, await linkFor(teresa));
    await type(page, 'Passphrase', secrets.reader);
    await click(page, 'Come in');
    await see(page, 'Round KIT');
    // Today says where each round stands, and leads to no page on which there is nothing for a reader to do.
    await see(page, 'Next: With House at the bend');
    expect(await shows(page, 'Go on')).toBe(false);
    expect(await seriousBarriers(page)).toEqual([]);
    await page.goto(`${address}/rounds/${kit}`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Points and analyses');
    for (const offer of ['Add a point', 'Abandon this round', 'labelled and packed']) expect(await shows(page, offer), offer).toBe(false);
    await page.goto(`${address}/rounds/${round}/at/${visits.well}/level`, { waitUntil: 'domcontentloaded' });
    await see(page, 'This is written by a technician or coordinator.');
    await page.goto(`${address}/rounds`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Round KIT');
    expect(await shows(page, 'Plan a round')).toBe(false);
    await page.goto(`${address}/door`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Went on by PIN');
    expect(await seriousBarriers(page)).toEqual([]);
    await page.goto(`${address}/people`, { waitUntil: 'domcontentloaded' });
    await see(page, 'Let in, last here');
    expect(await shows(page, 'End access')).toBe(false);
    expect(await seriousBarriers(page)).toEqual([]);
  });

  it('verifies a book that was handed out on a page that asks no server', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'fonte-book-'));
    const file = join(folder, 'shared.book.json');
    writeFileSync(file, await (await caller.ask(`/api/books/${round}/export`)).text());
    await page.goto(`${address}/verify`, { waitUntil: 'domcontentloaded' });
    await installed(page);
    await signal(page, false);
    const drop = async (path: string) =>
      ((await page.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>).uploadFile(path);
    await drop(file);
    await see(page, 'shared.book.json is whole');
    await see(page, 'Yellow tablet: Inês Faria, Rui Vale');
    expect(await seriousBarriers(page)).toEqual([]);
    const { head } = JSON.parse(readFileSync(file, 'utf8')) as { head: { count: number; hash: string } };
    await type(page, 'Count and hash, where a paper says them', `${head.count}:${head.hash}`);
    await see(page, 'It holds what the paper tells of it.');
    const forged = join(folder, 'forged.book.json');
    writeFileSync(forged, readFileSync(file, 'utf8').replace('7.411', '7.114'));
    await drop(forged);
    await see(page, 'forged.book.json is not what was written');
    await see(page, 'level reading: what it says was changed.');
    await signal(page, true);
  });

  it('signs out without a signal: the device forgets who it was, and the server hears of it at the next contact', async () => {
    await page.goto(address, { waitUntil: 'domcontentloaded' });
    await see(page, 'Next: With House at the bend');
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await signal(page, false);
    await click(page, 'Teresa Pinho');
    await click(page, 'Sign out on this device');
    await page.waitForFunction(() => !document.body.innerText.includes('Teresa Pinho'), { timeout: patience, polling: 100 });
    await page.reload({ waitUntil: 'domcontentloaded' });
    await new Promise((resolve) => setTimeout(resolve, 2000));
    expect(await shows(page, 'Teresa Pinho')).toBe(false);
    await signal(page, true);
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'Sign in');
    expect(await shows(page, 'Teresa Pinho')).toBe(false);
  });
});

describe.sequential('a householder', () => {
  it('has one kit by a link, and sees nothing else of the house', async () => {
    // A link opens what was given, and nothing that was not.
    expect((await caller.post(`/api/people/${home.id}/invitation`, { round })).status).toBe(422);
    expect((await caller.post(`/api/people/${home.id}/invitation`, {})).status).toBe(422);
    const page = await pageIn(await browser.createBrowserContext(), phone, await linkFor(home, { round: kit }));
    await see(page, 'Welcome, House at the bend');
    await click(page, 'Come in');
    await see(page, 'Market hall');
    expect(await shows(page, 'Rounds')).toBe(false);
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Begin');
    await expect
      .poll(async () => (await inBook(kit)).at(-1))
      .toMatchObject({ author: home.id, kind: 'run-started', doubt: 'from-household' });
    await page.goto(`${address}/rounds/${round}`, { waitUntil: 'domcontentloaded' });
    await see(page, 'This link opens one kit and nothing else.');
    await page.close();
  });
});

describe.sequential('a coordinator', () => {
  it('adds a passkey, and comes in by it', async () => {
    const page = await pageIn(await browser.createBrowserContext(), desk, '/');
    const session = await page.createCDPSession();
    await session.send('WebAuthn.enable');
    await session.send('WebAuthn.addVirtualAuthenticator', {
      options: {
        protocol: 'ctap2',
        transport: 'internal',
        hasResidentKey: true,
        hasUserVerification: true,
        isUserVerified: true,
        automaticPresenceSimulation: true,
      },
    });
    await comeIn(page, 'Rui Vale', passphrase);
    await see(page, 'Round KIT');
    await page.goto(`${address}/me`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Add a passkey');
    await see(page, 'A passkey, made');
    expect(await seriousBarriers(page)).toEqual([]);
    await click(page, 'Sign out');
    await see(page, 'Sign in with a passkey');
    await click(page, 'Sign in with a passkey');
    await see(page, 'Round KIT');
    await page.goto(`${address}/me`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Take it away');
    await page.waitForFunction(() => !document.body.innerText.includes('A passkey, made'));
    await page.close();
  });

  it('reports a device lost: it is signed out, and what it still sends stands set aside', async () => {
    await tablet.bringToFront();
    await tablet.goto(`${address}/rounds/${round}/at/${visits.tap}/pictures`, { waitUntil: 'domcontentloaded' });
    await walk.handedIn(tablet);
    await signal(tablet, false);
    await walk.takePicture(tablet, 'late picture');
    await see(tablet, '1 entry only on this device');
    await phoneOfRui.bringToFront();
    await phoneOfRui.goto(`${address}/devices`, { waitUntil: 'domcontentloaded' });
    await see(phoneOfRui, 'Yellow tablet');
    expect(await seriousBarriers(phoneOfRui)).toEqual([]);
    // Its owner may call it otherwise, and knows it by that.
    await click(phoneOfRui, 'Rename: Yellow tablet');
    await type(phoneOfRui, 'Name of this device', 'Tablet of the white van');
    await click(phoneOfRui, 'Call it so');
    await walk.closed(phoneOfRui);
    await click(phoneOfRui, 'Report it lost: Tablet of the white van');
    await type(phoneOfRui, 'Why', 'left on the ferry');
    await click(phoneOfRui, 'It is lost');
    await see(phoneOfRui, 'Lost since');
    await tablet.bringToFront();
    await signal(tablet, true);
    await see(tablet, '1 entry is only on this device. Nothing is lost');
    await comeIn(tablet, 'Inês Faria', secrets.ines);
    await tablet.waitForFunction(() => !document.body.innerText.includes('only on this device'), { timeout: 30_000, polling: 200 });
    await tablet.goto(`${address}/rounds/${round}`, { waitUntil: 'domcontentloaded' });
    await see(tablet, 'It came from a device that was reported lost.');
    await click(tablet, 'It holds');
    await type(tablet, 'Why', 'she has the tablet again');
    await click(tablet, 'It holds as it stands');
    await tablet.waitForFunction(() => !document.body.innerText.includes('reported lost.'), { timeout: patience, polling: 200 });
    // The server is of the same mind.
    await walk.handedIn(tablet);
    await tablet.reload({ waitUntil: 'domcontentloaded' });
    await see(tablet, 'Points and analyses');
    expect(await shows(tablet, 'reported lost.')).toBe(false);
  });
});
