import SunCalc from 'suncalc';
import type { Position } from '../registers/index.ts';
import { atWall } from '../time/index.ts';
import type { Span } from './solve/problem.ts';

/**
 * From sunrise to sunset (ms) at a place on a day; null where the sun does not rise that day, or does not set. Within some minutes of
 * the almanac: hills are not known. Source: suncalc.
 */
export function daylightOn(date: string, { latitude, longitude }: Position, zone: string): Span | null {
  const { sunrise, sunset } = SunCalc.getTimes(new Date(atWall(date, '12:00', zone)), latitude, longitude);
  const [from, to] = [sunrise.getTime(), sunset.getTime()];
  return Number.isFinite(from) && Number.isFinite(to) ? { from, to } : null;
}
