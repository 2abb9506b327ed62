import { addPasskey, askForPasskey, askToSignIn, listPasskeys, removePasskey, signInByPasskey } from '@fonte/core/access';
import { thing } from '../book/registry.ts';
import { Problem, route, type Route } from '../http/index.ts';
import { guarded, type Access } from './access.ts';

/** Passkeys: made, taken away, and coming in by one. */
export const passkeyRoutes = (access: Access): Route[] => [
  route(askForPasskey, async ({ who, request }) => {
    access.checkProven(who);
    return (await access.passkeys.optionsToAdd(request, who.person)) as Record<string, unknown>;
  }),

  route(addPasskey, async ({ who, body: { response }, request }) => {
    access.checkProven(who);
    await access.passkeys.add(request, who.person, response as never);
    await access.notes.write('passkey-added', { person: who.person.id, device: who.device?.id ?? null });
    return access.passkeys.of(who.person.id);
  }),

  route(listPasskeys, ({ who }) => access.passkeys.of(who.person.id)),

  route(removePasskey, async ({ who, body: { id } }) => {
    await access.passkeys.remove(who.person.id, id);
    await access.notes.write('passkey-removed', { person: who.person.id });
    return access.passkeys.of(who.person.id);
  }),

  route(askToSignIn, async ({ request }) => (await access.passkeys.optionsToSignIn(request)) as Record<string, unknown>, guarded()),

  route(
    signInByPasskey,
    async ({ body: { response: answer }, request, response }) => {
      const person = await thing(access.at.store, 'people', await access.passkeys.signIn(request, answer as never));
      if (!person || person.left) throw new Problem(403, 'no-passkey', 'That passkey does not let anybody in here.');
      await access.notes.write('signed-in', { person: person.id, how: 'passkey' });
      return access.open(request, response, person);
    },
    guarded(),
  ),
];
