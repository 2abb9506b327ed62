import { accessBook, accessNoted, invitationLasts, newsLast, plainSignInName, type DoorNews } from '@fonte/core/access';
import type { Person } from '@fonte/core/registers';
import { millis, type Clock } from '@fonte/core/time';
import type { z } from 'zod';
import type { Books } from '../book/books.ts';
import { thing } from '../book/registry.ts';
import type { Store } from '../store/index.ts';
import { Accounts } from './accounts.ts';
import { Notes } from './notes.ts';

type News = z.output<typeof DoorNews>;

interface At {
  store: Store;
  books: Books;
  clock: Clock;
}

/**
 * What happened lately to ways in: to a person's own, and for coordinators to everybody's of the house. Whoever makes a link for
 * somebody can come in as them by it, so that they and all coordinators are told.
 */
export async function newsFor({ store, books, clock }: At, me: Pick<Person, 'id' | 'role'>): Promise<News[]> {
  const entries = (await books.view(accessBook))?.entries.all() ?? [];
  const found: News[] = [];
  for (const entry of entries) {
    if (!accessNoted.is(entry) || millis(entry.at) < clock() - newsLast) continue;
    const { event, person, by } = entry.payload;
    if ((event !== 'invited' && event !== 'joined' && event !== 'passkey-added') || person === null) continue;
    const isMine = person === me.id && by !== me.id;
    const isOthers = me.role === 'coordinator' && by !== me.id && event === 'invited';
    const isJoined = me.role === 'coordinator' && event === 'joined';
    if (!isMine && !isOthers && !isJoined) continue;
    // A household comes in for its one kit: that is told on the page of the kit.
    if ((await thing(store, 'people', person))?.role === 'householder') continue;
    found.push({ id: entry.id, at: millis(entry.at), event, person, by });
  }
  return found.reverse();
}

/**
 * Makes a link for somebody who signs in under a name, on the server's own console: for the last coordinator who has lost theirs.
 * Everybody who is to know is told as of any other. Null where nobody who may come in has that name.
 */
export async function linkOnConsole({ store, books, clock }: At, name: string): Promise<{ token: string; until: number } | null> {
  const rows = await store.read<{ data: string }[]>("SELECT data FROM things WHERE register = 'people'");
  const people = rows.map(({ data }) => JSON.parse(data) as Person);
  const person = people.find((one) => !one.left && one.role !== 'householder' && plainSignInName(one.name) === plainSignInName(name));
  if (!person) return null;
  const until = clock() + invitationLasts;
  const token = await new Accounts(store, clock).invite(person.id, null, until);
  await new Notes(books, clock).write('invited', { person: person.id, how: 'on the console of the server' });
  return { token, until };
}
