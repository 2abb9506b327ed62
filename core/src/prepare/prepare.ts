import { isDisinfected } from '../registers/index.ts';
import { misfit, type Room } from '../book/index.ts';
import { cardOf, gearRow, rulesFor, type BottleRule, type BottleTable, type GearId, type SampleReason } from '../bottles/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { PlannedVisit } from '../plan/index.ts';
import type { Instrument, InstrumentKind } from '../registers/index.ts';
import { millis, wallTime } from '../time/index.ts';
import { checkHolds, type When } from './holds.ts';
import { checkRow, checksFor, instrumentFor, judgeCheck, type CheckId, type CheckMade, type CheckOutcome } from './check.ts';
import { calls, type CallRow } from './tables/calls.ts';
import { shutAt } from './tables/checks.ts';
import { bottlesBoxed, callMade, checkOverridden, gearChecked, instrumentChecked, kitTicked, type callAnswers } from './entries.ts';
import type { BoxOfBook } from './boxing.ts';
import type { MeasuredAt, PackId } from './packing.ts';

/** A check in the book of a round, with what came of it. */
export interface Check extends CheckMade {
  entry: string;
  /** When it was made (ms). */
  at: number;
  /** Where it was made, if in another round. */
  takenFrom: { round: string; entry: string } | null;
  instrument: Pick<Instrument, 'id' | 'name' | 'kind' | 'serial'>;
  isAdjusted: boolean;
  outcome: CheckOutcome;
}

export interface Call {
  entry: string;
  at: number;
  /** Null for the lab's. */
  point: string | null;
  whom: string;
  answer: (typeof callAnswers)[number];
  words: string;
}

/** What a book says of how its round was prepared. */
export interface PrepareBook {
  checks: readonly Check[];
  overridden: readonly { entry: string; at: number; kind: InstrumentKind; reason: string }[];
  packed: ReadonlySet<PackId>;
  /** What was said of each piece of gear, oldest first. */
  gear: ReadonlyMap<GearId, readonly { at: number; isSo: boolean }[]>;
  calls: readonly Call[];
  /** The box that each bottle stands in. */
  boxed: ReadonlyMap<string, BoxOfBook>;
}

/** What lies around it in its round. */
export interface PrepareAround {
  date: string;
  zone: string;
  hasBottle: (id: string) => boolean;
}

export const prepareRoom: Room<PrepareBook, PrepareAround> = {
  kinds: [instrumentChecked, checkOverridden, kitTicked, gearChecked, callMade, bottlesBoxed],
  empty: { checks: [], overridden: [], packed: new Set(), gear: new Map(), calls: [], boxed: new Map() },
  fits: ({ checks }, entry, around) => {
    if (bottlesBoxed.is(entry)) {
      const unknown = entry.payload.bottles.find((id) => !around.hasBottle(id));
      return unknown === undefined ? null : misfit('not-in-round', 'payload.bottles', { bottle: unknown });
    }
    if (!instrumentChecked.is(entry)) return null;
    const { check, instrument, nominal, reading, isGood, standard, taken } = entry.payload;
    const row = checkRow(check);
    if (taken) {
      const at = millis(taken.at);
      if (at > millis(entry.at) || !checkHolds(at, { at: millis(entry.at), zone: around.zone }))
        return misfit('not-of-the-day', 'payload.taken');
      // What was read here since then is younger.
      if (checks.some((one) => one.instrument.id === instrument.id && one.check === check && one.at >= at))
        return misfit('read-since', 'payload.taken');
    }
    if (row.kind !== instrument.kind) return misfit('other-instrument', 'payload.check');
    if (!row.parameter) return isGood === undefined ? misfit('no-answer', 'payload.isGood') : null;
    if (!reading) return misfit('no-reading', 'payload.reading');
    if (row.nominal === undefined && !nominal) return misfit('no-nominal', 'payload.nominal');
    return row.isOfLot && !standard ? misfit('no-lot', 'payload.standard.lot') : null;
  },
  advance: (book, entry, { date }) => {
    const done = { entry: entry.id, at: millis(entry.at) };
    if (instrumentChecked.is(entry)) {
      const { taken, ...made } = entry.payload;
      const from = taken ? { at: millis(taken.at), takenFrom: { round: taken.round, entry: taken.entry } } : { takenFrom: null };
      return { ...book, checks: [...book.checks, { ...done, ...made, ...from, outcome: judgeCheck(made, date) }] };
    }
    if (checkOverridden.is(entry)) return { ...book, overridden: [...book.overridden, { ...done, ...entry.payload }] };
    if (kitTicked.is(entry)) {
      const packed = new Set(book.packed);
      if (entry.payload.isPacked) packed.add(entry.payload.item);
      else packed.delete(entry.payload.item);
      return { ...book, packed };
    }
    if (gearChecked.is(entry)) {
      const { gear, isSo } = entry.payload;
      return { ...book, gear: new Map(book.gear).set(gear, [...(book.gear.get(gear) ?? []), { at: done.at, isSo }]) };
    }
    if (bottlesBoxed.is(entry)) {
      const boxed = new Map(book.boxed);
      for (const id of entry.payload.bottles)
        if (entry.payload.box) boxed.set(id, entry.payload.box);
        else boxed.delete(id);
      return { ...book, boxed };
    }
    if (!callMade.is(entry)) return book;
    const { point = null, ...call } = entry.payload;
    return { ...book, calls: [...book.calls, { ...done, point, ...call }] };
  },
};

