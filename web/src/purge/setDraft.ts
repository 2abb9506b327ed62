import { parameter } from '@fonte/core/parameters';
import type { ProbeParameter, PurgeSet } from '@fonte/core/purge';
import { unit as unitRow, unitsOf, type Typed, type UnitId } from '@fonte/core/units';

/** A set of readings as it is being typed. */
export interface SetDraft {
  pumped: Typed;
  values: Partial<Record<ProbeParameter, Typed>>;
  level: Typed;
  note: string;
}

const unitChoice: Partial<Record<ProbeParameter, UnitId[]>> = { temperature: ['degC', 'degF'], conductivity: ['uS/cm', 'mS/m'] };

/** The units a parameter may be typed in, the usual one first. */
export function unitsFor(id: ProbeParameter): UnitId[] {
  return unitChoice[id] ?? unitsOf(unitRow(parameter(id).unit).dimension).filter((candidate) => candidate === parameter(id).unit);
}

/** A set that was written down, as a draft to correct. */
export function draftOf(set: PurgeSet): SetDraft {
  return {
    pumped: set.pumpedTyped,
    values: set.values,
    level: set.levelTyped ?? { text: '', unit: 'm' },
    note: set.note ?? '',
  };
}
