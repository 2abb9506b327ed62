import {
  doorNews,
  endAccess,
  invite,
  listAccounts,
  makeUnreadable,
  personKept,
  renameDevice,
  revokeDevice,
  invitationLasts,
} from '@fonte/core/access';
import { writeEntry } from '@fonte/core/book';
import { personRegistered } from '@fonte/core/registers';
import { serverPen } from '../book/books.ts';
import { Problem, route, SentFile, type Route, type Who } from '../http/index.ts';
import type { Access } from './access.ts';
import { keptOf, withoutName } from './kept.ts';
import { newsFor } from './news.ts';

/** Whether somebody is of a device, or answers for all of them. @throws Problem 403, 404 */
async function checkOfDevice(access: Access, id: string, { person }: Who, what: string): Promise<void> {
  const isOwn = (await access.devices.known(id)).people.some((one) => one.person === person.id);
  if (!isOwn && person.role !== 'coordinator') throw new Problem(403, 'forbidden', `Only its own people, or a coordinator, may ${what}.`);
}

/** Whom the house lets in, and what is kept of them. */
export function peopleRoutes(access: Access): Route[] {
  const { store, books, clock } = access.at;
  return [
    route(listAccounts, () => access.accounts.list()),

    route(doorNews, ({ who }) => newsFor(access.at, who.person)),

    route(invite, async ({ who, in: { person: id }, body: { round } }) => {
      access.checkProven(who);
      const person = await access.personOf(id);
      if (person.left) throw new Problem(409, 'left', 'The access of this person has ended.');
      if ((person.role === 'householder') !== (round !== undefined))
        throw new Problem(422, 'kit', 'A householder comes in for one kit, and nobody else does.', [
          { path: 'round', message: 'Choose the round of the kit.' },
        ]);
      if (round !== undefined && (await books.round(round)).kit.given?.person !== id)
        throw new Problem(422, 'kit', 'This round was not given to them: a link opens a kit and nothing else.', [
          { path: 'round', message: 'Give the kit first, on the page of its round.' },
        ]);
      const until = clock() + invitationLasts;
      const token = await access.accounts.invite(id, round ?? null, until);
      await access.notes.write('invited', { person: id, by: who.person.id });
      return { token, until };
    }),

    route(endAccess, async ({ who, in: { person: id }, body: { reason } }) => {
      access.checkProven(who);
      const person = await access.personOf(id);
      if (person.left) throw new Problem(409, 'left', 'The access of this person has ended already.');
      if (id === who.person.id) throw new Problem(409, 'self', 'Another coordinator has to end your own access.');
      const left = { at: new Date(clock()).toISOString(), reason };
      await books.appendOwn(writeEntry(serverPen(id, clock()), personRegistered, { ...person, left }));
      await access.accounts.close(id);
      await access.notes.write('access-ended', { person: id, by: who.person.id, how: reason });
      return { ended: true as const };
    }),

    route(renameDevice, async ({ who, in: { device: id }, body: { name } }) => {
      await checkOfDevice(access, id, who, 'rename a device');
      return access.devices.rename(id, name);
    }),

    route(revokeDevice, async ({ who, in: { device: id }, body: { at, reason } }) => {
      await checkOfDevice(access, id, who, 'report a device lost');
      if (Date.parse(at) > clock())
        throw new Problem(422, 'invalid', 'That moment is still to come.', [{ path: 'at', message: 'That moment is still to come.' }]);
      const device = await access.devices.revoke(id, at, reason);
      await access.sessions.endAll({ device: id });
      await access.notes.write('device-revoked', { person: null, by: who.person.id, device: id, how: reason });
      return device;
    }),

    route(personKept, async ({ who, in: { person: id } }) => {
      if (who.person.id !== id && who.person.role !== 'coordinator')
        throw new Problem(403, 'forbidden', 'That is for the person, and for coordinators.');
      return new SentFile('kept-of-a-person.json', JSON.stringify(await keptOf(store, await access.personOf(id)), null, 2));
    }),

    route(makeUnreadable, async ({ who, in: { person: id }, body: { initials } }) => {
      access.checkProven(who);
      const person = await access.personOf(id);
      if (!person.left) throw new Problem(409, 'not-left', 'End this person’s access first.');
      if (person.name !== initials)
        await books.appendOwn(writeEntry(serverPen(id, clock()), personRegistered, { ...person, name: initials, initials }));
      const entries = await books.makeUnreadable(await withoutName(store, person, initials), 'a name was replaced by initials');
      await access.notes.write('made-unreadable', { person: id, by: who.person.id });
      return { entries };
    }),
  ];
}