/** Where an instrument of a kind stands before it is used. */
export type Readiness = 'checked' | 'failed' | 'unchecked' | 'overridden';

/** The last of each check of an instrument. */
function lastOf(checks: readonly Check[], instrument: string): Map<CheckId, Check> {
  return new Map(checks.filter((one) => one.instrument.id === instrument).map((one) => [one.check, one]));
}

/**
 * Where one instrument stands for readings of these parameters: every check that they rest on has passed and still holds, one has failed,
 * or some are missing. One that failed has failed until it passes.
 */
export function readinessOf(
  instrument: Pick<Instrument, 'id' | 'kind'>,
  of: readonly ParameterId[],
  checks: readonly Check[],
  when: When,
): Exclude<Readiness, 'overridden'> {
  const last = lastOf(checks, instrument.id);
  const asked = checksFor(instrument.kind, of, wallTime(when.at, when.zone).date);
  if (asked.some((id) => last.has(id) && last.get(id)!.outcome !== 'pass')) return 'failed';
  const holds = (id: CheckId) => last.has(id) && checkHolds(last.get(id)!.at, when);
  return asked.every((id) => checkRow(id).isOptional || holds(id)) ? 'checked' : 'unchecked';
}

/**
 * Where the instruments of a kind stand for readings of these parameters in a round at a moment: one that is ready is enough; what somebody
 * took on themselves counts only as that and for its day, and a check that fails after it takes it back.
 * @param of what is read; of a kind whose checks bear on all that it reads it may be empty
 */
export function kindReadiness(
  kind: InstrumentKind,
  of: readonly ParameterId[],
  { checks, overridden }: PrepareBook,
  when: When,
): Readiness {
  const asked = checksFor(kind, of, wallTime(when.at, when.zone).date);
  const own = checks.filter((one) => one.instrument.kind === kind && asked.includes(one.check));
  const each = [...new Map(own.map((one) => [one.instrument.id, one.instrument])).values()].map((one) => readinessOf(one, of, own, when));
  if (each.includes('checked')) return 'checked';
  const lastFail = Math.max(-Infinity, ...own.filter(({ outcome }) => outcome !== 'pass').map(({ at }) => at));
  if (overridden.some((one) => one.kind === kind && one.at > lastFail && checkHolds(one.at, when))) return 'overridden';
  return each.includes('failed') ? 'failed' : 'unchecked';
}

/**
 * Whether work with an instrument waits until it is checked or somebody takes it on themselves. Who keeps none in the register
 * checks them elsewhere.
 */
export function isShut(kind: InstrumentKind, readiness: Readiness, isKept: boolean): boolean {
  return readiness === 'failed' || (readiness === 'unchecked' && isKept && shutAt[kind] === 'unchecked');
}

/**
 * What to say of an instrument with which work goes on although nothing shows that it reads right: that its check is missing, or that none is
 * in the register. Null where nothing is to be said.
 */
export function unproven(kind: InstrumentKind, readiness: Readiness, isKept: boolean): 'unchecked' | 'not-kept' | null {
  if (readiness !== 'unchecked' || shutAt[kind] === 'failed' || isShut(kind, readiness, isKept)) return null;
  return isKept ? 'unchecked' : 'not-kept';
}

