import { arrivalsAt, earlierArrival, type EarlierArrival } from '@fonte/core/arrive';
import { sampleRecord } from '@fonte/core/due';
import type { BookEntry, Entry } from '@fonte/core/book';
import { besideLevels, besideOf, levelRecord, type LevelOfRecord } from '@fonte/core/level';
import { pictureRecord, type PictureOfRecord } from '@fonte/core/pictures';
import { codeAlone } from '@fonte/core/plan';
import { setUpsAt, type EarlierSetUp } from '@fonte/core/purge';
import {
  placeOf,
  pointPlaces,
  registered,
  registerLists,
  registerNames,
  registerOf,
  type Point,
  type RegisterName,
} from '@fonte/core/registers';
import {
  findFreeCode,
  fold,
  listRounds,
  opens,
  inPresentVersion,
  roundLine,
  roundsIn,
  samplesOf,
  setUpOf,
  today,
  todayOf,
  type RoundLine,
  type RoundState,
} from '@fonte/core/round';
import { addressOf, type AnyEndpoint, type Answer, type Question } from '@fonte/core/endpoints';
import { scoutedAt, scoutedSince, type Scouted } from '@fonte/core/scout';
import { wallTime } from '@fonte/core/time';
import { z } from 'zod';
import { now } from '../time/clock.ts';
import { siteZone } from '../time/show.ts';
import { disk } from '../disk/index.ts';
import { inOutbox, outboxRead, waiting } from '../book/outbox.ts';
import { ownDevice } from '../session/device.ts';

/*
 * How the pages' questions are answered from what lies on this device, where there is no signal: from its books, from its
 * registers, and from what it has written itself.
 */

interface KeptThingOf {
  id: string;
  name: string;
  code?: string | undefined;
}

/** The entries of every round that lies here, those that only this device has among them. */
export async function keptRounds(): Promise<{ id: string; round: RoundState }[]> {
  await outboxRead();
  const { entries } = await disk();
  const books = new Map<string, Map<string, Entry>>();
  const put = (entry: Entry) => {
    const book = books.get(entry.book) ?? new Map<string, Entry>();
    books.set(entry.book, book.set(entry.id, entry));
  };
  await entries.each((entry: BookEntry) => put(entry));
  for (const { entry, state } of inOutbox()) if (state === 'waiting') put(entry);
  return [...books].flatMap(([id, book]) => {
    const all = [...book.values()];
    if (!all.some(({ kind }) => opens(kind) === 'round')) return [];
    const round = fold(all);
    return round ? [{ id, round }] : [];
  });
}

async function lines(): Promise<RoundLine[]> {
  return (await keptRounds()).map(({ id, round }) => roundLine(id, round));
}

/** The things of a register that lie here, as this device would have them now, by name. */
async function keptThings(register: RegisterName): Promise<KeptThingOf[]> {
  await outboxRead();
  const { things } = await disk();
  const found = new Map<string, KeptThingOf>();
  for (const { id, data } of await things.where('register').equals(register).toArray()) found.set(id, data as KeptThingOf);
  for (const { entry, state } of inOutbox())
    if (state === 'waiting' && registerOf(entry.kind) === register) found.set(entry.book, inPresentVersion(entry).payload as KeptThingOf);
  return [...found.values()].sort((a, b) => (a.name === b.name ? (a.id < b.id ? -1 : 1) : a.name < b.name ? -1 : 1));
}

async function page(register: RegisterName, { query = {} }: Question<(typeof registerLists)['points']>): Promise<KeptThingOf[]> {
  const { search = '', after, limit } = z.parse(registerLists.points.query, query);
  const all = await keptThings(register);
  // Nothing lies here at all: that is not the same as an empty register.
  if (all.length === 0 && register !== 'labs') throw new Error('This register is not on this device.');
  const wanted = search.toLowerCase();
  const matching = all.filter(({ name, code = '' }) => name.toLowerCase().includes(wanted) || code.toLowerCase().includes(wanted));
  const from = after ? matching.findIndex(({ id }) => id === after) + 1 : 0;
  return matching.slice(from, from + limit);
}

/** The record of a well as it was fetched, with what was read here since. */
async function levels(point: string): Promise<LevelOfRecord[]> {
  const { answers } = await disk();
  const kept = (await answers.get(addressOf(levelRecord, { in: { point } })))?.answer as LevelOfRecord[] | undefined;
  const own = (await keptRounds()).flatMap(({ id, round }) =>
    round.visits.flatMap((visit): LevelOfRecord[] => {
      const agreed = visit.point.id === point ? visit.level?.agreed : null;
      if (!agreed) return [];
      const { measuringPoint, at, depth, elevation, water } = agreed;
      return [{ round: id, at, measuringPoint, depth, elevation: elevation?.value ?? null, water }];
    }),
  );
  const fresh = own.filter(({ round, at }) => !kept?.some((one) => one.round === round && one.at === at));
  return [...(kept ?? []), ...fresh].sort((a, b) => a.at - b.at);
}

