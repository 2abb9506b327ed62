import type { Mutant } from './mutants.ts';

/** Numbers that nobody acts on, and why. */
const aside: readonly { at: RegExp; says?: RegExp; why: string }[] = [
  { at: /^core\/src\/simulation\//, why: 'wells that are made up: their checks are physics, in simulation/' },
  {
    at: /^core\/src\/purge\/stability\/(approach|fit)/,
    why: 'an estimate: that it holds four times out of five is measured on simulated wells, by tests that are left out here',
  },
  { at: /^core\/src\/kit\/tables\/pictures/, why: 'places in a drawing' },
  { at: /./, says: /= 1e-\d+;/, why: 'what binary fractions are rounded by: any number as small does' },
  {
    at: /./,
    says: /^(export )?const (largestPage|listedToday|longestName|longestResult|kept|mostBetween) = \d+;|\.max\(499\);$/,
    why: 'how much of something fits: a page of a list, a cell, a memory',
  },
  {
    at: /^core\/src\/day\/solve\//,
    says: /^(export )?const (steps|looks|raises|mostExact|mostWeighed|mostCuts|budget|share|shakes|nearest|mostExactInPart) = [\d_.]+;$/,
    why: 'how long is sought: whether what is found is the best is tested beside a general solver',
  },
  { at: /^core\/src\/day\/remedies/, says: /mostPlanned, mostLeftOut/, why: 'how much is tried before nothing is offered' },
  { at: /read\/cells\/dates/, says: /^const century/, why: 'the middle of the century that years of two digits are of: any near it does' },
  { at: /^core\/src\/bottles\/tables\/order/, says: /upTo:/, why: 'a bound between orders: any between the same two says the same' },
  {
    at: /^core\/src\/parameters\/tables\//,
    says: /possible: \[|usualAtLab: \[|rowsOfKind\(|const in\w+ = |inUg\(|inMg\(/,
    why: 'how far a number may lie before it is asked about as a slip, and how many decimals are shown where it has none of its own: any near it does',
  },
  { at: /\/tables\//, says: /^order: [\d.]+,$/, why: 'only the sequence counts, which is held' },
];

/** Why a number is left out; null where it is not. */
export const isAside = ({ file, says }: Mutant): string | null =>
  aside.find((one) => one.at.test(file) && (one.says?.test(says) ?? true))?.why ?? null;

/** Numbers that no test holds, by name, and why that is right. */
export const survivors: Readonly<Record<string, string>> = {
  'core/src/level/expected.ts: 20 in for (let round = 0; round < 20; round++) {': 'rounds of a fit that has converged long before',
  'core/src/level/expected.ts: 1e-9 in if (Math.abs(a[i]![i]!) < 1e-9) return null;': 'a pivot is nought or far from it',
  'core/src/registers/position.ts: 90 in const isSwapped = Math.abs(longitude) <= 90 && distance({ latitude: longitude, longitude: latitude }, centre) < farAway;':
    'no latitude beyond it is near any place',
  'core/src/exchange/write.ts: 9 in const digits = 9;': 'digits that no instrument shows',
};
