import type { ClosedDay } from '@fonte/core/registers';

export interface Place {
  value: string;
  label: string;
}

const byName = (names: Record<string, string> | undefined): Place[] =>
  Object.entries(names ?? {})
    .map(([value, label]) => ({ value, label }))
    .sort((a, b) => a.label.localeCompare(b.label));

/** The calendars of the world: large, and fetched when they are asked for. */
const calendars = async () => (await import('date-holidays')).default;

/** Countries that have a calendar, by their English names. */
export async function countries(): Promise<Place[]> {
  const Holidays = await calendars();
  return byName(new Holidays().getCountries('en'));
}

/** The parts of a country with holidays of their own. */
export async function regions(country: string): Promise<Place[]> {
  const Holidays = await calendars();
  return byName(new Holidays().getStates(country, 'en'));
}

/** The public holidays of some years, by the wall calendar of the place. */
export async function publicHolidays(country: string, region: string | null, years: readonly number[]): Promise<ClosedDay[]> {
  const Holidays = await calendars();
  const calendar = region ? new Holidays(country, region) : new Holidays(country);
  return years
    .flatMap((year) => calendar.getHolidays(year))
    .filter(({ type }) => type === 'public')
    .map(({ date, name }) => ({ date: date.slice(0, 10), name: name.slice(0, 80) }));
}

/** Days that are closed, with holidays among them: a day that stands there keeps its own name. */
export function withHolidays(closed: readonly ClosedDay[], holidays: readonly ClosedDay[]): ClosedDay[] {
  const known = new Set(closed.map(({ date }) => date));
  const fresh = [...new Map(holidays.map((one) => [one.date, one])).values()].filter(({ date }) => !known.has(date));
  return [...closed, ...fresh].sort((a, b) => (a.date < b.date ? -1 : 1));
}
