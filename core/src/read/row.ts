import type { Data } from '../findings/index.ts';
import type { BottleAtLab } from './at-lab.ts';
import { isCounted, parameter, type ParameterId } from '../parameters/index.ts';
import { convert, type UnitId } from '../units/index.ts';
import type { LabResult } from './entries.ts';
import { swapped } from './collected.ts';
import { reader, splitUnit, type Reader, type RowContext } from './context.ts';
import { tight, type Whose } from './labels.ts';
import type { ConfirmCode } from './tables/to-confirm.ts';
import { isUnusual, stepOfDigits } from './unusual.ts';
import type { Mapping, Role } from './mapping.ts';
import { fitting, into } from './cells/into.ts';
import { isPartsPerT, type CalledUnit, type Named } from './cells/names.ts';
import { basisQuestions } from './tables/bases.ts';
import { factorOf, tokenOfWay } from './tables/forms.ts';
import { notAnalysed, type TableRow, type Unread } from './shape/table.ts';
import { bareFlag, readValue, saysNotFound, type CellStyle } from './cells/value.ts';

/** A row set apart: it was understood, and is no result of this round. */
export const apartCodes = ['quality', 'other-sample', 'note', 'same-again', 'not-chosen', 'not-analysed', 'left-out'] as const;

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
function intoOwn(name: Named, found: CalledUnit | null, mapping: Mapping): { inOwn: (number: number) => number } | { code: string } {
  const form = formOf(name, found?.as ?? null, mapping);
  if ('code' in form) return form;
  const taken = into(name.parameter, found, form.as);
  if ('inOwn' in taken || (taken.code !== 'hardness-as' && taken.code !== 'alkalinity-as')) return taken;
  const way = taken.code === 'hardness-as' ? mapping.hardnessAs : mapping.alkalinityAs;
  return way ? into(name.parameter, found, way.toLowerCase()) : taken;
}

const notHeld: Partial<Record<Whose['is'], string>> = { none: 'no-label', unknown: 'unknown-label' };

interface Held {
  label: string;
  bottle: BottleAtLab;
}

/** The bottles that a row may belong to, or why it belongs to none: one, or all of a point that it names. */
function bottlesOf({ cell, fail }: Reader, { bottles, whose }: RowContext): Held[] | Unread {
  const whoseIs = whose(cell('sample'));
  const held = (labels: readonly string[]) => labels.map((label) => ({ label, bottle: bottles.get(label)! }));
  if (whoseIs.is === 'ours' || whoseIs.is === 'point') {
    const all = held(whoseIs.is === 'ours' ? [whoseIs.label] : whoseIs.labels);
    const there = all.filter(({ bottle }) => !bottle.isElsewhere);
    return there.length > 0 ? there : fail('sample', 'not-at-lab');
  }
  if (whoseIs.is === 'near') return fail('sample', 'near-label', { labels: whoseIs.labels.slice(0, 6).join(', ') });
  if (whoseIs.is === 'quality') return fail('sample', 'quality');
  if (whoseIs.is === 'other') return fail('sample', 'other-sample');
  // A line without a result and without a bottle of ours is a remark, or a line of units.
  const isEmpty = cell('result') === '' && cell('qualifier') === '';
  return fail('sample', isEmpty ? 'note' : notHeld[whoseIs.is]!);
}

/**
 * Of the bottles of a point, the one that a result is of: those that may bring the parameter, in the fraction that is said; first the one that
 * was filled for it.
 */
function bottleFor(held: readonly Held[], id: ParameterId, fraction: LabResult['fraction'] | null): Held | null {
  const may = held.filter(({ bottle }) => bottle.parameters.includes(id));
  const isOf = ({ bottle }: Held) => !fraction || !parameter(id).isBound || !bottle.fraction || bottle.fraction === fraction;
  const fits = may.filter(isOf);
  const of = fits.length > 0 ? fits : may;
  return of.find(({ bottle }) => (bottle.asked ?? bottle.parameters).includes(id)) ?? of[0] ?? null;
}

/** What ppt is: of salt in a thousand, of PFAS in a million million; else as the file or a person says. */
function partsPerT(id: ParameterId, mapping: Mapping, pptIs: UnitId | null): UnitId | null {
  if (parameter(id).unit === 'g/kg') return 'g/kg';
  if (parameter(id).kind === 'PFAS') return 'ng/L';
  if (mapping.ppt) return mapping.ppt === 'thousand' ? 'g/L' : 'ng/L';
  return pptIs;
}

/** What a limit in another unit than its result is expressed as: the same, where it does not say. */
const formOfLimit = (unit: CalledUnit, found: CalledUnit): string | null => unit.as ?? found.as;

/** What a person said that a unit means. */
function saidUnit(written: string, { units }: Mapping): CalledUnit | null {
  const unit = units && Object.hasOwn(units, written) ? units[written] : undefined;
  return unit ? { unit, as: null } : null;
}

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

