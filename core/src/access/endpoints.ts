import { z } from 'zod';
import { Id } from '../book/index.ts';
import { doing, reading } from '../endpoints/index.ts';
import { Device, Person } from '../registers/index.ts';
import { everybody, members, roles } from '../roles/index.ts';
import { Account, Me, Passphrase, SignInName } from './accounts.ts';

const Challenge = z.string().max(120);
const Proof = z.string().regex(/^[A-Za-z0-9_-]{86}$/, { error: 'Not a signature.' });

/** What the server answers whoever opens the page. */
export const Session = z.object({
  /** ms since 1970. */
  now: z.number(),
  demo: z.boolean(),
  /** Nobody has been let in yet: the set-up code on the console lets the first coordinator in. */
  isNew: z.boolean(),
  me: Me.nullable(),
  /** The time zone of the house's work: that of its last round, or of its lab; null while there is neither. */
  zone: z.string().nullable(),
});
export type Session = z.infer<typeof Session>;

export const session = reading('/api/session', {
  summary: 'Who is signed in here, and what time the server has',
  by: 'anybody',
  answer: Session,
});

const SetUp = z.object({
  code: z.string().trim().min(1, { error: 'Type the code that the server printed.' }).max(60).meta({ title: 'Set-up code' }),
  name: SignInName,
  initials: Person.shape.initials,
  passphrase: Passphrase,
});
export const setUp = doing('/api/session/set-up', {
  summary: 'Let the first coordinator in, with the code that the server printed as it started',
  by: 'anybody',
  body: SetUp,
  answer: Session,
});

export const SignIn = z.object({
  name: SignInName,
  passphrase: z.string().min(1, { error: 'Type your passphrase.' }).max(200).meta({ title: 'Passphrase' }),
});
export const signIn = doing('/api/session', {
  summary: 'Sign in. Whether a name exists is not told; after failures it takes longer and longer',
  by: 'anybody',
  /** A device on which this person has written shows that it is it: others’ failures do not hold its people up. */
  body: SignIn.extend({ known: z.object({ device: Id, challenge: Challenge, proof: Proof }).optional() }),
  answer: Session,
});

export const signOut = doing('/api/session/end', {
  summary: 'Sign out here, or on every device',
  by: everybody,
  body: z.object({ everywhere: z.boolean().default(false) }),
  answer: Session,
});

/** A text that a device signs to show that it holds its key: what for, its id, about whom, and a challenge of the server's. */
export const proofText = (what: 'device' | 'person' | 'sign-in', device: string, about: string, challenge: string): string =>
  `fonte ${what} ${device} ${about} ${challenge}`;

export const challenge = reading('/api/session/challenge', {
  summary: 'A text for a device to sign, good for some minutes and once',
  by: 'anybody',
  answer: z.object({ challenge: z.string() }),
});

export const registerDevice = doing('/api/session/device', {
  summary: 'Say on which device this session writes; it proves that it holds its key by signing the moment',
  by: everybody,
  body: z.object({ id: Id, name: Device.shape.name, key: Device.shape.key, challenge: Challenge, proof: Proof }),
  answer: Session,
});

export const changePerson = doing('/api/session/person', {
  summary: 'Another person of this device goes on, as the device itself says: it has asked for the PIN',
  by: members,
  body: z.object({ person: Id, challenge: Challenge, proof: Proof }),
  answer: Session,
});

export const proveAgain = doing('/api/session/proof', {
  summary: 'Type the passphrase again, for a signature',
  by: everybody,
  body: z.object({ passphrase: SignIn.shape.passphrase }),
  answer: Session,
});

export const changePassphrase = doing('/api/session/passphrase', {
  summary: 'Another passphrase; every other session of this person ends',
  by: members,
  body: z.object({ before: SignIn.shape.passphrase, passphrase: Passphrase }),
  answer: Session,
});

/** What a browser's authenticator is asked, and what it answers (WebAuthn): passed on as it is, and judged by the server. */
const Authenticator = z.record(z.string(), z.unknown());
const Passkeys = z.array(z.object({ id: z.string(), made: z.number() }));

