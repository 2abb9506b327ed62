import type { Finding } from '../findings/index.ts';
import { day } from '../time/index.ts';

/** A round is planned for a day up to so far ahead without a question. Common practice. */
const usualAhead = 60 * day;

/** What is odd about the day of a plan, seen from today, both as `YYYY-MM-DD`: it is past, or so far ahead that a year may be mistyped. */
export function questionDay(date: string, today: string): Finding[] {
  const ahead = Date.parse(date) - Date.parse(today);
  const ask = (code: string): Finding[] => [{ code, severity: 'question', field: 'date', data: { date, days: Math.round(ahead / day) } }];
  if (ahead < 0) return ask('day-past');
  return ahead > usualAhead ? ask('day-far') : [];
}
