import { isCounted, parameter, parameterIds, type ParameterId } from '@fonte/core/parameters';
import { readReport, type BottleAtLab, type LabResult, type Mapping, type ReportDraft, type ReportTable } from '@fonte/core/read';
import { convert, type UnitId } from '@fonte/core/units';
import { tableIn } from '../../src/read/formats/index.ts';
import { bytesOf, type TrueFile, type TrueResult } from './truth.ts';

/** The round that the files are of: four points, wells and taps, each with a bottle of every letter. */
const letters = { B: null, G: null, M: 'dissolved', T: 'total', N: null, A: null, V: null } as const;
const points = [...['PT', 'MW', 'TP'].flatMap((kind) => [1, 2, 3, 4].map((number) => `${kind}${number}`)), 'FB1', 'TB1', 'PT1D'];
const [germs, others] = [parameterIds.filter(isCounted), parameterIds.filter((id) => !isCounted(id))];

function bottlesOf(file: string): Map<string, BottleAtLab> {
  const wells = file.startsWith('en-28') ? Array.from({ length: 2500 }, (_, index) => `MW${index + 1}`) : points;
  return new Map(
    wells.flatMap((point) =>
      Object.entries(letters).map(([letter, fraction]): [string, BottleAtLab] => [
        `261201A-${point}-${letter}`,
        {
          name: letter,
          parameters: letter === 'B' ? germs : others,
          filledOn: '2026-12-01',
          visit: point,
          ...(fraction ? { fraction } : {}),
        },
      ]),
    ),
  );
}

/** Their names of parameters where they are not ours. */
const ours: Readonly<Record<string, ParameterId>> = {
  nitratePlusNitrite: 'nitrateNitrite',
  phosphate: 'orthophosphate',
  phosphorusTotal: 'totalPhosphorus',
  conductivity20: 'conductivity',
  conductivity25: 'conductivity',
  toc: 'organicCarbon',
  resistivity25: 'resistivity',
  pfasSum: 'pfasSum4',
  permanganateIndex: 'oxidisability',
  dissolvedOxygen: 'oxygen',
  tds: 'dissolvedSolids',
  dichloroethane12: 'dichloroethane12',
};

const oursOf = (id: string): ParameterId | null => {
  const own = ours[id] ?? id;
  return (parameterIds as readonly string[]).includes(own) ? (own as ParameterId) : null;
};

const unitIds: Readonly<Record<string, UnitId>> = {
  'µg/L': 'ug/L',
  'µS/cm': 'uS/cm',
  '°C': 'degC',
  '°dH': 'dH',
  '°f': 'fH',
  'MPN/100mL': 'per100mL',
  'CFU/100mL': 'per100mL',
  '/100mL': 'per100mL',
  'CFU/mL': 'permL',
  'mg/L Pt-Co': 'mg/L Pt',
};

/** What takes a basis of theirs to ours, by their factors. */
const toIon: Readonly<Record<string, number>> = {
  'nitrate N': 4.4268,
  'nitrite N': 3.2845,
  'ammonium N': 1.2878,
  'orthophosphate P': 3.0661,
  'orthophosphate P2O5': 3.0661 / 2.2914,
  'totalPhosphorus P2O5': 1 / 2.2914,
  'totalPhosphorus PO4': 1 / 3.0661,
  'sulfate S': 2.996,
  'silica Si': 2.1393,
  'bicarbonate CaCO3': 61.02 / 50.04,
  'hardness CaO': 1.785,
  'alkalinity HCO3': 50.04 / 61.02,
};

/** What takes an amount or a degree of theirs straight to ours, by their factors. */
const straight: Readonly<Record<string, number>> = {
  'hardness gpg': 17.12,
  'hardness mmol/L': 100.09,
  'alkalinity mmol/L': 50.04,
  'alkalinity meq/L': 50.04,
  'alkalinity °f': 10,
};

/** A value of theirs in the parameter's own unit and basis; NaN where it cannot be taken there. */
function inOurs(id: ParameterId, { parameter: theirs, value, unit, expressedAs }: TrueResult): number {
  if (value === null) return NaN;
  const at = straight[`${id} ${unit}`];
  if (at !== undefined) return value * at;
  // Turbidity is not converted, and what has no unit cannot be.
  if (id === 'turbidity' || unit === null || unit === 'ohm·m') return value;
  const { unit: own, expressedAs: ways = {} } = parameter(id);
  const way = expressedAs === null ? undefined : (ways as Record<string, number>)[expressedAs];
  const factor = (way ?? toIon[`${id} ${expressedAs}`] ?? 1) * (theirs === 'conductivity20' ? 1.116 : 1);
  const from = (unitIds[unit] ?? unit) as UnitId;
  try {
    return convert(value * factor, from === 'mg/L' && own === 'mg/L CaCO3' ? own : from, own);
  } catch {
    return NaN;
  }
}

const forms: Readonly<Record<TrueResult['operator'], LabResult['form']>> = {
  '=': 'value',
  '<': 'below',
  '>': 'above',
  present: 'present',
  absent: 'absent',
  tntc: 'uncountable',
};

/** Whether what we read is what is true; why not, where it is not. */
function differs(read: LabResult, truth: TrueResult): string | null {
  const id = oursOf(truth.parameter);
  if (!id) return `parameter ${truth.parameter}`;
  if (read.form !== forms[truth.operator]) return `${read.form} for ${truth.operator}`;
  if (truth.operator !== '=' && truth.operator !== '<' && truth.operator !== '>') return null;
  const value = inOurs(id, truth);
  if (read.value === null || !(Math.abs(read.value - value) <= Math.abs(value) * 0.005 + 1e-12))
    return `${read.value} for ${value} (${truth.value} ${truth.unit} ${truth.expressedAs ?? ''})`;
  const fractions = [truth.fraction, ...('alsoAcceptFraction' in truth ? [truth.alsoAcceptFraction] : [])];
  return fractions.includes(read.fraction ?? null) || (read.fraction === undefined && !truth.fraction) || !parameter(id).isBound
    ? null
    : `fraction ${read.fraction ?? 'none'} for ${truth.fraction}`;
}