/** What was found at a point, as it was fetched, with what was found here since. */
async function arrivals(point: string): Promise<EarlierArrival[]> {
  const { answers } = await disk();
  const kept = (await answers.get(addressOf(arrivalsAt, { in: { point } })))?.answer as EarlierArrival[] | undefined;
  const own = (await keptRounds()).flatMap(({ id, round }) =>
    round.visits.flatMap((visit) => (visit.point.id === point ? (earlierArrival(id, visit.id, visit.arrival) ?? []) : [])),
  );
  const others = (kept ?? []).filter(({ visit }) => !own.some((one) => one.visit === visit));
  return [...others, ...own].sort((a, b) => b.at - a.at);
}

/** What was seen at a point without a round, as it was fetched, with what was written here since. */
async function scouted(point: string): Promise<Scouted[]> {
  await outboxRead();
  const { answers } = await disk();
  const kept = (await answers.get(addressOf(scoutedAt, { in: { point } })))?.answer as Scouted[] | undefined;
  return scoutedSince(kept ?? [], waiting(point));
}

const picturesOf = ({ at, pictures }: Scouted): PictureOfRecord[] =>
  pictures.map(({ sha256, shows, arrow }) => ({ round: null, visit: null, at, sha256, shows, arrow }));

/** How a well was set up before, as it was fetched, with what was set up here since. */
async function setUps(point: string): Promise<EarlierSetUp[]> {
  const { answers } = await disk();
  const kept = (await answers.get(addressOf(setUpsAt, { in: { point } })))?.answer as EarlierSetUp[] | undefined;
  const own = (await keptRounds()).flatMap(({ id, round }) =>
    round.visits.flatMap((visit) => (visit.point.id === point ? (setUpOf(id, visit) ?? []) : [])),
  );
  const others = (kept ?? []).filter(({ visit }) => !own.some((one) => one.visit === visit));
  return [...others, ...own].sort((a, b) => b.at - a.at);
}

type Local = (question: never) => Promise<unknown>;

function local<E extends AnyEndpoint>(
  { method, path }: E,
  answer: (question: Question<E>) => Promise<Answer<E>>,
): readonly [string, Local] {
  return [`${method} ${path}`, answer];
}

export const localAnswers: ReadonlyMap<string, Local> = new Map([
  local(today, async () => todayOf(await lines(), wallTime(now(), siteZone()).date)),
  local(listRounds, async ({ query }) => roundsIn(await lines(), z.parse(listRounds.query, query ?? {}))),
  local(findFreeCode, async ({ query: { date } }) => {
    const taken = (await keptRounds()).map(({ round }) => round.plan.code);
    return { code: codeAlone(date, taken, (await ownDevice()).id) };
  }),
  local(arrivalsAt, ({ in: { point } }) => arrivals(point)),
  local(setUpsAt, ({ in: { point } }) => setUps(point)),
  local(scoutedAt, ({ in: { point } }) => scouted(point)),
  local(pictureRecord, async ({ in: { point } }) =>
    (await keptRounds())
      .flatMap(({ id, round }) =>
        round.visits
          .filter((visit) => visit.point.id === point)
          .flatMap((visit) =>
            visit.pictures.map(({ at, sha256, shows, arrow }): PictureOfRecord => ({
              round: id,
              visit: visit.id,
              at,
              sha256,
              shows,
              arrow,
            })),
          ),
      )
      .concat((await scouted(point)).flatMap(picturesOf))
      .sort((one, other) => other.at - one.at),
  ),
  local(sampleRecord, async ({ query: { from } }) =>
    (await keptRounds())
      .flatMap(({ id, round }) => samplesOf(id, round))
      .filter(({ date }) => date >= from)
      .sort((one, other) => (one.date < other.date ? -1 : 1)),
  ),
  local(besideLevels, async ({ in: { point } }) => {
    const points = (await keptThings('points')) as Point[];
    const own = points.find(({ id }) => id === point);
    return own ? besideOf(own, points, levels) : [];
  }),
  local(levelRecord, ({ in: { point } }) => levels(point)),
  local(pointPlaces, async () => ((await keptThings('points')) as Point[]).map(placeOf)),
  ...registerNames.flatMap((name) => [
    local(registerLists[name], async (question) => (await page(name, question)) as never),
    local(registered[name], async ({ in: { id } }) => {
      const found = (await keptThings(name)).find((one) => one.id === id);
      if (!found) throw new Error('This thing is not on this device.');
      return found as never;
    }),
  ]),
]);
