import type { Finding } from '../findings/index.ts';

/** Wells or tubes of one volume, and how many of them turned positive. */
export interface MpnSet {
  /** Water in each, in mL. */
  volume: number;
  wells: number;
  positive: number;
}

/** A most probable number with its limits, all per 100 mL. */
export interface Mpn {
  /** `below`: none was positive, and it is less than `value`; `above`: all were, and it is more. */
  form: 'value' | 'below' | 'above';
  value: number;
  /** 95 % limits; null where there is none to one side. */
  from: number | null;
  to: number | null;
  /** How likely the wells are as they are, against the likeliest way at this number, from 0 to 1. */
  rarity: number;
}

/** Half the 95 % point of χ² with one degree of freedom: so far may the logarithm of the likelihood fall. Wilks (1938). */
const halfFall = 1.9207294;
const per = 100;
/** What is left to one side of limits of 95 %. */
const tail = 0.025;

/** The logarithm of the likelihood of a number of germs in a mL, without what does not hang on it. */
function likelihood(sets: readonly MpnSet[], density: number): number {
  let sum = 0;
  for (const { volume, wells, positive } of sets) {
    const mean = density * volume;
    if (positive > 0) sum += positive * Math.log(-Math.expm1(-mean));
    sum -= (wells - positive) * mean;
  }
  return sum;
}

/** Its slope over the density: it falls from above to below 0 at the most probable number. */
function slope(sets: readonly MpnSet[], density: number): number {
  let sum = 0;
  for (const { volume, wells, positive } of sets) {
    if (positive > 0) sum += (positive * volume) / Math.expm1(density * volume);
    sum -= (wells - positive) * volume;
  }
  return sum;
}

/** Where a function that falls over a density crosses 0, in the logarithm of the density. */
function crossing(falls: (density: number) => number, from: number, to: number): number {
  let [low, high] = [Math.log(from), Math.log(to)];
  for (let step = 0; step < 200 && high - low > 1e-13; step++) {
    const middle = (low + high) / 2;
    if (falls(Math.exp(middle)) > 0) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}

const least = 1e-9;
const most = 1e9;

function solve(sets: readonly MpnSet[]): number {
  return crossing((density) => slope(sets, density), least, most);
}

/** The sets with one well turned, the other way round at each of them in turn. */
const withOne = (sets: readonly MpnSet[], by: 1 | -1): MpnSet[][] =>
  sets.map((_, at) => sets.map((set, place) => (place === at ? { ...set, positive: set.positive + by } : set)));

/** The likeliest number of positives of a set at a density. */
function mode({ volume, wells }: MpnSet, density: number): number {
  return Math.min(wells, Math.floor((wells + 1) * -Math.expm1(-density * volume)));
}

const logChoose = (n: number, k: number): number => {
  let sum = 0;
  for (let i = 1; i <= k; i++) sum += Math.log((n - k + i) / i);
  return sum;
};
const logChance = (set: MpnSet, density: number, positive: number) =>
  logChoose(set.wells, positive) + likelihood([{ ...set, positive }], density);

function rarityOf(sets: readonly MpnSet[], density: number): number {
  const away = sets.reduce((sum, set) => sum + logChance(set, density, set.positive) - logChance(set, density, mode(set, density)), 0);
  return Math.min(1, Math.exp(away));
}

/**
 * The most probable number of germs in 100 mL: the density at which the wells are most likely to be as they are, whatever their volumes
 * and numbers, taken as spread evenly (Poisson). Limits are those of the likelihood ratio (Wilks 1938), at 95 %, and exact ones (Clopper and
 * Pearson 1934) where none or all are positive. Where none is positive it is less than what a single one would tell, where all are, more
 * than what all but one would.
 *
 * Source: the MPN equation, McCrady (1915); ISO 8199:2018, annex B; FDA BAM, appendix 2 (from memory). Published tables give limits by
 * other methods, which differ by up to a factor of two.
 *
 * @throws RangeError for no wells, a volume that is not positive, or more positives than wells
 * @example mostProbableNumber([{ volume: 10, wells: 5, positive: 5 }, { volume: 1, wells: 5, positive: 2 }, { volume: 0.1, wells: 5, positive: 0 }]).value // 49
 */
export function mostProbableNumber(sets: readonly MpnSet[]): Mpn {
  const isWrong = ({ volume, wells, positive }: MpnSet) =>
    !(volume > 0) || !Number.isInteger(wells) || wells < 1 || !Number.isInteger(positive) || positive < 0 || positive > wells;
  if (sets.length === 0 || sets.some(isWrong)) throw new RangeError('no such wells');
  const none = sets.every(({ positive }) => positive === 0);
  const all = sets.every(({ positive, wells }) => positive === wells);
  // Of a single well nothing follows but whether one germ or more was in it.
  const single = sets.length === 1 && sets[0]!.wells === 1 ? 1 / sets[0]!.volume : null;
  if (none) {
    const value = single ?? Math.min(...withOne(sets, 1).map(solve));
    // That none is in all the water has a chance of e to the minus density times water: exact, where the likelihood ratio is far too narrow.
    const water = sets.reduce((sum, { volume, wells }) => sum + volume * wells, 0);
    return { form: 'below', value: value * per, from: null, to: (-Math.log(tail) / water) * per, rarity: 1 };
  }
  const best = all ? Infinity : solve(sets);
  const top = all ? 0 : likelihood(sets, best);
  const over = (density: number) => likelihood(sets, density) - top + halfFall;
  if (all) {
    // Exact too: from here on all of them turn positive more often than in one of forty.
    const from = crossing((density) => Math.log(tail) - likelihood(sets, density), least, most);
    return { form: 'above', value: (single ?? Math.max(...withOne(sets, -1).map(solve))) * per, from: from * per, to: null, rarity: 1 };
  }
  const from = crossing((density) => -over(density), least, best);
  return {
    form: 'value',
    value: best * per,
    from: from * per,
    to: crossing(over, best, most) * per,
    rarity: rarityOf(sets, best),
  };
}

/** Wells that are so unlikely beside the likeliest ones are asked about, or say nothing. ISO 8199:2018, annex B (from memory). */
const odd = { asked: 0.05, none: 0.01 } as const;

/** What is odd about wells: such as many positive of little water, and few of much. */
export function questionMpn({ rarity }: Mpn): Finding[] {
  if (rarity >= odd.asked) return [];
  return [{ code: 'wells-unlikely', severity: rarity < odd.none ? 'stop' : 'question', data: { rarity } }];
}

/** The chance of so many or fewer where so many are to be expected (Poisson). */
function chanceUpTo(count: number, expected: number): number {
  let [term, sum] = [Math.exp(-expected), 0];
  for (let one = 0; one <= count; one++) {
    sum += term;
    term *= expected / (one + 1);
  }
  return sum;
}

/**
 * The 95 % limits of a count of colonies, as a Poisson count has them. Source: Garwood (1936); ISO 8199:2018, annex B (from memory).
 * @param count colonies, from 0 to some hundreds
 * @example colonyLimits(10).to // 18.39
 */
export function colonyLimits(count: number): { from: number; to: number } {
  const where = (chance: (expected: number) => number) => crossing(chance, 1e-6, 10 * count + 20);
  return {
    from: count === 0 ? 0 : where((expected) => chanceUpTo(count - 1, expected) - 0.975),
    to: where((expected) => chanceUpTo(count, expected) - 0.025),
  };
}
