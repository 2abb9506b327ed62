import type { DaySettings, KnownDrive } from '@fonte/core/plan';
import type { Typed } from '@fonte/core/units';
import { inBase, typedOf, type Read } from '../form/values.ts';

/** What the form of a day's settings holds. */
export interface SettingsValues {
  start: string;
  speed: Typed;
  roadFactor: Typed;
  lunch: Typed;
  from: { latitude: Typed; longitude: Typed };
  byDaylight: boolean;
  /** Where the day ends: at the lab's door, or by its name where bottles are left for it. */
  at: string;
  /** The same for what is handed over on the way; nothing is where this is `never`. */
  midway: string;
}

/** The lab's own door, among the places where bottles are left for it. */
export const labDoor = 'door';
export const never = 'never';

export const valuesOf = ({ start, speed, roadFactor, lunch, from, byDaylight, at, midway }: DaySettings): SettingsValues => ({
  start,
  speed: typedOf(speed, 'km/h'),
  roadFactor: typedOf(roadFactor, '1'),
  lunch: typedOf(lunch, 'min'),
  from: { latitude: typedOf(from?.latitude, 'deg'), longitude: typedOf(from?.longitude, 'deg') },
  byDaylight: byDaylight ?? false,
  at: at ?? labDoor,
  midway: midway ? (midway.at ?? labDoor) : never,
});

const doorAt = (name: string) => (name === labDoor ? {} : { at: name });

/**
 * The settings that are typed, and what is no number among them.
 * @param after the visit after which the cooler is emptied on the way, where it is
 */
export function readSettings(values: SettingsValues, drives: readonly KnownDrive[], after: string | undefined): Read {
  const { value, problems } = inBase(values);
  const {
    from,
    at = labDoor,
    midway = never,
    byDaylight,
    ...rest
  } = value as { from?: object; at?: string; midway?: string; byDaylight?: boolean };
  return {
    value: {
      ...rest,
      ...(from && Object.keys(from).length > 0 ? { from } : {}),
      ...(byDaylight ? { byDaylight } : {}),
      ...(drives.length > 0 ? { drives } : {}),
      ...doorAt(at),
      ...(midway === never || after === undefined ? {} : { midway: { after, ...doorAt(midway) } }),
    },
    problems,
  };
}

/** Known drives with one more, in place of what was known of it; without it where no time is given. */
export function withDrive(drives: readonly KnownDrive[], ends: KnownDrive['ends'], lasts: number | null): KnownDrive[] {
  const others = drives.filter((one) => !(one.ends.includes(ends[0]) && one.ends.includes(ends[1])));
  return lasts === null ? others : [...others, { ends, lasts }];
}
