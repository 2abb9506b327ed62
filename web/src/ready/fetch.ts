import { arrivalsAt } from '@fonte/core/arrive';
import { addressOf } from '@fonte/core/endpoints';
import { levelRecord } from '@fonte/core/level';
import { pictureFile } from '@fonte/core/pictures';
import { setUpsAt } from '@fonte/core/purge';
import { largestPage, registerLists, registerNames, type Point, type RegisterName } from '@fonte/core/registers';
import { fold, isClosed, listRounds, type RoundState } from '@fonte/core/round';
import { pointPicture, scoutedAt } from '@fonte/core/scout';
import { ApiProblem, call } from '../api/call.ts';
import { readOrKept } from '../api/kept.ts';
import { readBook } from '../book/held.ts';
import { inOutbox } from '../book/outbox.ts';
import { disk, note, noted } from '../disk/index.ts';
import { now } from '../time/clock.ts';
import { keptRounds } from './answers.ts';

/** What of the coming days lies on this device. */
export interface ReadyNote {
  /** When it was last fetched whole (ms). */
  at: number;
  rounds: { id: string; name: string; date: string; points: number; pictures: number }[];
  things: Record<RegisterName, number>;
  levels: number;
}

/** One thing that is fetched, with how far it is. */
export interface Step {
  name: 'rounds' | 'registers' | 'levels' | 'pictures';
  done: number;
  of: number;
}

const noteName = 'ready';
export const readyNote = (): Promise<ReadyNote | undefined> => noted<ReadyNote>(noteName);

interface Registered {
  id: string;
  name: string;
  code?: string;
}

/** All pages of a register, in place of what lay here. */
async function fetchRegister(register: RegisterName): Promise<number> {
  const all: Registered[] = [];
  for (let after: string | undefined; ; after = all.at(-1)!.id) {
    const found = (await call(registerLists[register], { query: { limit: largestPage, ...(after ? { after } : {}) } })) as Registered[];
    all.push(...found);
    if (found.length < largestPage) break;
  }
  const opened = await disk();
  await opened.transaction('rw', opened.things, async () => {
    await opened.things.where('register').equals(register).delete();
    await opened.things.bulkPut(all.map((data) => ({ id: data.id, register, name: data.name, code: data.code ?? null, data })));
  });
  return all.length;
}

async function fetchPicture(sha256: string, address: string): Promise<void> {
  const { files } = await disk();
  if (await files.get(sha256)) return;
  const answer = await fetch(address);
  if (!answer.ok) throw new ApiProblem(answer.status, 'A picture could not be fetched.', []);
  const blob = await answer.blob();
  await files.put({ sha256, blob, type: blob.type, round: null });
}

/** A round that is done stays on the device for so long, in ms. */
const keptFor = 30 * 86_400_000;

/** Rounds that were done long ago leave the device: the server has them. */
async function forgetOld(open: ReadonlySet<string>): Promise<void> {
  const { entries } = await disk();
  const waiting = new Set(inOutbox().map(({ book }) => book));
  for (const { id, round } of await keptRounds()) {
    const isOld = now() - Date.parse(round.plan.date) > keptFor && isClosed(round);
    if (isOld && !open.has(id) && !waiting.has(id)) await entries.where('[book+seq]').between([id, 0], [id, Infinity]).delete();
  }
}

/**
 * Fetches what a day without signal needs: the rounds that are open with their books, the registers, the records of their wells
 * and their pictures. What is here already is not fetched again. @throws NoConnection, ApiProblem
 */
export async function makeReady(tell: (step: Step) => void = () => undefined): Promise<ReadyNote> {
  const open = await call(listRounds, { query: { state: 'open', limit: 200 } });
  const rounds: { id: string; round: RoundState }[] = [];
  for (const [index, { id }] of open.entries()) {
    tell({ name: 'rounds', done: index, of: open.length });
    const round = fold(await readBook(id));
    if (round) rounds.push({ id, round });
  }
  const things = {} as ReadyNote['things'];
  for (const [index, register] of registerNames.entries()) {
    tell({ name: 'registers', done: index, of: registerNames.length });
    things[register] = await fetchRegister(register);
  }
  const points = new Map<string, Point>();
  for (const { round } of rounds) for (const { point } of round.visits) points.set(point.id, point);
  const wells = [...points.values()].filter(({ type }) => type === 'well').length;
  let levels = 0;
  for (const { id: point, type } of points.values()) {
    await readOrKept(arrivalsAt, { in: { point } });
    for (const { pictures: seen } of await readOrKept(scoutedAt, { in: { point } }))
      for (const { sha256 } of seen) await fetchPicture(sha256, addressOf(pointPicture, { in: { point, sha256 } }));
    if (type !== 'well') continue;
    await readOrKept(setUpsAt, { in: { point } });
    tell({ name: 'levels', done: levels, of: wells });
    await readOrKept(levelRecord, { in: { point } });
    levels += 1;
  }
  const pictures = rounds.flatMap(({ id, round }) => round.visits.flatMap((visit) => visit.pictures.map(({ sha256 }) => ({ id, sha256 }))));
  for (const [index, { id, sha256 }] of pictures.entries()) {
    tell({ name: 'pictures', done: index, of: pictures.length });
    await fetchPicture(sha256, addressOf(pictureFile, { in: { round: id, sha256 } }));
  }
  const ready: ReadyNote = {
    at: now(),
    rounds: rounds.map(({ id, round }) => ({
      id,
      name: round.plan.name,
      date: round.plan.date,
      points: round.visits.length,
      pictures: pictures.filter((one) => one.id === id).length,
    })),
    things,
    levels,
  };
  await note(noteName, ready);
  await forgetOld(new Set(rounds.map(({ id }) => id)));
  return ready;
}

/** How old, in ms, what lies here may be before it is fetched again by itself. */
const freshFor = 3_600_000;

/** Keeps what a day without signal needs up to date, quietly: whoever forgets to ask has yesterday's day at least. */
export async function keepReady(): Promise<void> {
  const known = await readyNote();
  if (known && now() - known.at < freshFor) return;
  await makeReady();
}
