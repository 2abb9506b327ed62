import { isDeepStrictEqual } from 'node:util';
import {
  canonicalJson,
  contentOfText,
  Entry,
  findUnsound,
  readPayload,
  signatureFault,
  signatureWords,
  signedText,
  struck,
  unsoundWords,
  type AnyKind,
  type Doubt,
  type Prove,
} from '@fonte/core/book';
import { server, type Writer } from '@fonte/core/roles';
import { judgedAnew, roundPlanned, visitAdded } from '@fonte/core/plan';
import { registerOf, type OwnLimitSet } from '@fonte/core/registers';
import { inPresentVersion, kindOf, sayMisfit } from '@fonte/core/round';
import { fieldErrors, Problem, readBy } from '../http/index.ts';
import { sha256 } from './codec.ts';
import type { Registry } from './registry.ts';
import type { Store } from '../store/index.ts';

const refuse = (status: number, code: string, path: string, message: string) => new Problem(status, code, message, [{ path, message }]);

/** The payload as the schema of its version has it; as sent where the version is newer than this build. */
function parsePayload(kind: AnyKind, version: number, payload: unknown, path: string): unknown {
  const read = readPayload(kind, version, payload);
  if (read.state === 'malformed') throw new Problem(422, 'invalid', 'The entry was not accepted.', fieldErrors(read.error, path));
  return read.state === 'known' ? read.payload : payload;
}

/** An entry as it may stand in a book, with what is needed of it more than once. */
export interface Parsed {
  entry: Entry;
  /** The canonical JSON of its payload. */
  text: string;
  /** The digest of text and salt; undefined for what has no salt. */
  content: string | undefined;
}

/**
 * An entry as it may stand in a book: nothing unknown in it, nothing that cannot be stored.
 * @throws Problem 422 when it is malformed
 */
function parseEntry(book: string | null, sent: unknown): Parsed {
  const envelope = readBy(Entry, sent);
  if (!envelope.success) throw new Problem(422, 'not-an-entry', 'This is not an entry.', fieldErrors(envelope.error));
  const entry = envelope.data as Entry;
  if (book !== null && entry.book !== book) throw refuse(422, 'other-book', 'book', 'The entry belongs to another book.');
  if (entry.book === server) throw refuse(403, 'forbidden', 'book', 'Nobody is registered as the server.');
  const unsound = findUnsound(entry.payload);
  if (unsound) throw refuse(422, 'unsound', ['payload', unsound.path].filter(Boolean).join('.'), unsoundWords[unsound.code]);
  const kind = kindOf(entry.kind);
  if (!kind) throw refuse(422, 'unknown-kind', 'kind', `“${entry.kind}” is no kind of entry here.`);
  if ((kind.stands === 'at-visit') !== (entry.visit !== null) && kind.stands !== 'either')
    throw refuse(
      422,
      'place',
      'visit',
      entry.visit === null ? 'An entry of this kind names its visit.' : 'An entry of this kind names no visit.',
    );
  const payload = parseStruck(entry, parsePayload(kind, entry.version, entry.payload, 'payload'));
  const text = canonicalJson(payload);
  // A signature is of the words as they were sent: what a schema would leave out or change cannot be kept under it.
  if (entry.signature && !isDeepStrictEqual(payload, entry.payload) && text !== canonicalJson(entry.payload))
    throw refuse(422, 'not-as-signed', 'payload', 'It says more, or says it otherwise, than an entry of this kind may.');
  const { salt } = entry;
  return { entry: { ...entry, payload }, text, content: salt === undefined ? undefined : contentOfText(text, salt, sha256) };
}

/** The same, or why it is none; what else goes wrong is ours. */
export function readOrRefuse(book: string | null, sent: unknown): Parsed | Problem {
  try {
    return parseEntry(book, sent);
  } catch (problem) {
    if (problem instanceof Problem) return problem;
    throw problem;
  }
}

/** What a correction puts in the place of an entry is parsed as that entry would be. */
function parseStruck(entry: Entry, payload: unknown): unknown {
  if (!struck.is(entry) || entry.version > struck.version) return payload;
  const correction = payload as (typeof struck)['payload']['_output'];
  const target = kindOf(correction.kind);
  if (!target) throw refuse(422, 'unknown-kind', 'payload.kind', `“${correction.kind}” is no kind of entry here.`);
  const { instead } = correction;
  if (!instead) return payload;
  // That it holds puts nothing else in its place, whatever may be put there.
  if (instead.holds && Object.keys(instead).length === 1) return payload;
  if (target.correction !== 'replace')
    throw refuse(403, 'forbidden', 'payload.instead', sayMisfit({ code: 'only-struck', field: '', data: { title: target.title } }));
  if (instead.payload === undefined) return payload;
  return {
    ...correction,
    instead: { ...instead, payload: parsePayload(target, instead.version!, instead.payload, 'payload.instead.payload') },
  };
}

/** What a householder's link does not open. @throws Problem 403 */
export function checkScope(entry: Entry, scope: { round: string } | null): void {
  if (scope && entry.book !== scope.round) throw refuse(403, 'forbidden', 'book', 'This link opens one kit and nothing else.');
}

