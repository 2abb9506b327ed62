import { colonyLimits, mostProbableNumber, questionMpn, trays, type MpnSet } from '../counts/index.ts';
import type { Finding } from '../findings/index.ts';
import { cultureMethod, type CultureMethod } from './methods.ts';
import type { Counted } from './entries.ts';

/** A count per 100 mL with its 95 % limits; null where there is none to one side. */
export interface Count {
  /** `least`: so many at least, counted before its time; `open`: nothing grew yet, and it may still. */
  form: 'value' | 'below' | 'above' | 'least' | 'present' | 'absent' | 'uncountable' | 'open';
  value: number | null;
  from: number | null;
  to: number | null;
  /** In how much water it was looked for, in mL. */
  examined: number;
}

const setsOf = (id: CultureMethod, positive: readonly number[]): MpnSet[] => {
  const { counts } = cultureMethod(id);
  return counts.of === 'wells' ? trays[counts.tray].sets.map((set, place) => ({ ...set, positive: positive[place] ?? Number.NaN })) : [];
};

function ofWells(id: CultureMethod, positive: readonly number[]): Count {
  const sets = setsOf(id, positive);
  const [only] = sets;
  const examined = sets.reduce((sum, { volume, wells }) => sum + volume * wells, 0);
  if (sets.length === 1 && only!.wells === 1 && only!.volume === 100)
    return { form: only!.positive > 0 ? 'present' : 'absent', value: null, from: null, to: null, examined };
  const { form, value, from, to } = mostProbableNumber(sets);
  return { form, value, from, to, examined };
}

function ofColonies(count: number | null, most: number, filtered: number): Count {
  if (count === null || count > most) return { form: 'uncountable', value: null, from: null, to: null, examined: filtered };
  const per = 100 / filtered;
  const { from, to } = colonyLimits(count);
  if (count === 0) return { form: 'below', value: per, from: null, to: to * per, examined: filtered };
  return { form: 'value', value: count * per, from: from * per, to: to * per, examined: filtered };
}

/** What was counted, per 100 mL, of coliforms and of E. coli among them; null for a blank or control. */
export function countOf(id: CultureMethod, counted: Counted, filtered = 100): { coliforms: Count; ecoli: Count } | null {
  const { counts } = cultureMethod(id);
  if (counted.of === 'wells' && counts.of === 'wells')
    return { coliforms: ofWells(id, counted.coliforms), ecoli: ofWells(id, counted.ecoli) };
  if (counted.of === 'colonies' && counts.of === 'colonies')
    return {
      coliforms: ofColonies(counted.coliforms, counts.most, filtered),
      ecoli: ofColonies(counted.ecoli, counts.most, filtered),
    };
  return null;
}

/** Why a count cannot be: a code with the place of its set, or null. */
export function impossibleCount(id: CultureMethod, counted: Counted): { code: string; data: Record<string, number> } | null {
  const { counts } = cultureMethod(id);
  if (counted.of === 'growth') return null;
  if (counted.of !== counts.of) return { code: 'other-count', data: {} };
  if (counted.of === 'colonies') {
    const { coliforms, ecoli } = counted;
    return coliforms !== null && (ecoli === null || ecoli > coliforms) ? { code: 'more-ecoli', data: { place: 0 } } : null;
  }
  const { sets } = trays[(counts as { tray: keyof typeof trays }).tray];
  if (counted.coliforms.length !== sets.length || counted.ecoli.length !== sets.length) return { code: 'other-count', data: {} };
  for (const [place, { wells }] of sets.entries()) {
    if (counted.coliforms[place]! > wells) return { code: 'more-than-wells', data: { place, wells, positive: counted.coliforms[place]! } };
    if (counted.ecoli[place]! > counted.coliforms[place]!) return { code: 'more-ecoli', data: { place } };
  }
  return null;
}

/** What is odd about wells before they are written down. */
export function questionCount(id: CultureMethod, counted: Counted): Finding[] {
  if (counted.of !== 'wells' || impossibleCount(id, counted)) return [];
  return [counted.coliforms, counted.ecoli].flatMap((positive) => questionMpn(mostProbableNumber(setsOf(id, positive)))).slice(0, 1);
}

/** Whether what was read too early says nothing at all: nothing grew, and it may still. */
export function saysNothingYet(counted: Counted): boolean {
  if (counted.of === 'growth') return false;
  return counted.of === 'colonies' ? counted.coliforms === 0 : counted.coliforms.every((positive) => positive === 0);
}
