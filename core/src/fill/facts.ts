import type { BottleRule } from '../bottles/index.ts';

/** What is looked at of a bottle before and while it is filled, as it is said of one that is as it should be. */
export const facts = {
  sound: 'Intact: sealed, cap tight, clean, in date',
  'holds-it': 'Preservative is in it',
  'not-rinsed': 'Not rinsed',
  air: 'Headspace correct',
} as const;
export type FactId = keyof typeof facts;
export const factIds = Object.keys(facts) as [FactId, ...FactId[]];

/** An air gap or none decides where germs must be shaken, or something leaves the water. */
const isAirAsked = ({ mark, temperature }: BottleRule): boolean => mark >= 0.98 || temperature === 'bacteria';
const isSterile = ({ gear = [], temperature }: BottleRule): boolean => temperature === 'bacteria' || gear.includes('sterile-kit');

/**
 * The facts that a bottle is looked at for, and whether each decides and is said by itself: so with germs, with what leaves the water, and
 * with a preservative. Of any other bottle they are said with one touch.
 */
export function factsOf(card: BottleRule): { ids: FactId[]; isEach: boolean } {
  const isNeverRinsed = /^never/i.test(card.rinse);
  const ids: FactId[] = [
    'sound',
    ...(card.preservative ? (['holds-it'] as const) : []),
    ...(isNeverRinsed ? (['not-rinsed'] as const) : []),
    ...(card.isSwab ? [] : (['air'] as const)),
  ];
  return { ids, isEach: isSterile(card) || card.preservative !== null || isAirAsked(card) };
}
