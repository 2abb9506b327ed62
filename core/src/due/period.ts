import type { PeriodId } from './programme.ts';
import { periods, type PeriodRow } from './tables/periods.ts';

/** A period by its first and last day, `YYYY-MM-DD`. */
export interface Period {
  from: string;
  to: string;
}

const day = 86_400_000;
const text = (time: number) => new Date(time).toISOString().slice(0, 10);
const time = (date: string) => Date.parse(`${date}T00:00:00Z`);

/**
 * The period in which a day lies. Days are those of a calendar and have no zone.
 * @example periodOf('quarter', '2026-11-23') // { from: '2026-10-01', to: '2026-12-31' }
 */
export function periodOf(id: PeriodId, date: string): Period {
  const { months, weeks = 1 }: PeriodRow = periods[id];
  if (months === undefined) {
    // 5 January 1970 was a Monday.
    const monday = time('1970-01-05');
    const length = weeks * 7 * day;
    const from = monday + Math.floor((time(date) - monday) / length) * length;
    return { from: text(from), to: text(from + length - day) };
  }
  const [year, month] = date.split('-').map(Number) as [number, number];
  const first = Math.floor((year * 12 + month - 1) / months) * months;
  const at = (index: number) => Date.UTC(Math.floor(index / 12), index % 12, 1);
  return { from: text(at(first)), to: text(at(first + months) - day) };
}

/**
 * The period before.
 * @example periodBefore('month', { from: '2026-03-01', to: '2026-03-31' }) // { from: '2026-02-01', to: '2026-02-28' }
 */
export const periodBefore = (id: PeriodId, { from }: Period): Period => periodOf(id, text(time(from) - day));

/** The last day of a period that lies in one of some months; null where none does. */
export function lastDayIn({ from, to }: Period, months: readonly number[] | undefined): string | null {
  if (!months) return to;
  for (let at = time(to); at >= time(from); at -= day) if (months.includes(new Date(at).getUTCMonth() + 1)) return text(at);
  return null;
}

/**
 * How much of a period is over at the end of a day: from more than 0 to 1.
 * @example shareOver({ from: '2026-11-01', to: '2026-11-30' }, '2026-11-15') // 0.5
 */
export const shareOver = ({ from, to }: Period, date: string): number =>
  Math.min(1, Math.max(0, (time(date) + day - time(from)) / (time(to) + day - time(from))));
