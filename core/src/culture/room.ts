import { misfit, type Entry, type Misfit, type Room } from '../book/index.ts';
import { localDate, millis, second } from '../time/index.ts';
import { base } from '../units/index.ts';
import { cultureBegun, cultureDropped, cultureRead } from './entries.ts';
import { countOf, impossibleCount, questionCount, saysNothingYet, type Count } from './judge.ts';
import { cultureMethod, type CultureMethod } from './methods.ts';
import type { z } from 'zod';

/** Why less may be believed of a count, as a code with its words' data. */
export interface CultureDoubt {
  code: 'no-blank' | 'no-control' | 'blank-grew' | 'control-silent' | 'too-early' | 'too-late' | 'warmth' | 'medium' | 'held';
  says?: string;
}

/** What was counted in one bottle. */
export interface BottleCount {
  bottle: string;
  /** The entry, and when it was counted (ms). */
  entry: string;
  at: number;
  coliforms: Count;
  ecoli: Count;
  doubts: readonly CultureDoubt[];
  kept: string | null;
}

/** Whether a blank or control was looked at, and grew. */
export type Grew = { grew: boolean; entry: string; at: number } | null;

/** Bottles in the incubator together. */
export interface Culture {
  id: string;
  method: CultureMethod;
  at: number;
  bottles: readonly string[];
  filtered: number;
  hasBlank: boolean;
  hasControl: boolean;
  blank: Grew;
  control: Grew;
  lot: string;
  doubts: readonly CultureDoubt[];
  counts: readonly BottleCount[];
  dropped: string | null;
}
export type CultureBook = readonly Culture[];

export interface CultureAround {
  /** Filled with bacteria, and still at hand. */
  isToGrow: (bottle: string) => boolean;
  /** Until when it is to be begun with (ms); null where nothing says it. */
  growBy: (bottle: string) => number | null;
}

interface CultureView {
  cultures: CultureBook;
}

/** Whether everything in a culture was counted, or nothing more comes of it. */
export function isCounted({ bottles, counts, hasBlank, blank, hasControl, control, dropped }: Culture): boolean {
  return dropped !== null || (counts.length === bottles.length && (!hasBlank || blank !== null) && (!hasControl || control !== null));
}

/** How a reading departs from the time in the incubator, or null. `at` in ms. */
export function timeDeparts({ method, at: begun }: Pick<Culture, 'method' | 'at'>, at: number): 'too-early' | 'too-late' | null {
  const { least, most } = cultureMethod(method);
  const grew = (at - begun) / second;
  return grew < least ? 'too-early' : grew > most ? 'too-late' : null;
}

function begunDoubts(entry: Entry, around: CultureAround): CultureDoubt[] {
  if (!cultureBegun.is(entry)) return [];
  const { method, bottles, hasBlank, hasControl, medium, warmth, departure = '' } = entry.payload;
  const [cold, hot] = cultureMethod(method).warmth;
  const at = base(warmth);
  const late = bottles.filter((bottle) => millis(entry.at) > (around.growBy(bottle) ?? Infinity));
  return [
    ...(hasBlank ? [] : [{ code: 'no-blank' } as const]),
    ...(hasControl ? [] : [{ code: 'no-control' } as const]),
    ...(at < cold || at > hot ? [{ code: 'warmth', says: departure } as const] : []),
    ...(medium.expires < localDate(entry.at) ? [{ code: 'medium', says: departure } as const] : []),
    ...(late.length > 0 ? [{ code: 'held', says: late.join(', ') } as const] : []),
  ];
}

function beginFits(cultures: CultureBook, entry: Entry, around: CultureAround): Misfit | null {
  if (!cultureBegun.is(entry)) return null;
  const { method, bottles, filtered, departure } = entry.payload;
  const strange = bottles.find(
    (bottle) => !around.isToGrow(bottle) || cultures.some((one) => !one.dropped && one.bottles.includes(bottle)),
  );
  if (strange !== undefined) return misfit('not-to-grow', 'payload.bottles', { bottle: strange });
  if ((cultureMethod(method).counts.of === 'colonies') !== (filtered !== undefined)) return misfit('say-filtered', 'payload.filtered');
  const departs = begunDoubts(entry, around).find(({ code }) => code === 'warmth' || code === 'medium');
  return departs && !departure ? misfit(`culture-${departs.code}`, 'payload.departure') : null;
}

