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

/** A number of a set. */
export type SetField = ProbeParameter | 'pumped' | 'level';

const unitChoice: Partial<Record<ProbeParameter, UnitId[]>> = { temperature: ['degC', 'degF'], conductivity: ['uS/cm', 'mS/m'] };

/** The units a parameter may be typed in, the usual one first. */
export function unitsFor(id: ProbeParameter): UnitId[] {
  return unitChoice[id] ?? unitsOf(unitRow(parameter(id).unit).dimension).filter((candidate) => candidate === parameter(id).unit);
}

/** A number of a set with its unit, as it stands in a draft. */
export const typedAt = (draft: SetDraft, field: SetField): Typed =>
  (field === 'pumped' || field === 'level' ? draft[field] : draft.values[field]) ?? {
    text: '',
    unit: unitsFor(field as ProbeParameter)[0]!,
  };

export const textAt = (draft: SetDraft, field: SetField): string => typedAt(draft, field).text;

/** The change of a draft that puts a number in the place of another. */
export const put = (draft: SetDraft, field: SetField, typed: Typed): Partial<SetDraft> =>
  field === 'pumped' || field === 'level' ? { [field]: typed } : { values: { ...draft.values, [field]: typed } };

/** The change of a draft that puts another text at a number. */
export const withText = (draft: SetDraft, field: SetField, text: string) => put(draft, field, { ...typedAt(draft, field), text });

/** A set that was written down, as a draft to correct. */
export function draftOf(set: PurgeSet): SetDraft {
  return {
    pumped: set.pumpedTyped ?? { text: '', unit: 'L' },
    values: set.values,
    level: set.levelTyped ?? { text: '', unit: 'm' },
    note: set.note ?? '',
  };
}
