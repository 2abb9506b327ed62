import { minute, second } from '../time/index.ts';
import type { Lab, Position } from '../registers/index.ts';
import type { DaySettings } from '../plan/index.ts';
import { driveLasts, usualSettings } from './build.ts';
import { dropOffOf } from './doors.ts';

/**
 * How long bottles are on their way to the lab's door from a place where somebody sets out now, in ms: straight there, or by way of the
 * place where the day leaves them for it. Null where nobody knows where one of the two is.
 */
export function wayToLab(from: Position | undefined, lab: Lab, day: DaySettings | null): number | null {
  const settings = day ?? usualSettings;
  const left = settings.at === undefined ? null : dropOffOf(lab, settings.at);
  const to = left ? left.position : lab.position;
  if (!from || !to) return null;
  return driveLasts(from, to, settings) + (left ? Math.ceil((left.toLab * second) / minute) * minute : 0);
}
