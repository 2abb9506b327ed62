import { format, isValid, parse } from 'date-fns';

/** How labs write a day: the year first, or the day and the month in either order. */
const yearFirst = ['y-M-d', 'y/M/d', 'y.M.d'];
const yearLast = ['-', '/', '.'].flatMap((mark) =>
  ['yyyy', 'yy'].flatMap((year) => [`d${mark}M${mark}${year}`, `M${mark}d${mark}${year}`]),
);

/** What a year of two digits is read from: 26 is 2026. */
const century = new Date(2000 + 50, 0, 1);

/**
 * The days a lab may mean by a date, as `YYYY-MM-DD`: one for `2026-11-23` or `23.11.2026`, two for `04/05/2026`, which
 * is read both day first and month first; none for what is no date.
 */
export function possibleDays(text: string): string[] {
  // The time of the day may follow.
  const day = /^\d[\d./-]*\b/.exec(text.trim())?.[0] ?? '';
  const isYearFirst = /^\d{4}\D/.test(day);
  const days = (isYearFirst ? yearFirst : yearLast)
    .filter((pattern) => isYearFirst || pattern.endsWith('yyyy') === /\D\d{4}$/.test(day))
    .map((pattern) => parse(day, pattern, century))
    .filter(isValid)
    .map((date) => format(date, 'yyyy-MM-dd'));
  return [...new Set(days)];
}

/** The time of the day in a text as `HH:MM`, or null: `09:20`, `9h20`, `05/11/2026 9:20 PM`. */
export function timeOfDay(text: string): string | null {
  const match = /(?:^|[\sT])(\d{1,2})\s*[:h]\s*(\d{2})(?::\d{2})?(?:[.,]\d+)?\s*([ap])?\.?m?\.?\s*(?:uhr|h)?\s*$/i.exec(text.trim());
  if (!match) return null;
  const [hours, minutes, half] = [Number(match[1]), Number(match[2]), match[3]?.toLowerCase()];
  const full = half ? (hours % 12) + (half === 'p' ? 12 : 0) : hours;
  return full < 24 && minutes < 60 ? `${String(full).padStart(2, '0')}:${String(minutes).padStart(2, '0')}` : null;
}
