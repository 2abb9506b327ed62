import { dateAfter, wallTime } from '../time/index.ts';

/** A moment in ms, with the zone by whose wall clock days are told. */
export interface When {
  at: number;
  zone: string;
}

/** From this hour of the wall clock on, a check is one of the evening before. */
const evening = '12:00';

/**
 * Whether a check that was made at a moment (ms) still tells something: it belongs to an instrument and a day. One made after noon holds
 * for the next day as well. Common practice: each day of use, before leaving or the evening before.
 * @example checkHolds(Date.parse('2026-11-23T08:00Z'), { at: Date.parse('2026-11-24T07:00Z'), zone: 'UTC' }) // false
 */
export function checkHolds(made: number, { at, zone }: When): boolean {
  const [of, now] = [wallTime(made, zone), wallTime(at, zone)];
  return now.date <= of.date || (of.time >= evening && now.date === dateAfter(of.date, 1));
}