export interface Score {
  file: string;
  right: number;
  /** Of those that have one reading. */
  of: number;
  wrong: string[];
  /** Read without a question, though two readings exist. */
  silent: string[];
  missed: string[];
  questions: number;
}

const isHeld = (bottle: string, id: string) => bottle === id || (bottle.startsWith(`${id}-`) && bottle.length === id.length + 2);

/** Whether a line says again what another one says, which was read: the same number, or the same in another form or unit by its digits. */
function isToldElsewhere(one: TrueResult, { results: all }: TrueFile, results: readonly LabResult[]): boolean {
  const id = oursOf(one.parameter);
  if (!id) return false;
  const others = all.filter(
    (other) =>
      other !== one && other.mustBe === 'read' && other.id === one.id && oursOf(other.parameter) === id && other.fraction === one.fraction,
  );
  const near = (read: LabResult) => read.value !== null && Math.abs(read.value - inOurs(id, one)) <= Math.abs(read.value) * 0.15;
  return others.some((other) =>
    results.some(
      (read) => read.parameter === id && isHeld(read.bottle, one.matches ?? one.id) && differs(read, other) === null && near(read),
    ),
  );
}

/** Other outcomes that are no error, and the truth itself. */
const acceptable = (one: TrueResult): TrueResult[] => [one, ...(one.alsoAccept ?? []).map((more) => ({ ...one, ...more }))];

const say = (one: TrueResult) => `${one.record} ${one.id} ${one.parameter} ${one.operator}${one.value ?? ''} ${one.unit ?? ''}`;

/** What was read of what a row is true of: on its line, else with its number. */
function matchOf(one: TrueResult, open: ReadonlySet<LabResult>): LabResult | undefined {
  const id = oursOf(one.parameter);
  const fits = [...open].filter((read) => read.parameter === id && isHeld(read.bottle, one.matches ?? one.id));
  const byLine = fits.filter((read) => read.line === one.record);
  return byLine.find((read) => differs(read, one) === null) ?? byLine[0] ?? fits.find((read) => differs(read, one) === null);
}

/** Counts a row that has one reading. */
function count(
  one: TrueResult,
  read: LabResult | undefined,
  truth: TrueFile,
  results: readonly LabResult[],
  draft: ReportDraft | null,
  found: Score,
) {
  const isRight = read ? acceptable(one).some((each) => differs(read, each) === null) : false;
  if (isRight || isToldElsewhere(one, truth, results)) found.right += 1;
  else if (!read) {
    const why = [...(draft?.unread ?? []), ...(draft?.apart ?? [])].filter(({ line }) => line === one.record);
    found.missed.push(
      `${say(one)}: ${why
        .slice(0, 3)
        .map(({ code, cell }) => `${code} “${cell}”`)
        .join(', ')}`,
    );
    // “Not detected”, and nobody says down to what: nothing is claimed.
  } else if (read.form === 'below' && read.value === null) found.missed.push(`${say(one)}: without a number`);
  else found.wrong.push(`${say(one)}: ${differs(read, one)}`);
}

/** Holds what was read of a file against what is true of it. */
export function score(truth: TrueFile, results: readonly LabResult[], draft: ReportDraft | null): Score {
  const open = new Set(results);
  const found: Score = { file: truth.file, right: 0, of: 0, wrong: [], silent: [], missed: [], questions: draft?.questions.length ?? 0 };
  const toRead = truth.results.filter(({ mustBe }) => mustBe === 'read');
  // Those that are read to the digit first: of two lines that say one thing one is kept.
  const exact = new Map<TrueResult, LabResult>();
  for (const one of toRead) {
    const read = matchOf(one, open);
    if (!read || differs(read, one) !== null) continue;
    exact.set(one, read);
    open.delete(read);
  }
  for (const one of toRead) {
    found.of += 1;
    const read = exact.get(one) ?? matchOf(one, open);
    if (read) open.delete(read);
    count(one, read, truth, results, draft, found);
  }
  // What a file says of itself as a whole is asked before anything of it is written down.
  const isAskedWhole = draft?.status === 'preliminary';
  for (const one of truth.results.filter(({ mustBe }) => mustBe !== 'read')) {
    const read = matchOf(one, open);
    if (!read) continue;
    open.delete(read);
    const isClaimed = !(read.form === 'below' && read.value === null);
    const isAccepted = acceptable(one)
      .slice(1)
      .some((each) => differs(read, each) === null);
    if (isClaimed && !isAskedWhole && !isAccepted) found.silent.push(`${say(one)}: read as ${read.form} ${read.value}`);
  }
  const isTrue = (read: LabResult) =>
    truth.results.some(
      (one) => oursOf(one.parameter) === read.parameter && isHeld(read.bottle, one.matches ?? one.id) && differs(read, one) === null,
    );
  if (truth.resultsComplete !== false)
    for (const read of open)
      if (!isTrue(read)) found.wrong.push(`${read.line} ${read.bottle} ${read.parameter} ${read.form} ${read.value}: in no row`);
  return found;
}

/** Reads a file as the product does, with what a person said of it. */
export async function readOf(file: string, mapping?: Mapping, table?: ReportTable): Promise<ReturnType<typeof readReport>> {
  return readReport(table ?? (await tableIn(bytesOf(file))), bottlesOf(file), mapping);
}
