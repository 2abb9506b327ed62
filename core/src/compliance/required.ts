import { leastVolume, monthlyByPeople, yearlyByVolume, type YearlyRow } from './tables/samples.ts';

/**
 * Coliform samples a month that a system serving so many people takes.
 * @throws RangeError for fewer than one person
 * @example monthlySamples(3000) // 3
 */
export function monthlySamples(people: number): number {
  if (!(people >= 1)) throw new RangeError('At least one person is served.');
  return monthlyByPeople.find(([upTo]) => people <= upTo)![1];
}

const count = ({ first, perEach }: YearlyRow['a'], volume: number) =>
  first + (perEach ? perEach.more * Math.ceil(volume / perEach.cubicMetres) : 0);

/**
 * Samples a year of group A and group B in a zone that so many m³ are distributed in a day; null up to 10 m³/d, where the state says how
 * often.
 * @throws RangeError for a volume that is not over 0
 * @example yearlySamples(1500) // { a: 10, b: 2 }
 */
export function yearlySamples(volume: number): { a: number; b: number } | null {
  if (!(volume > 0)) throw new RangeError('The volume must be more than 0.');
  if (volume <= leastVolume) return null;
  const row = yearlyByVolume.find(({ upTo }) => volume <= upTo)!;
  return { a: count(row.a, volume), b: count(row.b, volume) };
}
