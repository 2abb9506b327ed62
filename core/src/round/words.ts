import { accessSays } from '../access/index.ts';
import { actSays, actWords } from '../act/index.ts';
import { arriveSays, arriveWords } from '../arrive/index.ts';
import { bookSays, bookWords, readPayload, struck, upgraded, type Entry } from '../book/index.ts';
import { dayFindings } from '../day/index.ts';
import { derivedFindings } from '../derived/index.ts';
import { countFindings } from '../counts/index.ts';
import { cultureSays, cultureWords } from '../culture/index.ts';
import { custodyFindings, custodySays, custodyWords } from '../custody/index.ts';
import { fieldTestFindings, fieldTestSays, fieldTestWords } from '../fieldtests/index.ts';
import { fillSays, fillWords } from '../fill/index.ts';
import { say, sayFinding, type Coded, type FindingWords, type Words } from '../findings/index.ts';
import { limitFindings, limitSetNamed } from '../limits/index.ts';
import { loggerFindings } from '../logger/index.ts';
import { kitSays, kitWords } from '../kit/index.ts';
import { levelFindings, levelSays, levelWords } from '../level/index.ts';
import { pictureSays, pictureWords } from '../pictures/index.ts';
import { planFindings, planSays, planWords } from '../plan/index.ts';
import { readingFindings } from '../parameters/index.ts';
import { prepareFindings, prepareSays, prepareWords } from '../prepare/index.ts';
import { purgeFindings, purgeSays, purgeWords } from '../purge/index.ts';
import { readSays, readWords } from '../read/index.ts';
import { registerFindings, registerSays, type OwnLimitSet } from '../registers/index.ts';
import { kindOf, titleOf } from './kinds.ts';
import { momentFindings } from './moment-words.ts';
import { scoutSays } from '../scout/index.ts';
import { tapFindings, tapSays, tapWords } from '../tap/index.ts';

/** The words of several rooms. @throws Error when two have one code, of which one would never be said: a mistake in the tables. */
function gathered<W extends object>(rooms: readonly W[]): W {
  const all = rooms.flatMap((words) => Object.keys(words));
  const twice = all.find((code, place) => all.indexOf(code) !== place);
  if (twice !== undefined) throw new Error(`Two rooms have words for “${twice}”.`);
  return Object.assign({}, ...rooms) as W;
}

/** The words of every room for its misfits. */
export const misfitWords: Words = gathered([
  bookWords,
  planWords,
  prepareWords,
  arriveWords,
  levelWords,
  purgeWords,
  tapWords,
  fieldTestWords,
  fillWords,
  pictureWords,
  custodyWords,
  kitWords,
  cultureWords,
  readWords,
  actWords,
]);

/** The words of every room for its findings. */
export const findingWords: FindingWords = gathered([
  momentFindings,
  registerFindings,
  planFindings,
  prepareFindings,
  readingFindings,
  countFindings,
  levelFindings,
  loggerFindings,
  purgeFindings,
  tapFindings,
  fieldTestFindings,
  custodyFindings,
  dayFindings,
  limitFindings,
  derivedFindings,
]);

/** A misfit as a sentence. */
export const sayMisfit = (misfit: Coded): string => say(misfitWords, misfit);

/** A finding as a sentence, and what to do about it. */
export const sayAbout = (finding: Coded) => sayFinding(findingWords, finding);

/** `EU drinking water, edition 2026-1`; the reference itself where this copy of the product does not have it. */
function calledEdition(ref: string, own: readonly OwnLimitSet[] = []): string {
  const set = limitSetNamed(ref, own);
  return set ? `${set.name}, edition ${set.edition}` : ref;
}

const says = new Map<string, (payload: never) => string>([
  ...bookSays,
  ...registerSays,
  ...scoutSays,
  ...accessSays,
  ...planSays(calledEdition),
  ...prepareSays,
  ...arriveSays,
  ...levelSays,
  ...purgeSays,
  ...tapSays,
  ...fieldTestSays,
  ...fillSays,
  ...pictureSays,
  ...custodySays,
  ...kitSays,
  ...cultureSays,
  ...readSays,
  ...actSays,
]);

/** The kinds that the field book has words for: all of them. */
export const kindsInWords: ReadonlySet<string> = new Set([...says.keys(), struck.kind]);

/** A payload of a kind as a sentence; what cannot be read here is said to be so, never guessed. */
function sayPayload(kind: string, version: number, payload: unknown): string {
  const known = kindOf(kind);
  const sentence = says.get(kind);
  const read = known && readPayload(known, version, payload);
  if (!sentence || read?.state !== 'known') return 'This copy of Fonte cannot read it.';
  return sentence(upgraded(known!, version, read.payload) as never);
}

/** What an entry says, as a sentence; its title is `titleOf`. */
export function sayEntry(entry: Entry): string {
  if (!struck.is(entry)) return sayPayload(entry.kind, entry.version, entry.payload);
  const { kind, reason, instead } = entry.payload;
  const what = `${titleOf({ kind })}: ${reason}`;
  if (!instead) return `${what}. Struck.`;
  const at = instead.at ? `${instead.at.utc.slice(0, 19).replace('T', ' ')} UTC` : null;
  const said = instead.payload === undefined ? null : sayPayload(kind, instead.version ?? 1, instead.payload);
  return `${what}. Instead: ${[said, at].filter(Boolean).join(' ') || 'at another point.'}`;
}
