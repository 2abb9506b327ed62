import { parameter, type ParameterId } from '../../parameters/index.ts';
import type { UnitId } from '../../units/index.ts';
import { fitting, into } from '../cells/into.ts';
import { isPartsPerT, type CalledUnit, type Named } from '../cells/names.ts';
import type { Mapping } from '../mapping.ts';
import type { Unread } from '../shape/table.ts';
import { basisQuestions } from '../tables/bases.ts';
import { factorOf, tokenOfWay } from '../tables/forms.ts';
import type { Reader, RowContext } from './context.ts';

const noUnitNeeded: ReadonlySet<UnitId> = new Set(['pH', 'dilution', '1']);

/** The formula that a result is expressed as, as its unit, its name or a person says; a code where they do not agree or nobody says it. */
function formOf(name: Named, unitAs: string | null, mapping: Mapping): { as: string | null } | { code: string } {
  const id = name.parameter;
  if (unitAs !== null && factorOf(id, unitAs) === null) return { code: 'basis-contradicts' };
  if (unitAs !== null && name.isFirm && factorOf(id, unitAs) !== factorOf(id, name.as!)) return { code: 'basis-contradicts' };
  const said = unitAs ?? name.as;
  if (said !== null) return { as: said };
  const ways = parameter(id).expressedAs;
  if (!ways) return { as: null };
  const question = basisQuestions.find((one) => one.ways.every((way) => way in ways));
  // One way only: nothing else can be meant.
  const way = question ? mapping[question.key] : Object.keys(ways)[0];
  return way === undefined ? { code: question!.code } : { as: tokenOfWay(id, way) };
}

/** How a number is taken to the parameter's own unit, with the unit that it stands in; a code where nobody can tell. */
export function intoOwn(name: Named, found: CalledUnit | null, mapping: Mapping): { inOwn: (number: number) => number } | { code: string } {
  const form = formOf(name, found?.as ?? null, mapping);
  if ('code' in form) return form;
  const taken = into(name.parameter, found, form.as);
  if ('inOwn' in taken || (taken.code !== 'hardness-as' && taken.code !== 'alkalinity-as')) return taken;
  const way = taken.code === 'hardness-as' ? mapping.hardnessAs : mapping.alkalinityAs;
  return way ? into(name.parameter, found, way.toLowerCase()) : taken;
}

/** What ppt is: of salt in a thousand, of PFAS in a million million; else as the file or a person says. */
function partsPerT(id: ParameterId, mapping: Mapping, pptIs: UnitId | null): UnitId | null {
  if (parameter(id).unit === 'g/kg') return 'g/kg';
  if (parameter(id).kind === 'PFAS') return 'ng/L';
  if (mapping.ppt) return mapping.ppt === 'thousand' ? 'g/L' : 'ng/L';
  return pptIs;
}

/** What a person said that a unit means. */
function saidUnit(written: string, { units }: Mapping): CalledUnit | null {
  const unit = units && Object.hasOwn(units, written) ? units[written] : undefined;
  return unit ? { unit, as: null } : null;
}

/** The unit a row's number is in, or why nobody can tell. */
export function unitOf(
  name: Named,
  inCell: CalledUnit | null,
  { cell, fail }: Reader,
  { mapping, words, headed, pptIs }: RowContext,
): CalledUnit | null | Unread {
  const own = parameter(name.parameter).unit;
  // Found or not found has no unit of its own.
  const written = /^\s*(p\/a|presence\s*\/\s*absence|presen[cç]a\s*\/\s*aus[eê]ncia)\s*$/i.test(cell('unit'))
    ? ''
    : cell('unit').replace(/^[-–—]$/, '');
  const isT = isPartsPerT(written);
  const ppt = isT ? partsPerT(name.parameter, mapping, pptIs) : null;
  if (isT && !ppt) return fail('unit', 'ppt');
  const inColumn: CalledUnit | null = ppt
    ? { unit: ppt, as: null }
    : written === ''
      ? null
      : (words.unit(written) ?? saidUnit(written, mapping));
  if (written !== '' && !inColumn) return fail('unit', 'unknown-unit');
  const inHeading = headed.result && headed.result !== '%' ? headed.result : null;
  const said = [inCell, inColumn, name.unit, inHeading].filter((one) => one !== null).map((one) => fitting(name.parameter, one));
  const called = said[0] ?? (noUnitNeeded.has(own) ? { unit: own, as: null } : null);
  if (called && said.some((one) => one.unit !== called.unit || one.amount !== called.amount)) return fail('unit', 'unit-contradicts');
  const forms = new Set(said.flatMap((one) => one.as ?? []));
  if (forms.size > 1) return fail('unit', 'basis-contradicts');
  return called && { ...called, as: [...forms][0] ?? null };
}
