import {
  challenge,
  changePassphrase,
  changePerson,
  invitation,
  join,
  proveAgain,
  registerDevice,
  session,
  setUp,
  signIn,
  signOut,
  plainSignInName,
  demoPerson,
} from '@fonte/core/access';
import { newId, writeEntry } from '@fonte/core/book';
import { personRegistered, type Person } from '@fonte/core/registers';
import { serverPen } from '../book/books.ts';
import { thing } from '../book/registry.ts';
import { Problem, route, type Route } from '../http/index.ts';
import { guarded, type Access } from './access.ts';
import { nameTaken } from './accounts.ts';
import { isPassphrase, plainCode } from './secrets.ts';
import { checkStrength } from './strength.ts';

const wrong = () =>
  new Problem(403, 'wrong', 'Name and passphrase do not belong together.', [
    { path: 'passphrase', message: 'Name and passphrase do not belong together.' },
  ]);

/** An entry is for ever: of a burst of failures the first is written, the tenth, the hundredth. The count stands in a table. */
async function noteFailure(access: Access, person: string | null, tried: string): Promise<void> {
  const what = person ? 'wrong passphrase' : 'no such name';
  // A name that nobody has is one of many, and none of them is waited for.
  const count = person ? await access.delays.failures(tried) : await access.delays.count(tried);
  if (!Number.isInteger(Math.log10(count))) return;
  await access.notes.write('sign-in-failed', { person, how: count === 1 ? what : `${what}, ${count} times` });
}

/** Coming in, going on as another, and going out. */
export function doorRoutes(access: Access): Route[] {
  const { store, books, clock, setUpCode, demo } = access.at;
  return [
    route(session, async ({ guest, request, response }) => {
      if (guest || demo === null) return access.tell(guest);
      return access.open(request, response, await access.personOf(demo));
    }),

    route(
      setUp,
      async ({ body: { code, name, initials, passphrase }, request, response }) => {
        if (!(await access.accounts.isEmpty()) || setUpCode.value === null)
          throw new Problem(409, 'set-up-done', 'Somebody was let in already. Ask a coordinator for a link.');
        const isRight = await access.delays.attempt('set-up', () => Promise.resolve(plainCode(code) === plainCode(setUpCode.value ?? '')));
        if (!isRight) {
          const message = 'That is not the code on the server’s console.';
          throw new Problem(403, 'wrong', 'That is not the code.', [{ path: 'code', message }]);
        }
        checkStrength(passphrase, name);
        // Of two at once the second finds it used up.
        setUpCode.value = null;
        const person: Person = { id: newId(clock()), name, initials, role: 'coordinator' };
        await books.appendOwn(writeEntry(serverPen(person.id, clock()), personRegistered, person));
        await access.accounts.open(person, passphrase);
        await access.notes.write('set-up', { person: person.id });
        return access.open(request, response, person);
      },
      guarded(),
    ),

    route(
      signIn,
      async ({ body: { name, passphrase, known }, request, response }) => {
        const account = await access.accounts.named(name);
        const person = account && (await thing(store, 'people', account.person));
        // The same work and the same answer, whoever is asked for.
        const isKnown = known !== undefined && account !== null && (await access.devices.isKnown(account.person, known));
        // Whoever knows a name keeps nobody out who comes on a device of theirs.
        const tried = `name ${plainSignInName(name)}${isKnown ? ` on ${known.device}` : ''}`;
        const isRight = await access.delays.attempt(
          tried,
          async () => (await isPassphrase(account?.passphrase ?? null, passphrase)) && person !== null && !person.left,
        );
        if (!isRight || !person) {
          await noteFailure(access, account?.person ?? null, account ? tried : 'names that nobody has');
          throw wrong();
        }
        await access.notes.write('signed-in', { person: person.id, how: 'passphrase' });
        return access.open(request, response, person);
      },
      guarded(),
    ),

    route(challenge, () => ({ challenge: access.devices.challenges.make() })),

    route(signOut, async ({ who, body: { everywhere }, response }) => {
      await access.notes.write('signed-out', {
        person: who.person.id,
        device: who.device?.id ?? null,
        how: everywhere ? 'everywhere' : '',
      });
      if (everywhere) await access.sessions.endAll({ person: who.person.id });
      await access.sessions.end(response, who.session);
      return access.tell(null);
    }),

    route(registerDevice, async ({ who, body }) => {
      const { device, isNew } = await access.devices.show(body, who.person);
      if (isNew) await access.notes.write('device-added', { person: who.person.id, device: device.id });
      await access.sessions.change(who.session, { device: device.id });
      return access.tell({ ...who, device });
    }),

    route(changePerson, async ({ who, body: { person: id, challenge: text, proof }, request }) => {
      if (!who.device || who.scope) throw new Problem(409, 'no-device', 'This device is not registered.');
      const person = await access.personOf(id);
      access.devices.checkChange(who.device, id, text, proof);
      if (person.left) throw new Problem(403, 'forbidden', 'The access of that person has ended.');
      await access.sessions.change(who.session, { person: id });
      await access.notes.write('person-changed', { person: id, by: who.person.id, device: who.device.id });
      return access.tell(await access.sessions.of(request));
    }),

    route(
      proveAgain,
      async ({ who, body: { passphrase } }) => {
        await access.checkPassphrase(who.person.id, passphrase, 'passphrase');
        await access.sessions.proven(who);
        await access.notes.write('proven', { person: who.person.id, device: who.device?.id ?? null });
        return access.tell({ ...who, provenAt: clock() });
      },
      guarded(),
    ),

    route(
      changePassphrase,
      async ({ who, body: { before, passphrase } }) => {
        await access.checkPassphrase(who.person.id, before, 'before');
        await access.accounts.open(who.person, passphrase);
        await access.sessions.endAll({ person: who.person.id }, who.session);
        await access.sessions.proven(who);
        await access.notes.write('passphrase-changed', { person: who.person.id });
        return access.tell({ ...who, provenAt: clock() });
      },
      guarded(),
    ),

    route(
      invitation,
      async ({ body: { token } }) => {
        const { person: id, round } = await access.accounts.invited(token);
        const { name, role } = await access.personOf(id);
        return { name, role, needsPassphrase: round === null, round };
      },
      guarded(),
    ),

    route(
      join,
      async ({ body: { token, passphrase }, request, response }) => {
        const { person: id, round } = await access.accounts.invited(token);
        const person = await access.personOf(id);
        if (person.left) throw new Problem(409, 'left', 'The access of this person has ended.');
        if (round === null && passphrase === undefined)
          throw new Problem(422, 'invalid', 'Choose a passphrase.', [{ path: 'passphrase', message: 'Choose a passphrase.' }]);
        const holder = round === null ? await access.accounts.named(person.name) : null;
        if (holder && holder.person !== id) throw nameTaken();
        await access.accounts.use(token);
        if (passphrase !== undefined && round === null) {
          await access.accounts.open(person, passphrase);
          // Whoever was signed in by the passphrase of before is out.
          await access.sessions.endAll({ person: id });
        }
        await access.notes.write('joined', { person: id });
        return access.open(request, response, person, { scope: round === null ? null : { round } });
      },
      guarded(),
    ),
  ];
}

/** Only the demo has it. */
export const demoRoutes = (access: Access): Route[] => [
  route(demoPerson, async ({ body: { person: id }, guest, request, response }) => {
    const person = await access.personOf(id);
    if (!guest) return access.open(request, response, person);
    await access.sessions.change(guest.session, { person: id });
    return access.tell({ ...guest, person });
  }),
];
