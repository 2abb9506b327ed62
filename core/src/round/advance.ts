import { madeUnreadable, misfit, type BookEntry, type Entry, type Misfit } from '../book/index.ts';
import type { Room } from '../book/index.ts';
import { AroundRound, AroundVisit } from './around.ts';
import { kindOf, roundRooms, visitRooms } from './kinds.ts';
import { emptyRound, emptyVisit, type RoundBook, type VisitBook } from './state.ts';

type RoundRoom = keyof typeof roundRooms;
type VisitRoom = keyof typeof visitRooms;
type AnyRoom = Room<unknown, unknown>;

const roomOf = new Map<string, { at: 'round'; name: RoundRoom } | { at: 'visit'; name: VisitRoom }>([
  ...(Object.keys(roundRooms) as RoundRoom[]).flatMap((name) =>
    roundRooms[name].kinds.map(({ kind }) => [kind, { at: 'round', name }] as const),
  ),
  ...(Object.keys(visitRooms) as VisitRoom[]).flatMap((name) =>
    visitRooms[name].kinds.map(({ kind }) => [kind, { at: 'visit', name }] as const),
  ),
]);

/** Why an entry does not fit the round as it stands, or null. Judgements of the field are not made here: a strange reading is data. */
export function misfitIn(round: RoundBook, entry: Entry): Misfit | null {
  const kind = kindOf(entry.kind);
  const place = roomOf.get(entry.kind);
  if (!kind || !place) return misfit('unknown-kind', 'kind', { kind: entry.kind });
  if (entry.version > kind.version) return misfit('newer-version', 'version');
  if (!round.plan.plan && place.name !== 'plan') return misfit('no-plan', 'book');
  const { doubt } = entry as Partial<BookEntry>;
  if (doubt) return misfit(doubt, 'device');
  if (place.at === 'round') {
    const room = roundRooms[place.name] as unknown as AnyRoom;
    if (entry.visit !== null && !round.plan.plan?.visits.some((visit) => visit.id === entry.visit)) return misfit('no-such-visit', 'visit');
    return room.fits(round[place.name], entry, new AroundRound(round));
  }
  const planned = round.plan.plan!.visits.find((visit) => visit.id === entry.visit);
  if (!planned) return misfit('no-such-visit', 'visit');
  const room = visitRooms[place.name] as unknown as AnyRoom;
  return room.fits((round.visits.get(planned.id) ?? emptyVisit)[place.name], entry, new AroundVisit(round, planned));
}

/** A round whose visits nobody else holds, so that they can be changed in place while a whole book is read. */
interface OwnRound extends RoundBook {
  visits: Map<string, VisitBook>;
}

function step(round: OwnRound, entry: Entry): OwnRound {
  // It says of other entries that their words were taken away, and nothing of the work.
  if (madeUnreadable.is(entry)) return round;
  const found = misfitIn(round, entry);
  if (found) return { ...round, aside: round.aside.with({ entry, misfit: found }) };
  const place = roomOf.get(entry.kind)!;
  if (place.at === 'round') {
    const room = roundRooms[place.name] as unknown as AnyRoom;
    return { ...round, [place.name]: room.advance(round[place.name], entry, new AroundRound(round)) };
  }
  const room = visitRooms[place.name] as unknown as AnyRoom;
  const visit = round.visits.get(entry.visit!) ?? emptyVisit;
  const planned = round.plan.plan!.visits.find((candidate) => candidate.id === entry.visit)!;
  const next = room.advance(visit[place.name], entry, new AroundVisit(round, planned));
  round.visits.set(entry.visit!, { ...visit, [place.name]: next });
  return round;
}

/**
 * The round after one more entry, which comes last in the order of work and has the payload of its kind's present version.
 * What does not fit stands aside and changes nothing else. The round that is given stays as it was.
 */
export function advance(round: RoundBook, entry: Entry): RoundBook {
  return step({ ...round, visits: new Map(round.visits) }, entry);
}

/** The round after all of these entries, in the order of work. */
export function advanceAll(entries: readonly Entry[]): RoundBook {
  return entries.reduce(step, { ...emptyRound, visits: new Map() });
}