/** The unit a row's number is in, or why nobody can tell. */
function unitOf(
  name: Named,
  inCell: CalledUnit | null,
  { cell, fail }: Reader,
  { mapping, words, headed, pptIs }: RowContext,
): CalledUnit | null | Unread {
  const own = parameter(name.parameter).unit;
  // Found or not found has no unit of its own.
  const written = /^\s*(p\/a|presence\s*\/\s*absence|presen[cç]a\s*\/\s*aus[eê]ncia)\s*$/i.test(cell('unit')) ? '' : cell('unit');
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

/**
 * What a word says beside which no number and no limit stands. A germ that was looked for and not found in the 100 mL that are asked for, or
 * in more, is none; of a chemical it is a bound that nobody stated.
 */
function formWithout(
  form: LabResult['form'],
  limit: number | null,
  id: ParameterId,
  found: CalledUnit | null,
  { cell }: Reader,
): LabResult['form'] {
  const own = parameter(id).unit;
  const isNone =
    limit === null &&
    found !== null &&
    isCounted(id) &&
    saysNotFound(cell('result'), cell('qualifier')) &&
    convert(1, found.unit, own) <= 1;
  return isNone ? 'absent' : form;
}

/** A contradiction that a person may have settled: nothing where the row is to be taken as it is printed. */
function toConfirm({ fail }: Reader, { confirmed }: Mapping, role: Role, code: ConfirmCode, data?: Data): Unread | null {
  const said = confirmed?.[code];
  return said === 'printed' ? null : fail(role, said === 'out' ? 'left-out' : code, data);
}

/** What of a row besides its label says that it is another's. */
function anotherOnes(
  row: TableRow,
  from: Reader,
  { mapping, client, twiceNumbered, visits }: RowContext,
  held: readonly Held[],
): Unread | null {
  const of = from.cell('client');
  if (client !== null && of !== client)
    return of === '' ? toConfirm(from, mapping, 'client', 'no-client') : from.fail('sample', 'other-sample');
  if (twiceNumbered.has(from.cell('labNumber'))) {
    const twice = toConfirm(from, mapping, 'labNumber', 'lab-number-twice');
    if (twice) return twice;
  }
  const own = held[0]!.bottle.visit;
  // A number of a result may well be the number of a point.
  const mapped = Object.values(mapping.columns);
  const other = row.cells.find(
    (cell, column) => /\p{L}/u.test(cell) && !mapped.includes(column) && (visits.get(tight(cell)) ?? own) !== own,
  );
  return other === undefined ? null : toConfirm(from, mapping, 'sample', 'point-contradicts', { point: other });
}

/** What of a result contradicts the limits that stand beside it, all in the parameter's own unit. */
function againstLimits(
  { form, value, estimated }: Pick<LabResult, 'form' | 'value' | 'estimated'>,
  isPrinted: boolean,
  id: ParameterId,
  limits: readonly number[],
): ConfirmCode | null {
  if (value === null || isCounted(id)) return null;
  // None of a substance at all: nobody can see that.
  if (form === 'value' && value === 0 && !estimated && parameter(id).kind !== 'physical') return 'under-own-limit';
  if (limits.length === 0) return null;
  const isUnder = (limit: number) => value < limit * (1 - 1e-9);
  if (form === 'value' && !estimated && isUnder(Math.min(...limits))) return 'under-own-limit';
  return form === 'below' && isPrinted && isUnder(Math.max(...limits)) ? 'bound-under-limit' : null;
}

/** A number in another unit than the lab's limits that nobody would expect, or far over the value that the lab holds it against. */
function mayBeSlip(
  result: LabResult,
  from: Reader,
  limitUnits: readonly (CalledUnit | null | undefined)[],
  { words }: RowContext,
  unit: CalledUnit | null,
): boolean {
  if (!unit || result.form !== 'value' || result.value === null) return false;
  const { reportingLimit } = result;
  if (isUnusual(result) && reportingLimit !== null && result.value > reportingLimit * farOverLimit) return true;
  if (!limitUnits.some((one) => one && one.unit !== unit.unit)) return false;
  const guide = splitUnit(from.cell('limit')) ? words.limit(from.cell('limit')) : null;
  const taken = guide?.value != null && guide.unit ? into(result.parameter, guide.unit, guide.unit.as) : null;
  const most = taken && 'inOwn' in taken ? taken.inOwn(guide!.value!) : Infinity;
  return isUnusual(result) || result.value > most * farOver;
}

/** So many times a lab's own value a number is rather in another unit. Common practice: units are a thousand apart. */
const farOver = 50;
/** So many times the lab's own limit what is unusual anyway is rather in another unit. */
const farOverLimit = 1000;

/** Reads one row. What it returns is a result; what was not understood, with its place; or a row set apart, by its code. */
export function readRow(row: TableRow, context: RowContext): LabResult | Unread {
  const { mapping, style, words } = context;
  const from = reader(row, mapping);
  const { cell, fail } = from;
  if (row.cells.length < 2) return fail('sample', context.bottles.has(cell('sample')) ? 'few-cells' : 'note');
  const several = bottlesOf(from, context);
  if ('code' in several) return several;
  const name = cell('parameter');
  if (words.isQuality(`${cell('kind')}\u0000${name}`)) return fail('parameter', 'quality');
  const sample = cell('sample');
  const other = row.cells.find(
    (one) => one !== '' && one !== sample && context.bottles.has(one) && several.every(({ label }) => label !== one),
  );
  if (other !== undefined) return fail('sample', 'two-labels', { label: other });
  const another = anotherOnes(row, from, context, several);
  if (another) return another;
  const wording = words.named(name) ?? saidName(name, mapping);
  if (!wording) return fail('parameter', mapping.names?.[name] === '' ? 'left-out' : 'unknown-parameter');
  const called = { ...wording, parameter: byUnit(wording, from, context) };
  const { parameter: id } = called;
  const inColumn = words.fraction(cell('fraction'));
  const held = bottleFor(several, id, called.fraction ?? inColumn);
  if (!held) return fail('parameter', 'other-bottle', { bottle: several[0]!.bottle.name.toLowerCase() });

  if (cell('fraction') !== '' && parameter(id).isBound && !inColumn) return fail('fraction', 'unknown-fraction');
  if (inColumn && called.fraction && inColumn !== called.fraction) return fail('fraction', 'fraction-contradicts');
  const said = parameter(id).isBound ? (called.fraction ?? inColumn ?? null) : null;
  const ofBottle = parameter(id).isBound && several.length === 1 ? held.bottle.fraction : undefined;
  if (said && ofBottle && said !== ofBottle && !mapping.fractionBy)
    return fail('parameter', 'fraction-of-bottle', { bottle: ofBottle, said });
  const fraction = mapping.fractionBy === 'bottle' ? (ofBottle ?? said) : (said ?? ofBottle ?? null);

  if (notAnalysed.test(cell('result')) && cell('qualifier') === '') return fail('result', 'not-analysed');
  const split = splitUnit(cell('result'));
  const value = readValue(split?.number ?? cell('result'), cell('qualifier'), style);
  if (!value.ok) return fail('result', value.code, value.data);
  const found = unitOf(called, split?.unit ?? null, from, context);
  if (found && 'code' in found) return found;
  const limit = words.limit(cell('reportingLimit'));
  const seen = words.limit(cell('detectionLimit'));
  // What the lab could see decides what a number says: a limit that cannot be read is no limit of nothing.
  if (limit.code) return fail('reportingLimit', limit.code);
  if (seen.code) return fail('detectionLimit', seen.code);
  // A word needs no unit, unless a limit stands beside it that does.
  if (!found && !(value.value === null && cell('reportingLimit') === '' && cell('detectionLimit') === '')) return fail('unit', 'no-unit');
  const inColumnOfLimits = cell('limitUnit') === '' ? null : words.unit(cell('limitUnit'));
  const unitsOfLimits = [limit, seen].map(({ unit, value: number }, index) => {
    const headedBy = context.headed[index === 0 ? 'reportingLimit' : 'detectionLimit'];
    return number === null ? null : (unit ?? inColumnOfLimits ?? (headedBy === '%' ? null : headedBy) ?? null);
  });
  if (limit.value !== null && seen.value !== null && seen.value > limit.value && unitsOfLimits[0]?.unit === unitsOfLimits[1]?.unit)
    return fail('detectionLimit', 'limits-swapped');
  const taken = intoOwn(called, found, mapping);
  if ('code' in taken) return fail('unit', taken.code, { ...(found ? { unit: found.unit } : {}), parameter: id });
  const { inOwn } = taken;
  // A limit may stand in a unit of its own.
  const [limitTaken, seenTaken] = unitsOfLimits.map((unit) =>
    unit && found && unit.unit !== found.unit ? into(id, fitting(id, unit), formOfLimit(unit, found)) : taken,
  );
  if (!('inOwn' in limitTaken!) || !('inOwn' in seenTaken!)) return fail('reportingLimit', 'limit-unit');
  const ownLimit = limit.value === null ? null : limitTaken.inOwn(limit.value);
  const ownSeen = seen.value === null ? null : seenTaken.inOwn(seen.value);
  const number =
    value.value === null
      ? value.form === 'below'
        ? namedBound([cell('result'), cell('qualifier')], ownLimit, ownSeen, style)
        : null
      : inOwn(value.value);
  const [least, most] = parameter(id).possible;
  if (number !== null && number < 0 && least >= 0) return fail('result', 'negative');
  if (number !== null && (number < least || number > most)) return fail('result', 'cannot-be', { parameter: id, value: number });
  const written = (role: Role, most: number) => cell(role).slice(0, most);
  const optional = (key: string, text: string) => (text === '' ? {} : { [key]: text });
  const uncertainty = uncertaintyOf(value, withShare(cell('uncertainty'), context.headed.uncertainty), style);
  if (uncertainty === 'unread') return fail('uncertainty', 'not-an-uncertainty');
  const collected = swapped(from, held, context);
  if (collected) return collected;
  const against = againstLimits(
    { form: value.form, value: number, estimated: value.estimated },
    value.value !== null,
    id,
    [ownLimit ?? [], ownSeen ?? []].flat(),
  );
  const contradicted = against && toConfirm(from, mapping, 'result', against);
  if (contradicted) return contradicted;
  if (cell('secondResult') !== '' && value.form === 'value' && value.value !== null) {
    const second = readValue(cell('secondResult'), '', style);
    const differs =
      second.ok && second.value !== null && Math.abs(second.value - value.value) > stepOfDigits(cell('result'), value.value) / 2 + 1e-9;
    const twice = differs ? toConfirm(from, mapping, 'result', 'two-columns', { other: cell('secondResult') }) : null;
    if (twice) return twice;
  }
  const result: LabResult = {
    line: row.line,
    bottle: held.label,
    parameter: id,
    ...(fraction ? { fraction } : {}),
    form: formWithout(value.form, limit.value, id, found, from),
    value: number,
    ...(value.inclusive ? { inclusive: true } : {}),
    estimated: value.estimated,
    ...(value.isLate ? { isLate: true as const } : {}),
    reportingLimit: ownLimit,
    ...(ownSeen === null ? {} : { detectionLimit: ownSeen }),
    ...(uncertainty ? { uncertainty: inOwn(uncertainty) } : {}),
    ...optional('method', written('method', 200)),
    ...optional('labLimit', written('limit', 80)),
    ...optional('dilution', written('dilution', 40)),
    ...optional('analysed', written('analysed', 40)),
    written: {
      result: written('result', 200),
      unit: written('unit', 80) || (called.unit ? unitText(name) : ''),
      reportingLimit: written('reportingLimit', 80),
    },
  };
  const slip = mayBeSlip(result, from, unitsOfLimits, context, found) ? toConfirm(from, mapping, 'result', 'unit-slip') : null;
  return slip ?? result;
}

/** Limits that a cell names instead of a number: `< LD` is below the detection limit, `<LOQ` below that of quantification. */
const limitWords = {
  seen: /<\s*(?:LD|LOD|MDL|DL|LDM|NG)\b|\bBDL\b/i,
  reported: /<\s*(?:LQ|LOQ|RL|PQL|BG|LC|MRL)\b|\b(?:BRL|BQL|NQ)\b/i,
};

/** The bound that a cell names by a word, from the column of that limit and from no other; null where it names none or the column has none. */
function namedBound(cells: readonly string[], reported: number | null, seen: number | null, { bounds = {} }: CellStyle): number | null {
  for (const cell of cells) {
    const flag = bareFlag(cell);
    if (Object.hasOwn(bounds, flag)) return bounds[flag] === 'reported' ? reported : seen;
  }
  const said = cells.join(' ');
  if (limitWords.seen.test(said)) return seen;
  return limitWords.reported.test(said) ? reported : null;
}

/** The unit as it stands in a name. */
const unitText = (name: string) => (/[([]([^()[\]]*)[)\]]\s*$/.exec(name)?.[1] ?? name.split(/[\s,;_]+/).at(-1) ?? '').slice(0, 80);

/** An uncertainty under a heading that says per cent. */
const withShare = (text: string, headed: CalledUnit | '%' | undefined) => (headed === '%' && /\d\s*$/.test(text) ? `${text} %` : text);

/** The uncertainty in the unit of the result, as it stands in the cell or in a column of its own; null where there is none. */
function uncertaintyOf(
  value: { value: number | null; uncertainty?: { value: number; isShare: boolean } },
  column: string,
  style: CellStyle,
) {
  const number = value.value;
  if (number === null) return null;
  const of = ({ value: by, isShare }: { value: number; isShare: boolean }) => (isShare ? (number * by) / 100 : by);
  if (value.uncertainty) return of(value.uncertainty);
  const text = column.replace(/^\s*(±|\+\/-)\s*/, '').trim();
  if (text === '' || notAnalysed.test(text)) return null;
  const read = readValue(text.replace(/\s*%\s*$/, ''), '', style);
  return read.ok && read.value !== null ? of({ value: read.value, isShare: /%\s*$/.test(text) }) : 'unread';
}
