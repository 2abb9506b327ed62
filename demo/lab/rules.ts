import { onTheWall } from './clock.ts';
import type { Consignment, Container, Crate } from './form.ts';

/** What the made-up lab asks of one kind of container: its own sheet, kept by itself. */
interface Sheet {
  /** °C in the box; nothing where it does not mind. */
  coldest?: number;
  warmest?: number;
  /** Hours from collection until it stands on the desk. */
  hours?: number;
  /** Hours from collection until the analysis has begun, which it does so many hours after receipt. */
  begun?: { within: number; after: number };
  /** Minutes after midnight at which the desk stops taking it, from Monday on; null where it takes none. */
  until: readonly (number | null)[];
  /** Minutes that the water must have stood: half an hour, or a night. */
  stood?: readonly { from: number; to: number }[];
  /** Most chlorine in mg/L that the powder in it takes up. */
  chlorine?: number;
  /** Containers that make one sample. */
  together?: number;
  /** A blank must lie with it. */
  blank?: string;
  /** The form must say how much chlorine was in the water, or that there was none to measure. */
  wantsChlorine?: true;
}

const opens = 8 * 60;
const half = 16 * 60 + 30;
/** Wednesdays the incubators are loaded early. */
const early = 14 * 60 + 30;
const everyDay = [half, half, half, half, half];
const germs: Sheet = {
  coldest: 1,
  warmest: 10,
  until: [half, half, early, half, null],
  chlorine: 5,
  wantsChlorine: true,
};
const cold: Sheet = { coldest: 1, warmest: 6, until: everyDay };

const sheets: Readonly<Record<string, Sheet>> = {
  MB: { ...germs, hours: 18, begun: { within: 24, after: 3 } },
  PL: { ...germs, warmest: 8, hours: 8 },
  EN: { ...germs, hours: 18 },
  LG: { coldest: 6, warmest: 20, hours: 24, until: everyDay, chlorine: 5 },
  FQ: { ...cold, hours: 14 * 24 },
  NO: { ...cold, begun: { within: 48, after: 24 } },
  NH: { ...cold, hours: 28 * 24 },
  MD: { hours: 180 * 24, until: everyDay },
  MT: { hours: 180 * 24, until: everyDay },
  PB: {
    hours: 14 * 24,
    until: everyDay,
    stood: [
      { from: 30, to: 45 },
      { from: 360, to: 1080 },
    ],
  },
  VO: { ...cold, hours: 14 * 24, together: 3, blank: 'trip-blank' },
  PF: { ...cold, hours: 28 * 24, together: 2, blank: 'field-blank' },
};

/** What it does not do. Whatever else has no sheet of its own is taken in cold. */
const notOffered = new Set(['radon', 'grossActivity']);

/** A box that stands on ice is taken warm where its containers were filled within these hours. */
const coolingHours = 3;

const words: Readonly<Record<string, string>> = {
  leaking: 'Arrived leaking',
  underfilled: 'Not filled to the mark',
  unsealed: 'No tamper seal on the container',
  broken: 'Container broken',
  frozen: 'Arrived frozen',
  bubble: 'Headspace',
  unlabelled: 'Label cannot be read',
};

const decimal = (value: number) => String(value).replace('.', ',');
const hoursSince = (moment: string, now: number) => (now - Date.parse(moment)) / 3_600_000;

/** Days on which nobody is there. */
const shut = new Set(['08/12/2026', '25/12/2026', '01/01/2027']);

/** Whether the desk takes such a container at a moment (ms). */
function isOpen({ until }: Sheet, now: number): boolean {
  const { day, weekday, minutes } = onTheWall(now);
  const last = shut.has(day) ? null : (until[weekday - 1] ?? null);
  return last !== null && minutes >= opens && minutes <= last;
}

function badCold(sheet: Sheet, crate: Crate, taken: string, now: number): string | null {
  if (sheet.warmest === undefined || sheet.coldest === undefined) return null;
  if (crate.celsius === null) return `No temperature for ${crate.name}`;
  if (crate.celsius < sheet.coldest) return `Box at ${decimal(crate.celsius)} °C, colder than ${sheet.coldest} °C`;
  if (crate.celsius <= sheet.warmest) return null;
  return crate.onIce && hoursSince(taken, now) <= coolingHours
    ? null
    : `Box at ${decimal(crate.celsius)} °C, warmer than ${sheet.warmest} °C`;
}

function badTime(sheet: Sheet, { taken }: Container, now: number): string | null {
  const age = hoursSince(taken, now);
  if (sheet.hours !== undefined && age > sheet.hours) return `${sheet.hours} h from collection exceeded`;
  if (sheet.begun && age + sheet.begun.after > sheet.begun.within) return `Cannot be begun within ${sheet.begun.within} h`;
  return isOpen(sheet, now) ? null : 'Desk closed for this kind';
}

/** Why the lab sends a container back, in its own words; null where it keeps it. */
export function turnsAway(container: Container, form: Consignment, now: number): string | null {
  if (notOffered.has(container.kind)) return `We do not offer ${container.kind}`;
  const sheet = sheets[container.kind] ?? cold;
  if (form.count !== form.containers.length) return `${form.containers.length} containers, form says ${form.count}`;
  if (!form.particulars['quote']) return 'Order number missing';
  const flaw = words[container.state];
  if (flaw) return flaw;
  const crate = form.boxes.find(({ id }) => id === container.box);
  if (!crate) return 'Came in no box';
  if (crate.seal.trim() === '') return `${crate.name} without a seal`;
  if (!crate.sealIntact) return `Seal of ${crate.name} not as stated`;
  if (!container.particulars['collectedAt']) return 'Time of collection missing';
  const isBlank = /blank$/.test(container.role);
  if (sheet.wantsChlorine && !isBlank && container.chlorine.stated === '') return 'Chlorine not stated';
  if (sheet.chlorine !== undefined && (container.chlorine.milligramsPerLitre ?? 0) > sheet.chlorine)
    return `Chlorine over ${sheet.chlorine} mg/L`;
  if (sheet.stood && !isBlank && container.particulars['stagnation'] !== 'Not asked for') {
    const stood = container.stoodMinutes;
    if (stood === null) return 'Standing time missing';
    if (!sheet.stood.some(({ from, to }) => stood >= from && stood <= to)) return `Stood ${Math.round(stood)} min`;
  }
  const parts = form.containers.filter((one) => one.sample === container.sample).length;
  if (!isBlank && sheet.together !== undefined && parts < sheet.together) return `${parts} of ${sheet.together} containers`;
  if (sheet.blank && !isBlank && !form.containers.some((one) => one.kind === container.kind && one.role === sheet.blank))
    return `No ${sheet.blank.replace('-', ' ')}`;
  return badTime(sheet, container, now) ?? badCold(sheet, crate, container.taken, now);
}
