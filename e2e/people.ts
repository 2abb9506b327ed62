import { challenge, proofText, registerDevice, session, setUp, type Session } from '@fonte/core/access';
import { newId } from '@fonte/core/book';
import type { Page } from 'puppeteer-core';
import { pairOf, signText } from '../core/test/keys.ts';
import { click, see, type } from './browser.ts';
import type { Running } from './harness.ts';

export const passphrase = 'a well in wet grass';

/** Somebody who asks the server without a page, signed in. */
export interface Caller {
  /** @param address of another server on the same database */
  ask: (path: string, init?: RequestInit, address?: string) => Promise<Response>;
  json: <T>(path: string) => Promise<T>;
  post: (path: string, body: object) => Promise<Response>;
  person: string;
  device: string;
}

async function callerOf(server: Pick<Running, 'address'>, first: Response): Promise<Caller> {
  // Without the port in its name it is good at another server on the same database, too.
  const cookie = first.headers
    .getSetCookie()[0]!
    .split(';')[0]!
    .replace(/^fonte-session-\d+=/, 'fonte-session=');
  const { me } = (await first.json()) as Session;
  const ask = (path: string, init: RequestInit = {}, address = server.address) => {
    const headers = { cookie, ...(init.body ? { 'content-type': 'application/json' } : {}) };
    return fetch(address + path, { ...init, headers: { ...headers, ...(init.headers as Record<string, string> | undefined) } });
  };
  const post = (path: string, body: object) => ask(path, { method: 'POST', body: JSON.stringify(body) });
  const device = newId(Date.now());
  const { challenge: text } = (await (await ask(challenge.path)).json()) as { challenge: string };
  const proof = signText(device, proofText('device', device, me!.person.id, text));
  await post(registerDevice.path, { id: device, name: 'Script', key: pairOf(device).key, challenge: text, proof });
  return { ask, post, json: async <T>(path: string) => (await (await ask(path)).json()) as T, person: me!.person.id, device };
}

/** The demo's technician. */
export async function demoCaller(server: Pick<Running, 'address'>): Promise<Caller> {
  return callerOf(server, await fetch(server.address + session.path));
}

/** Lets the first coordinator of an empty server in. */
export async function firstCaller(server: Pick<Running, 'address' | 'code'>): Promise<Caller> {
  const body = JSON.stringify({ code: server.code, name: 'Rui Vale', initials: 'RV', passphrase });
  const headers = { 'content-type': 'application/json' };
  return callerOf(server, await fetch(server.address + setUp.path, { method: 'POST', headers, body }));
}

/** Sets an empty server up on its page. */
export async function setUpOnPage(page: Page, server: Running, name: string, initials: string): Promise<void> {
  await page.goto(server.address, { waitUntil: 'domcontentloaded' });
  await see(page, 'Set Fonte up');
  await type(page, 'Set-up code', server.code!);
  await type(page, 'Your name', name);
  await type(page, 'Initials', initials);
  await type(page, 'Passphrase', passphrase);
  await click(page, 'Set it up');
  await see(page, 'No round is under way');
}
