import type { FollowUp } from '../act/index.ts';
import { isBefore, standing, struck, upgraded, type Aside, type Correction, type Entry, type Strike } from '../book/index.ts';
import type { CultureBook } from '../culture/index.ts';
import { deliveries, type HandOver } from '../custody/index.ts';
import type { Plan, PlanBook, RoundEditions } from '../plan/index.ts';
import type { RoundReport, ToldResult, Without } from '../read/index.ts';
import { advance, advanceAll } from './advance.ts';
import type { BottleState } from './bottle.ts';
import { tablesOf, unknownEditions, type RoundTables } from './editions.ts';
import { kindOf, opens } from './kinds.ts';
import { handSamples, type HandSample } from './by-hand.ts';
import { judge, type RoundVerdict } from './results.ts';
import type { RoundBook } from './state.ts';
import { visitState, type VisitState } from './visit.ts';

/** The state of a round, derived from its book and from nothing else. */
export interface RoundState {
  plan: Plan;
  editions: RoundEditions;
  /** That the rest of it will not be done, and why; null for a round that goes on. */
  givenUp: PlanBook['givenUp'];
  /** Duplicates and blanks beside the samples. */
  extras: PlanBook['extras'];
  /** How the day is driven; null where nobody has said it. */
  day: PlanBook['day'];
  /** How it was prepared. */
  prepare: RoundBook['prepare'];
  tables: RoundTables;
  /** The limit sets of the house that came with its book. */
  ownLimits: PlanBook['ownLimits'];
  /** Editions that the round names and this copy of the product does not have: by them nothing can be judged here. */
  unknown: string[];
  visits: VisitState[];
  bottles: BottleState[];
  /** The legs that end at a lab. */
  handOvers: readonly HandOver[];
  /** Every change of hands, and what was read of the boxes. */
  custody: RoundBook['custody'];
  /** The household that has it as a kit. */
  kit: RoundBook['kit'];
  /** Labs beside the round's own. */
  labs: PlanBook['labs'];
  /** What grows, or was counted, on the own bench. */
  cultures: CultureBook;
  reports: readonly RoundReport[];
  /** Results that were told before their report came, and those that nobody waits for any more. */
  told: readonly ToldResult[];
  without: readonly Without[];
  /** Samples at the lab that a person compares with the limits. */
  handSamples: HandSample[];
  verdict: RoundVerdict | null;
  followUps: FollowUp[];
  /** What stands in the book and does not fit, until a person places or strikes it. */
  aside: Aside<Entry>[];
  /** The corrections that stand, by the entry they strike. */
  strikes: ReadonlyMap<string, Strike>;
}

/** A book on its way: the state so far, and what is needed to add an entry without reading the book again. */
export interface Folding {
  round: RoundBook;
  /** The last standing entry in the order of work. */
  last: Entry | null;
  strikes: ReadonlyMap<string, Strike>;
  /** Corrections that do not fit. */
  corrections: Aside<Entry>[];
}

/** An entry as it would be written today. One of a later version than this copy of the product knows stays as it is. */
export function inPresentVersion<E extends Entry>(entry: E): E {
  const kind = kindOf(entry.kind);
  if (!kind || entry.version >= kind.version) return entry;
  return { ...entry, version: kind.version, payload: upgraded(kind, entry.version, entry.payload) };
}

/** The plan comes first, whatever the clock of the device that made it says: nothing of the round can be before it. */
function planFirst<E extends Entry>(entries: E[]): E[] {
  const place = entries.findIndex((entry) => opens(entry.kind) === 'round');
  return place <= 0 ? entries : [entries[place]!, ...entries.slice(0, place), ...entries.slice(place + 1)];
}

/** Reads a book from its first entry on, in whatever order its entries are given. */
export function foldBook(entries: readonly Entry[]): Folding {
  const present = entries.every((entry) => kindOf(entry.kind)?.version === entry.version) ? entries : entries.map(inPresentVersion);
  const { entries: effective, strikes, aside } = standing(present, kindOf);
  const ordered = planFirst(effective);
  const last = ordered.at(-1);
  return { round: advanceAll(ordered), last: last && !opens(last.kind) ? last : null, strikes, corrections: aside };
}

/**
 * The book with one more entry, or null when it has to be read anew: after a correction, before one that has arrived already,
 * and when an entry is about work that was done before something which is known already.
 */
export function followBook(folding: Folding, entry: Entry): Folding | null {
  if (struck.is(entry) || opens(entry.kind) || (folding.last && !isBefore(folding.last, entry))) return null;
  // A correction of it has arrived before.
  if (folding.corrections.some(({ entry: correction }) => (correction as Correction).payload.entry === entry.id)) return null;
  return { ...folding, round: advance(folding.round, inPresentVersion(entry)), last: entry };
}

/** What a book says, laid out for those who read it; null for a book whose round was not planned. */
export function look({ round, strikes, corrections }: Folding): RoundState | null {
  const { plan, editions, ownLimits, givenUp, extras, labs, day } = round.plan;
  if (!plan || !editions) return null;
  const visits = plan.visits.map((visit) => visitState(round, visit.id)!);
  return {
    plan,
    editions,
    givenUp,
    extras,
    day,
    prepare: round.prepare,
    tables: tablesOf(editions, ownLimits),
    ownLimits,
    unknown: unknownEditions(editions, plan.visits, ownLimits),
    visits,
    bottles: visits.flatMap((visit) => visit.bottles),
    handOvers: deliveries(round.custody),
    custody: round.custody,
    kit: round.kit,
    labs,
    cultures: round.culture,
    ...round.report,
    handSamples: handSamples(visits, round.report),
    ...judge(round, visits),
    aside: [...corrections, ...round.aside.all()],
    strikes,
  };
}

/**
 * The state of a round from the entries of its book, in any order: pure, and the same on page, server and in tests. Null
 * for a book whose round was not planned.
 */
export function fold(entries: readonly Entry[]): RoundState | null {
  return look(foldBook(entries));
}