/** A kind of instrument that a plan needs, and what of it is read where its checks are told apart by that. */
export interface NeededInstrument {
  kind: InstrumentKind;
  of: readonly ParameterId[];
}

/** The instruments that a plan needs: by what is visited and sampled, and by what the protocols there measure. */
export function neededInstruments(visits: readonly PlannedVisit[], measuredAt: MeasuredAt = () => []): NeededInstrument[] {
  const onTheWay = new Set(visits.flatMap((visit) => [...measuredAt(visit)]));
  const isAt = (type: 'well' | 'tap') => visits.some(({ point }) => point.type === type);
  const isPurged = visits.some(({ point, analyses }) => point.type === 'well' && analyses.length > 0);
  const isResidualRead = visits.some(({ point, analyses }) => isDisinfected(point) && analyses.length > 0);
  const isSampled = visits.some(({ analyses }) => analyses.length > 0);
  const readWith = (kind: InstrumentKind) => [...onTheWay].filter((id) => instrumentFor(id) === kind);
  const chlorine = new Set<ParameterId>([...(isResidualRead ? (['freeChlorine'] as const) : []), ...readWith('photometer')]);
  const each: [InstrumentKind, boolean, readonly ParameterId[]][] = [
    ['photometer', chlorine.size > 0, [...chlorine]],
    ['turbidimeter', readWith('turbidimeter').length > 0, readWith('turbidimeter')],
    ['probe', isPurged || readWith('probe').length > 0, readWith('probe')],
    ['thermometer', isSampled || isAt('tap') || readWith('thermometer').length > 0, readWith('thermometer')],
    ['tape', isAt('well'), []],
    ['pump', isPurged, []],
  ];
  return each.flatMap(([kind, isNeeded, of]) => (isNeeded ? [{ kind, of }] : []));
}

/** What gear the bottles of a plan ask for, each once. */
export function gearOf(visits: readonly PlannedVisit[], table: BottleTable): GearId[] {
  const cards = visits.flatMap(({ analyses }) => rulesFor(table, analyses).map((rule) => cardOf(table, rule)));
  return [...new Set(cards.flatMap(({ gear = [] }) => gear))];
}

/**
 * What gear that was not as it should be makes of a sample: what stood when it was filled (ms; null before it is), not what was said
 * afterwards. Nobody asked is no reason: the list says that it is open.
 */
export function gearReasons({ gear = [] }: Pick<BottleRule, 'gear'>, { gear: said }: PrepareBook, filledAt: number | null): SampleReason[] {
  return gear
    .filter((id) => said.get(id)?.findLast(({ at }) => filledAt === null || at <= filledAt)?.isSo === false)
    .map((id): SampleReason => {
      const { ask, makes } = gearRow(id);
      return { code: 'gear', makes: makes === 'noted' ? 'routine' : makes, data: { ask } };
    });
}

/** Somebody to be called before a round. */
export interface CallToMake {
  point: string | null;
  whom: string;
  call: string | null;
  about: 'let-in' | 'lab' | 'work';
  /** What is asked of whom the work itself needs. */
  ask?: string;
}

const callRows: readonly CallRow[] = Object.values(calls);

/** Whom the work at a visit needs, whether or not its point has a contact. */
const callsOfWork = ({ point, analyses }: PlannedVisit): CallToMake[] =>
  callRows
    .filter((row) => (row.analyses?.some((id) => analyses.includes(id)) ?? false) || (row.kinds?.includes(point.kind) ?? false))
    .map(({ whom, ask }) => ({ point: point.id, whom, call: null, about: 'work', ask }));

/** Who is to be called: those who let one in and those whom the work needs, once each, and the lab where samples are brought to it. */
export function callsToMake(visits: readonly PlannedVisit[], lab: { name: string } | null): CallToMake[] {
  const contacts = visits.flatMap((visit) => [
    ...(visit.point.contacts ?? []).map(({ name, call = null }): CallToMake => ({
      point: visit.point.id,
      whom: name,
      call,
      about: 'let-in',
    })),
    ...callsOfWork(visit),
  ]);
  const once = new Map(contacts.map((one) => [`${one.point} ${one.whom}`, one]));
  const isSampled = visits.some(({ analyses }) => analyses.length > 0);
  return [...once.values(), ...(lab && isSampled ? [{ point: null, whom: lab.name, call: null, about: 'lab' as const }] : [])];
}
