import { parameter, questionReading } from '@fonte/core/parameters';
import type { ProbeParameter, PurgeSet } from '@fonte/core/purge';
import { sayAbout } from '@fonte/core/round';
import { readNumber, sayNumber, unit as unitRow, unitsOf, type Typed, type UnitId } from '@fonte/core/units';

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

const isTyped = (typed: Typed | undefined): typed is Typed => typed !== undefined && typed.text.trim() !== '';

/** What is wrong with each field of a set, by field. */
export function setErrors(draft: SetDraft, parameters: readonly ProbeParameter[]): Record<string, string> {
  const errors: Record<string, string> = {};
  const numbers: [string, Typed][] = [
    ['pumped', draft.pumped],
    ...(isTyped(draft.level) ? [['level', draft.level] as [string, Typed]] : []),
  ];
  for (const [field, typed] of numbers) {
    const reading = readNumber(typed.text);
    if (!reading.ok) errors[field] = sayNumber(reading, typed.unit);
  }
  const typed = parameters.filter((id) => isTyped(draft.values[id]));
  for (const id of typed) {
    const stop = questionReading(id, draft.values[id]!).find((finding) => finding.severity === 'stop');
    if (stop) errors[id] = sayAbout(stop).says;
  }
  if (typed.length === 0 && parameters[0]) errors[parameters[0]] = 'Enter at least one reading.';
  return errors;
}

/**
 * The payload of a draft: what was left empty is left out. Parameters that are not asked for any more stay as they were
 * typed: correcting one number leaves the others alone.
 */
export function setPayload(draft: SetDraft, parameters: readonly ProbeParameter[]) {
  const others = (Object.keys(draft.values) as ProbeParameter[]).filter((id) => !parameters.includes(id));
  const values = Object.fromEntries(
    [...parameters, ...others].filter((id) => isTyped(draft.values[id])).map((id) => [id, draft.values[id]!]),
  );
  return {
    pumped: draft.pumped,
    values,
    ...(isTyped(draft.level) ? { level: draft.level } : {}),
    ...(draft.note.trim() ? { note: draft.note.trim() } : {}),
  };
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