/** The text that the device of an entry has to have signed. */
export const textToSign = ({ entry, content }: Parsed): string | null =>
  entry.signature && content !== undefined ? signedText(entry, content, entry.signature.key) : null;

/**
 * Whether a device's entry is signed by that device, on which its author was signed in. @throws Problem 403
 * @returns what is to be doubted of it all the same
 */
export async function checkSignature(
  registry: Registry,
  { entry, content }: Parsed,
  receivedAt: string,
  prove: Prove,
): Promise<Doubt | null> {
  if (content === undefined) throw refuse(422, 'unsigned', 'salt', 'An entry has a salt.');
  const device = await registry.thing('devices', entry.device);
  const fault = await signatureFault({ ...entry, content }, device, prove);
  if (fault) throw refuse(403, fault, fault === 'not-signed-in' ? 'author' : 'signature', `Not taken: ${signatureWords[fault]}.`);
  if (device!.revoked && device!.revoked.at <= receivedAt) return 'device-revoked';
  const { left, role } = (await registry.thing('people', entry.author))!;
  if (left && left.at <= receivedAt) return 'person-left';
  return role === 'householder' ? 'from-household' : null;
}

/** Whether an author may write an entry: a person of the register in a role that its kind names. @throws Problem 403, 422 */
export async function checkAuthor(registry: Registry, entry: Entry, madeBy: 'device' | 'server'): Promise<void> {
  const kind = kindOf(entry.kind)!;
  if (kind.madeBy === 'server' && madeBy === 'device')
    throw refuse(403, 'server-kind', 'kind', 'Only the server writes entries of this kind.');
  const about = struck.is(entry) ? kindOf(entry.payload.kind) : null;
  const mayWrite = (writer: Writer) => kind.by.includes(writer) && (!about || about.by.includes(writer));
  if (entry.author === server || entry.device === server) {
    if (madeBy === 'server' && entry.author === server && mayWrite('server')) return;
    if (madeBy === 'device' || entry.author === server)
      throw refuse(403, 'forbidden', entry.author === server ? 'author' : 'device', 'Nobody writes in the server’s name.');
  }
  const person = await registry.thing('people', entry.author);
  if (!person) throw refuse(422, 'unknown-author', 'author', 'Nobody of this name is registered.');
  if (!mayWrite(person.role)) throw refuse(403, 'forbidden', 'author', `Not for the role “${person.role}”.`);
}

const notRegistered = (path: string) => refuse(422, 'register', path, 'This is not what the register says. Open the page again.');

/** Whether the limit sets of the house that an entry brings along read so in the register, now or once. @throws Problem 422 */
async function checkLimits(registry: Registry, entry: Entry): Promise<void> {
  const brings = [roundPlanned, visitAdded, judgedAnew].some((kind) => kind.is(entry));
  const { ownLimits = [] } = brings ? (entry.payload as { ownLimits?: OwnLimitSet[] }) : {};
  for (const [index, own] of ownLimits.entries())
    if (!(await registry.everRead('limits', own))) throw notRegistered(`payload.ownLimits.${index}`);
}

/**
 * Whether what an entry brings along of the registers reads so there or did once: a thing is registered under its own book, a round is planned
 * with things as the registers have or had them. @throws Problem 422
 */
export async function checkRegistered(registry: Registry, entry: Entry): Promise<void> {
  if (registerOf(entry.kind) && (entry.payload as { id: string }).id !== entry.book)
    throw refuse(422, 'other-book', 'payload.id', 'A thing is registered in a book of its own.');
  await checkLimits(registry, entry);
  if (!roundPlanned.is(entry)) return;
  const { visits, lab } = inPresentVersion(entry).payload;
  for (const [index, visit] of visits.entries())
    if (!(await registry.everRead('points', visit.point))) throw notRegistered(`payload.visits.${index}.point`);
  if (lab && !(await registry.everRead('labs', lab))) throw notRegistered('payload.lab');
}

/** The name under which a thing or round stands alone, with the table and field it concerns. */
export function codeOf(entry: Entry): { table: 'things' | 'rounds'; register: string; code: string } | null {
  const register = registerOf(entry.kind);
  const { code } = entry.payload as { code?: string };
  if (code === undefined) return null;
  if (register) return { table: 'things', register, code };
  return roundPlanned.is(entry) ? { table: 'rounds', register: '', code } : null;
}

/** Refuses a code that another book has. @throws Problem 409 */
export async function checkCode(store: Store, entry: Entry, staged: ReadonlyMap<string, string>): Promise<void> {
  const named = codeOf(entry);
  if (!named) return;
  const { table, register, code } = named;
  const rows =
    table === 'things'
      ? await store.read<{ book: string }[]>('SELECT book FROM things WHERE register = ? AND code = ?', [register, code])
      : await store.read<{ book: string }[]>('SELECT book FROM rounds WHERE code = ?', [code]);
  const holder = staged.get(`${table} ${register} ${code}`) ?? rows[0]?.book;
  if (holder !== undefined && holder !== entry.book)
    throw refuse(409, 'code-taken', 'payload.code', table === 'rounds' ? 'Another round has this code.' : 'This code is taken.');
}