export const askForPasskey = doing('/api/session/passkeys/options', {
  summary: 'What an authenticator is asked to make a passkey',
  by: members,
  answer: Authenticator,
});
export const addPasskey = doing('/api/session/passkeys', {
  summary: 'Keep the passkey that an authenticator has made',
  by: members,
  body: z.object({ response: Authenticator }),
  answer: Passkeys,
});
export const listPasskeys = reading('/api/session/passkeys', { summary: 'My passkeys', by: members, answer: Passkeys });
export const removePasskey = doing('/api/session/passkeys/remove', {
  summary: 'A passkey lets nobody in any more',
  by: members,
  body: z.object({ id: z.string().max(1000) }),
  answer: Passkeys,
});
export const askToSignIn = doing('/api/session/passkey/options', {
  summary: 'What an authenticator is asked to let somebody in',
  by: 'anybody',
  answer: Authenticator,
});
export const signInByPasskey = doing('/api/session/passkey', {
  summary: 'Sign in by a passkey',
  by: 'anybody',
  body: z.object({ response: Authenticator }),
  answer: Session,
});

export const listAccounts = reading('/api/accounts', {
  summary: 'What stands of everybody’s access',
  by: ['coordinator', 'reader'],
  answer: z.array(Account),
});

export const invite = doing('/api/people/:person/invitation', {
  summary: 'A link that lets a registered person in, once; an earlier one is worth nothing any more',
  by: ['coordinator'],
  body: z.object({ round: Id.optional() }),
  answer: z.object({ token: z.string(), until: z.number() }),
});

export const Invitation = z.object({ name: z.string(), role: z.enum(roles), needsPassphrase: z.boolean(), round: Id.nullable() });
/** What a link holds. It is asked about in the body of a request: what stands in a path is kept by logs and proxies. */
const token = z.string().min(20).max(100);

export const invitation = doing('/api/invitation', {
  summary: 'Whom a link lets in',
  by: 'anybody',
  body: z.object({ token }),
  answer: Invitation,
});

export const join = doing('/api/join', {
  summary: 'Come in by a link, and set a passphrase',
  by: 'anybody',
  body: z.object({ token, passphrase: Passphrase.optional() }),
  answer: Session,
});

/** For so long, in ms, what happened to a person's way in is told to whom it concerns. */
export const newsLast = 14 * 86_400_000;

/** A way in was made for somebody by somebody else, or was used. `at` is in ms. */
export const DoorNews = z.object({
  id: Id,
  at: z.number(),
  event: z.enum(['invited', 'joined', 'passkey-added']),
  person: Id,
  /** Who made it; null where the server's console did, or the person. */
  by: Id.nullable(),
});
export const doorNews = reading('/api/door-news', {
  summary: 'Links that were made for oneself, and for coordinators those that others made, of the last two weeks',
  by: members,
  answer: z.array(DoorNews),
});

const reason = z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(500).meta({ title: 'Why' });

export const endAccess = doing('/api/people/:person/end', {
  summary: 'End a person’s access: signed out everywhere, and what they send later stands set aside',
  by: ['coordinator'],
  body: z.object({ reason }),
  answer: z.object({ ended: z.literal(true) }),
});

export const revokeDevice = doing('/api/devices/:device/revoke', {
  summary: 'Report a device lost, from a moment on. Its own people may, and coordinators',
  by: members,
  body: z.object({ at: z.iso.datetime({ precision: 3 }), reason }),
  answer: Device,
});

export const renameDevice = doing('/api/devices/:device/name', {
  summary: 'Call a device otherwise. Its own people may, and coordinators',
  by: members,
  body: Device.pick({ name: true }),
  answer: Device,
});

export const personKept = reading('/api/people/:person/kept', {
  summary: 'All that is kept of a person: for that person, and for coordinators',
  by: members,
  answer: 'file',
});

export const makeUnreadable = doing('/api/people/:person/unreadable', {
  summary: 'Put initials in the place of a person’s name for good; every chain holds',
  by: ['coordinator'],
  body: z.object({ initials: Person.shape.initials }),
  answer: z.object({ entries: z.number().int() }),
});

/** Only the demo has it: its people need no passphrase. */
export const demoPerson = doing('/api/demo/person', {
  summary: 'Go on as another person of the demo',
  by: 'anybody',
  body: z.object({ person: Id }),
  answer: Session,
});
