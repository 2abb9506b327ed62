import { refOf } from '../editions/index.ts';
import { anywhere, countries } from './tables/countries.ts';
import { limitSets } from './tables/index.ts';

/**
 * The sets that are proposed for water that people drink, by the time zone of the place (IANA) and the day of sampling, and for which
 * country: a proposal that a person looks at, never a judgement.
 * @example setsOfZone('Atlantic/Azores', '2026-11-23').country // 'the European Union'
 */
export function setsOfZone(zone: string, day: string): { country: string; limits: string[] } {
  const { name, sets } = countries.find(({ zones }) => zones.test(zone)) ?? anywhere;
  return { country: name, limits: sets.flatMap((id) => limitSets.on(id, day) ?? []).map(refOf) };
}
