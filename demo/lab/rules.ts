import type { IntakeRequest } from '@fonte/core/lab';

/*
 * The made-up lab's own rules, kept by itself as a real lab's are: it shares no rule with the product, so that the two can
 * disagree.
 */
export const zone = 'Atlantic/Azores';

interface Rules {
  /** °C in the cooler. */
  coldest: number;
  warmest: number;
  /** From collection to arrival. */
  hours?: number;
  /** Minutes after midnight at which the desk closes, Monday to Friday; null where it does not take any. */
  closes: readonly (number | null)[];
}

const opens = 8 * 60;
const half = 16 * 60 + 30;
/** Wednesdays the incubators are loaded early. */
const early = 14 * 60 + 30;
const chilled: Rules = { coldest: 1, warmest: 6, closes: [half, half, half, half, half] };

const byBottle: Record<string, Rules> = {
  bacteria: { coldest: 1, warmest: 10, hours: 18, closes: [half, half, early, half, null] },
  nitrogen: { ...chilled, hours: 48 },
};

export const rulesOf = (bottle: string): Rules => byBottle[bottle] ?? chilled;

export const said: Record<IntakeRequest['bottles'][number]['condition'], string> = {
  good: 'Good',
  leaking: 'Leaking',
  underfilled: 'Under-filled',
  unsealed: 'Not sealed',
};

const wall = new Intl.DateTimeFormat('en-GB', { timeZone: zone, weekday: 'short', hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });

/** Whether the desk takes such a bottle in at a moment (ms). */
export function isOpen({ closes }: Rules, moment: number): boolean {
  const parts = Object.fromEntries(wall.formatToParts(moment).map(({ type, value }) => [type, value]));
  const weekday = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri'].indexOf(parts['weekday'] ?? '');
  const until = closes[weekday] ?? null;
  const now = Number(parts['hour']) * 60 + Number(parts['minute']);
  return until !== null && now >= opens && now <= until;
}
