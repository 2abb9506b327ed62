/**
 * The days a lab may mean by a date, as `YYYY-MM-DD`: one for `2026-11-23` or `23.11.2026`, two for `04/05/2026`, which
 * is read both day first and month first; none for what is no date.
 */
export function possibleDays(text: string): string[] {
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})\b/.exec(text.trim());
  if (iso) return valid(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const short = /^(\d{1,2})[-/.](\d{1,2})[-/.](\d{4}|\d{2})\b/.exec(text.trim());
  if (!short) return [];
  const [first, second, written] = [Number(short[1]), Number(short[2]), Number(short[3])];
  const year = written < 100 ? 2000 + written : written;
  return [...new Set([...valid(year, second, first), ...valid(year, first, second)])];
}

function valid(year: number, month: number, day: number): string[] {
  const date = new Date(Date.UTC(year, month - 1, day));
  const isReal = date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
  return isReal ? [date.toISOString().slice(0, 10)] : [];
}
