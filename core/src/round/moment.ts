import type { Entry } from '../book/index.ts';
import type { Finding } from '../findings/index.ts';
import { minute, wallTime } from '../time/index.ts';
import type { RoundState } from './fold.ts';
import { nextAtVisit } from './next.ts';

/** A clock may be ahead by so much (ms) before it is asked about. */
const mayBeAhead = 2 * minute;

/**
 * What is odd about a moment that is said for an entry after its time: ahead of now, on another day than the round's, before the
 * instruments were checked or after the bottles were handed over, where it was written on the other side of either.
 * @param moment ms; @param now ms
 */
export function questionMoment(round: RoundState, entry: Pick<Entry, 'at' | 'visit'>, moment: number, now: number): Finding[] {
  const written = Date.parse(entry.at.utc);
  if (moment === written) return [];
  const ask = (code: string, data: Finding['data'] = {}): Finding => ({ code, severity: 'question', field: 'moment', data });
  if (moment > now + mayBeAhead) return [ask('moment-ahead', { minutes: Math.round((moment - now) / minute) })];
  const { zone, date } = round.plan;
  const day = wallTime(moment, zone).date;
  const found = day !== date && wallTime(written, zone).date === date ? [ask('moment-other-day', { day, date })] : [];
  if (entry.visit === null) return found;
  const checks = round.prepare.checks.map(({ at }) => at);
  const isCrossed = (at: number) => moment < at !== written < at;
  if (checks.some((at) => isCrossed(at) && moment < at)) found.push(ask('moment-before-check'));
  if (round.handOvers.some(({ at }) => isCrossed(at) && moment > at)) found.push(ask('moment-after-hand-over'));
  return found;
}

/** When the instruments of a round are used (ms): now, or for the last bottle where the field work is done. */
export function fieldMoment(round: RoundState, now: number): number {
  const filled = round.bottles.flatMap(({ filledAt }) => filledAt ?? []);
  return filled.length > 0 && round.visits.every((visit) => nextAtVisit(visit) === null) ? Math.min(now, Math.max(...filled)) : now;
}
