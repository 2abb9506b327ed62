import { limitSets, setOfOwn, setsOfZone } from '@fonte/core/limits';
import { refOf } from '@fonte/core/editions';
import { refOfOwnSet, type OwnLimitSet } from '@fonte/core/registers';
import { siteZone } from '../time/show.ts';
import { setsOffered, type OfferedSet } from './LimitSets.tsx';

const key = 'fonte.limits';

/** What is remembered of a set: the book of one of the house, the id of a published one. Editions follow from the day. */
const nameOf = (ref: string, own: readonly OwnLimitSet[]): string => own.find((one) => refOfOwnSet(one) === ref)?.id ?? ref.split('@')[0]!;

/** Remembers on this device by which sets a round was planned, for the next one. */
export function rememberLimits(limits: readonly string[], own: readonly OwnLimitSet[]): void {
  localStorage.setItem(key, limits.map((ref) => nameOf(ref, own)).join(' '));
}

/** The sets that a round of a day (`YYYY-MM-DD`) is proposed, and why these: those of the round before it, else those of the country. */
function usualLimits(day: string, zone: string, own: readonly OwnLimitSet[]): { limits: string[]; why: string } {
  const remembered = (localStorage.getItem(key) ?? '').split(' ').flatMap((name) => {
    const house = own.find(({ id, outOfUse }) => id === name && outOfUse === undefined);
    if (house && setOfOwn(house)) return [refOfOwnSet(house)];
    const set = limitSets.on(name, day);
    return set ? [refOf(set)] : [];
  });
  if (remembered.length > 0) return { limits: remembered, why: 'As in the last round planned on this device.' };
  const { country, limits } = setsOfZone(zone, day);
  return { limits, why: `Proposed for ${country}, by the time zone ${zone}. Your authority says which rules hold.` };
}

/** By what a plan is judged: what was chosen, else what is proposed and why; and what is on offer. Nothing while its day is not known. */
export function limitsOf(
  day: string | null,
  chosen: string[] | null,
  own: readonly OwnLimitSet[],
): { limits: string[]; sets: OfferedSet[]; why?: string } {
  if (day === null) return { limits: chosen ?? [], sets: [] };
  const { limits, why } = chosen ? { limits: chosen } : usualLimits(day, siteZone(), own);
  return { limits, sets: setsOffered(day, own, limits), ...(why === undefined ? {} : { why }) };
}