/** Whether something of a culture can be counted so, and was not yet. */
function countFits(culture: Culture, { what, counted }: z.infer<typeof cultureRead.payload>): Misfit | null {
  if (what.is !== 'bottle') {
    if (what.is === 'blank' ? !culture.hasBlank || culture.blank : !culture.hasControl || culture.control)
      return misfit('no-such-thing', 'payload.what');
    return counted.of === 'growth' ? null : misfit('other-count', 'payload.counted');
  }
  if (!culture.bottles.includes(what.bottle)) return misfit('not-in-culture', 'payload.what', { bottle: what.bottle });
  if (culture.counts.some(({ bottle }) => bottle === what.bottle))
    return misfit('counted-already', 'payload.what', { bottle: what.bottle });
  if (counted.of === 'growth') return misfit('other-count', 'payload.counted');
  const wrong = impossibleCount(culture.method, counted);
  return wrong && misfit(wrong.code, 'payload.counted', wrong.data);
}

function readFits(cultures: CultureBook, entry: Entry): Misfit | null {
  if (!cultureRead.is(entry)) return null;
  const { culture: id, what, counted, departure, kept } = entry.payload;
  const culture = cultures.find((one) => one.id === id && !one.dropped);
  if (!culture) return misfit('no-such-culture', 'payload.culture');
  const unfit = countFits(culture, entry.payload);
  if (unfit) return unfit;
  const late = timeDeparts(culture, millis(entry.at));
  // Before its time what has not grown may still do so: none found is no reading yet.
  if (late === 'too-early' && (saysNothingYet(counted) || (counted.of === 'growth' && what.is === 'blank')))
    return misfit('nothing-yet', 'payload.counted');
  if (late && !departure) return misfit(`culture-${late}`, 'payload.departure');
  const odd = what.is === 'bottle' && questionCount(culture.method, counted)[0];
  return odd && !kept ? misfit('count-asked', 'payload.kept', { ...odd.data, finding: odd.code }) : null;
}

/** Before its time what was positive is at least so much, and what did not grow says nothing: E. coli of coliforms that grew already, too. */
function atLeast(count: Count): Count {
  if (count.form === 'value') return { ...count, form: 'least', to: null };
  return count.form === 'below' || count.form === 'absent' ? { ...count, form: 'open', value: null, from: null, to: null } : count;
}

export const cultureRoom: Room<CultureBook, CultureAround, CultureView> = {
  next: {
    results: ({ cultures }) => {
      const count = cultures.filter((one) => !isCounted(one)).length;
      return count > 0 ? { code: 'read-culture', data: { count } } : null;
    },
  },
  kinds: [cultureBegun, cultureRead, cultureDropped],
  empty: [],
  fits: (cultures, entry, around) => {
    if (cultureBegun.is(entry)) return beginFits(cultures, entry, around);
    if (cultureRead.is(entry)) return readFits(cultures, entry);
    if (!cultureDropped.is(entry)) return null;
    const culture = cultures.find(({ id }) => id === entry.payload.culture);
    return culture && !culture.dropped ? null : misfit('no-such-culture', 'payload.culture');
  },
  advance: (cultures, entry, around) => {
    if (cultureBegun.is(entry)) {
      const { method, bottles, filtered = 100, hasBlank, hasControl, medium } = entry.payload;
      const begun: Culture = {
        id: entry.id,
        method,
        at: millis(entry.at),
        bottles,
        filtered,
        hasBlank,
        hasControl,
        blank: null,
        control: null,
        lot: medium.lot,
        doubts: begunDoubts(entry, around),
        counts: [],
        dropped: null,
      };
      return [...cultures, begun];
    }
    const of = (id: string, change: (culture: Culture) => Culture) => cultures.map((one) => (one.id === id ? change(one) : one));
    if (cultureDropped.is(entry)) return of(entry.payload.culture, (culture) => ({ ...culture, dropped: entry.payload.reason }));
    if (!cultureRead.is(entry)) return cultures;
    const { culture: id, what, counted, departure, kept } = entry.payload;
    const at = millis(entry.at);
    return of(id, (culture) => {
      if (what.is !== 'bottle') return { ...culture, [what.is]: { grew: counted.of === 'growth' && counted.grew, entry: entry.id, at } };
      const count = countOf(culture.method, counted, culture.filtered);
      if (!count) return culture;
      const late = timeDeparts(culture, at);
      const early = late === 'too-early';
      return {
        ...culture,
        counts: [
          ...culture.counts,
          {
            bottle: what.bottle,
            entry: entry.id,
            at,
            coliforms: early ? atLeast(count.coliforms) : count.coliforms,
            ecoli: early ? atLeast(count.ecoli) : count.ecoli,
            doubts: late ? [{ code: late, says: departure ?? '' }] : [],
            kept: kept ?? null,
          },
        ],
      };
    });
  },
};

/** Every doubt about a count: its own, that of its batch, and what blank and control say of it. */
export function doubtsOf(culture: Culture, count: BottleCount): CultureDoubt[] {
  const { blank, control, doubts } = culture;
  return [
    ...(blank?.grew ? [{ code: 'blank-grew' } as const] : []),
    ...(control && !control.grew ? [{ code: 'control-silent' } as const] : []),
    ...doubts,
    ...count.doubts,
  ];
}
