import { parameter, type ParameterId } from '../../parameters/index.ts';
import type { UnitId } from '../../units/index.ts';
import type { Named } from '../cells/names.ts';
import type { LabResult } from '../entries.ts';
import type { Mapping } from '../mapping.ts';
import type { Unread } from '../shape/table.ts';
import type { Reader, RowContext } from './context.ts';
import { bottleFor, type Held } from './whose.ts';

/** What a person said that a name means. */
function saidName(name: string, { names }: Mapping): Named | null {
  const id = names && Object.hasOwn(names, name) ? names[name] : undefined;
  return id ? { parameter: id, fraction: null, as: null, isFirm: false, unit: null } : null;
}

/** What a name means beside a unit of another kind: oxygen in per cent is its saturation. */
const otherByUnit: Partial<Record<ParameterId, { unit: UnitId; id: ParameterId }>> = {
  oxygen: { unit: '%', id: 'oxygenSaturation' },
  conductivity: { unit: 'ohm.m', id: 'resistivity' },
};

function byUnit(wording: Named, { cell }: Reader, { words }: RowContext): ParameterId {
  const other = otherByUnit[wording.parameter];
  const unit = words.unit(cell('unit'))?.unit ?? wording.unit?.unit;
  return other && unit === other.unit ? other.id : wording.parameter;
}

/** What of a metal a row tells, by its name, its column and its bottle; a code where they do not agree. */
function fractionOf(
  name: Named,
  { bottle }: Held,
  isOfPoint: boolean,
  { cell, fail }: Reader,
  { mapping, words }: RowContext,
): { fraction: LabResult['fraction'] | null } | Unread {
  const { isBound } = parameter(name.parameter);
  const inColumn = words.fraction(cell('fraction'));
  if (cell('fraction') !== '' && isBound && !inColumn) return fail('fraction', 'unknown-fraction');
  if (inColumn && name.fraction && inColumn !== name.fraction) return fail('fraction', 'fraction-contradicts');
  if (!isBound) return { fraction: null };
  const said = name.fraction ?? inColumn ?? null;
  const own = isOfPoint ? undefined : bottle.fraction;
  if (said && own && said !== own && !mapping.fractionBy) return fail('parameter', 'fraction-of-bottle', { bottle: own, said });
  return { fraction: mapping.fractionBy === 'bottle' ? (own ?? said) : (said ?? own ?? null) };
}

/** What was measured in a row: the parameter with all that its name says, the fraction and the bottle. */
export interface Measured {
  name: Named;
  fraction: LabResult['fraction'] | null;
  held: Held;
}

/** What a row says was measured, in which of the bottles that it may belong to; or why nobody can tell. */
export function measuredIn(several: readonly Held[], from: Reader, context: RowContext): Measured | Unread {
  const { cell, fail } = from;
  const { words, mapping } = context;
  const text = cell('parameter');
  if (words.isQuality(`${cell('kind')}\u0000${text}`)) return fail('parameter', 'quality');
  const wording = words.named(text) ?? saidName(text, mapping);
  if (!wording) return fail('parameter', mapping.names?.[text] === '' ? 'left-out' : 'unknown-parameter');
  const name = { ...wording, parameter: byUnit(wording, from, context) };
  const held = bottleFor(several, name.parameter, name.fraction ?? words.fraction(cell('fraction')));
  if (!held) return fail('parameter', 'other-bottle', { bottle: several[0]!.bottle.name.toLowerCase() });
  const said = fractionOf(name, held, several.length > 1, from, context);
  return 'code' in said ? said : { name, held, ...said };
}
