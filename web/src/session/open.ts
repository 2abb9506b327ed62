import { changePerson, demoPerson, registerDevice, session, signOut, type Session } from '@fonte/core/access';
import { registerLists, type Person } from '@fonte/core/registers';
import { ApiProblem, call, NoConnection } from '../api/call.ts';
import { note, noted } from '../disk/index.ts';
import { follow } from '../time/clock.ts';
import { setSiteZone } from '../time/show.ts';
import { anotherDevice, ownDevice, withProof } from './device.ts';

/** What the server said last of who is signed in here, with the register of people. */
export interface Opened {
  told: Session;
  people: Person[];
  isFromDisk: boolean;
}

const keptUnder = 'session';
/** ms after which what the server told is kept for a time without it. */
const keepAfter = 1500;
const personUnder = 'person';
const hint = 'fonte.signed-in';

const wasSignedIn = (): boolean => {
  try {
    return localStorage.getItem(hint) !== null;
  } catch {
    return false;
  }
};

/** What is done as soon as it is known who is signed in, while the rest is still on its way. */
let told: (answer: Session) => void = () => undefined;
export function whenTold(work: (answer: Session) => void): void {
  told = work;
}

/** The session was opened by what the server has just told: it is remembered for when there is no signal. */
export async function took(answer: Session, ahead?: Promise<Person[]>): Promise<Opened> {
  if (answer.demo) follow(answer.now);
  setSiteZone(answer.zone);
  told(answer);
  try {
    if (answer.me) localStorage.setItem(hint, answer.me.person.id);
    else localStorage.removeItem(hint);
  } catch {
    // The next opening takes a moment longer.
  }
  if (!answer.me) return { told: answer, people: [], isFromDisk: false };
  const people = answer.me.scope ? [answer.me.person] : await (ahead ?? call(registerLists.people, { query: { limit: 500 } }));
  // Whoever waits for the first page waits for this as little as may be.
  setTimeout(() => void note(keptUnder, { told: answer, people }).catch(() => undefined), keepAfter);
  return { told: answer, people, isFromDisk: false };
}

const owed = 'fonte.sign-out-owed';
const isSignOutOwed = (): boolean => {
  try {
    return localStorage.getItem(owed) !== null;
  } catch {
    return false;
  }
};

/** Signs out, also without a signal: then this device forgets who it was at once, and the server is told at the next contact. @throws ApiProblem */
export async function endSession(everywhere: boolean): Promise<void> {
  try {
    await call(signOut, { body: { everywhere } });
  } catch (failure) {
    if (!(failure instanceof NoConnection)) throw failure;
    localStorage.setItem(owed, everywhere ? 'everywhere' : 'here');
  }
  await note(keptUnder, null).catch(() => undefined);
  await note(personUnder, null).catch(() => undefined);
}

/** Tells the server that somebody has signed out here meanwhile. @throws NoConnection */
async function paySignOut(): Promise<void> {
  try {
    await call(signOut, { body: { everywhere: localStorage.getItem(owed) === 'everywhere' } });
  } catch (failure) {
    // A session that has ended by itself is no reason to stay signed in.
    if (failure instanceof NoConnection) throw failure;
  }
  localStorage.removeItem(owed);
}

/** Who is signed in here: as the server says, and without a signal as it said last. @throws NoConnection, ApiProblem */
export async function openSession(): Promise<Opened> {
  if (isSignOutOwed()) await paySignOut();
  try {
    // Whoever was signed in before most likely still is: both questions are asked at once.
    const ahead = wasSignedIn() ? call(registerLists.people, { query: { limit: 500 } }) : undefined;
    ahead?.catch(() => undefined);
    return await took(await call(session, {}), ahead);
  } catch (failure) {
    if (!(failure instanceof NoConnection)) throw failure;
    const kept = await noted<Pick<Opened, 'told' | 'people'>>(keptUnder).catch(() => undefined);
    if (!kept?.told.me) throw failure;
    const chosen = await noted<string | null>(personUnder).catch(() => null);
    setSiteZone(kept.told.zone ?? null);
    const person = kept.people.find((one) => one.id === chosen) ?? kept.told.me.person;
    return { people: kept.people, told: { ...kept.told, me: { ...kept.told.me, person } }, isFromDisk: true };
  }
}

/**
 * Sees to it that the server knows this device, and who goes on writing on it. Called before anything is sent, and once the
 * page has come to rest. @throws NoConnection, ApiProblem
 */
export async function ensureDevice(told: Session): Promise<Session> {
  const { me } = told;
  if (!me) return told;
  const own = await ownDevice();
  const isKnown = me.device?.id === own.id && me.device.people.some(({ person }) => person === me.person.id);
  if (isKnown) return told;
  try {
    return await withProof('device', me.person.id, (shown) =>
      call(registerDevice, { body: { id: own.id, name: own.name, key: own.key, ...shown } }),
    );
  } catch (failure) {
    if (!(failure instanceof ApiProblem) || failure.code !== 'device-revoked') throw failure;
    // What was written here before keeps its signature; from now on this is another device.
    await anotherDevice();
    return ensureDevice(told);
  }
}

/** Another person of this device goes on. Without a signal the server is told at the next contact. @throws ApiProblem */
export async function goOnAs(opened: Opened, person: Person): Promise<Opened> {
  await note(personUnder, person.id).catch(() => undefined);
  try {
    return await tellPerson(opened.told.demo, person.id);
  } catch (failure) {
    if (!(failure instanceof NoConnection)) throw failure;
    return { ...opened, isFromDisk: true, told: { ...opened.told, me: { ...opened.told.me!, person, provenAt: 0 } } };
  }
}

async function tellPerson(demo: boolean, person: string): Promise<Opened> {
  if (demo) return took(await ensureDevice(await call(demoPerson, { body: { person } })));
  return took(await withProof('person', person, (shown) => call(changePerson, { body: { person, ...shown } })));
}

/** Tells the server who went on here while there was no signal. */
export async function catchUp(opened: Opened): Promise<Opened> {
  const { told } = opened;
  const chosen = await noted<string | null>(personUnder).catch(() => null);
  const isOther = told.me !== null && chosen !== null && chosen !== undefined && chosen !== told.me.person.id;
  if (!isOther) return opened;
  const isOfDevice = told.me!.device?.people.some(({ person }) => person === chosen) || told.demo;
  return isOfDevice ? tellPerson(told.demo, chosen) : opened;
}

/** Whoever signs in with a passphrase is who goes on here. */
export async function forgetChosen(): Promise<void> {
  await note(personUnder, null).catch(() => undefined);
}
