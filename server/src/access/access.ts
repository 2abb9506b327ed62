import { mustProve, type Session } from '@fonte/core/access';
import type { Person } from '@fonte/core/registers';
import type { Request, Response } from 'express';
import type { Books } from '../book/books.ts';
import { thing } from '../book/registry.ts';
import { atMost, Problem, type Services, type Who } from '../http/index.ts';
import { Accounts } from './accounts.ts';
import { Delays } from './delays.ts';
import { Devices } from './devices.ts';
import { Notes } from './notes.ts';
import { Passkeys } from './passkeys.ts';
import { isPassphrase } from './secrets.ts';
import { meOf, Sessions } from './sessions.ts';
import { houseZone } from '../book/house-zone.ts';

export interface AccessServices extends Services {
  books: Books;
  /** What the server printed for the first coordinator; null once somebody was let in. */
  setUpCode: { value: string | null };
  /** The person whom whoever opens the demo is; null in production. */
  demo: string | null;
}

/** So many attempts from one address in five minutes. */
export const guarded = () => ({ before: [atMost(60, 5 * 60_000)] });

/** What the routes of the room share. */
export class Access {
  readonly sessions: Sessions;
  readonly accounts: Accounts;
  readonly delays: Delays;
  readonly devices: Devices;
  readonly notes: Notes;
  readonly passkeys: Passkeys;

  constructor(readonly at: AccessServices) {
    const { store, books, clock } = at;
    this.sessions = new Sessions(store, clock);
    this.accounts = new Accounts(store, clock);
    this.delays = new Delays(store, clock);
    this.devices = new Devices({ store, books, clock });
    this.notes = new Notes(books, clock);
    this.passkeys = new Passkeys(store, clock);
  }

  /** What somebody is told of who is signed in. */
  async tell(who: Who | null): Promise<Session> {
    const { clock, demo } = this.at;
    return {
      now: clock(),
      demo: demo !== null,
      isNew: demo === null && who === null && (await this.accounts.isEmpty()),
      // The demo's people have no passphrase that could be asked for again.
      me: who && meOf(demo === null ? who : { ...who, provenAt: clock() }),
      zone: who && (await houseZone(this.at.store)),
    };
  }

  /** Opens a session, and tells who is signed in by it. */
  async open(request: Request, response: Response, person: Person, options: Parameters<Sessions['open']>[3] = {}): Promise<Session> {
    return this.tell(await this.sessions.open(request, response, person, options));
  }

  /** @throws Problem 404 */
  async personOf(id: string): Promise<Person> {
    const person = await thing(this.at.store, 'people', id);
    if (!person) throw new Problem(404, 'no-thing', 'There is no such person.');
    return person;
  }

  /** What changes whom the house lets in needs a fresh proof. @throws Problem 403 */
  checkProven({ provenAt }: Who): void {
    if (this.at.demo === null && mustProve({ provenAt }, this.at.clock()))
      throw new Problem(403, 'prove-again', 'Type your passphrase again: it was too long ago.');
  }

  /** Whether a passphrase is this person's; wrong ones cost time. @throws Problem 403, 429 */
  async checkPassphrase(person: string, passphrase: string, path: string): Promise<void> {
    const isRight = await this.delays.attempt(`person ${person}`, async () =>
      isPassphrase((await this.accounts.of(person))?.passphrase ?? null, passphrase),
    );
    if (isRight) return;
    await this.notes.write('sign-in-failed', { person, how: 'passphrase asked for again' });
    throw new Problem(403, 'wrong', 'That is not your passphrase.', [{ path, message: 'That is not your passphrase.' }]);
  }
}
