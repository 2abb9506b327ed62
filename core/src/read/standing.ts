import { isCounted, type ParameterId } from '../parameters/index.ts';
import { toldForms, type LabResult } from './entries.ts';
import { withoutResult } from './missing.ts';
import type { ReadBook, RoundReport, ToldResult } from './reports.ts';

/** A result that holds, with where it comes from. */
export interface Standing {
  result: LabResult;
  /** Its report, by hash; null for what was only told, and for what was counted on the own bench. */
  report: string | null;
  /** The culture on the own bench that it was counted in. */
  bench?: string;
  /** When it was known first (ms): told, or with the first report that says it so. */
  known: number;
  /** The lab will send another report for it. */
  isPreliminary: boolean;
  /** Something else was told of it than its report says: which of the two holds, the lab must say. */
  isContradicted: boolean;
  /** What was told of the same thing before. */
  told?: readonly LabResult[];
}

/** What was measured: a parameter in a bottle, by its fraction. */
export const measuredOf = ({ bottle, parameter: id, fraction }: Pick<LabResult, 'bottle' | 'parameter' | 'fraction'>) =>
  `${bottle} ${id}${fraction ? ` ${fraction}` : ''}`;

/** Whether it was found by somebody who measured it, and is not only told. */
export const isReported = ({ report, bench }: Pick<Standing, 'report' | 'bench'>): boolean => report !== null || bench !== undefined;

const isAlike = (a: LabResult, b: LabResult) =>
  a.form === b.form && a.value === b.value && (a.inclusive ?? false) === (b.inclusive ?? false);

/** The reports that were written down and not put aside, in the order in which they were. */
function readOnes(reports: readonly RoundReport[]) {
  return reports
    .flatMap((report) => (report.read && !report.putAside ? [{ ...report, read: report.read }] : []))
    .sort((a, b) => a.read.at - b.read.at);
}

/** Results of reports that hold: a later report that replaces an earlier one takes its place, as a whole or in what it repeats. */
function ofReports(reports: readonly RoundReport[]): Standing[] {
  let found: Standing[] = [];
  for (const { sha256, at, read } of readOnes(reports)) {
    const own = new Set(read.results.map(measuredOf));
    const isReplaced = ({ report, result }: Standing) => {
      const how = report === null ? undefined : read.mapping.replaces?.[report];
      return how === 'whole' || (how === 'repeated' && own.has(measuredOf(result)));
    };
    const replaced = new Map(found.filter(isReplaced).map((one) => [measuredOf(one.result), one]));
    const known = (result: LabResult) => {
      const before = replaced.get(measuredOf(result));
      return before && isAlike(before.result, result) ? Math.min(at, before.known) : at;
    };
    const isPreliminary = read.mapping.status === 'preliminary';
    found = [
      ...found.filter((one) => !isReplaced(one)),
      ...read.results.map((result) => ({ result, report: sha256, known: known(result), isPreliminary, isContradicted: false })),
    ];
  }
  return found;
}

/** `found`, `not found`, `< 1`, `> 200`, `too many to count`: what was told, in the parameter's own unit. */
export function sayTold({ form, value }: Pick<ToldResult, 'form' | 'value'>): string {
  if (form === 'value') return String(value);
  if (form === 'below' || form === 'above') return `${form === 'below' ? '<' : '>'} ${value}`;
  return toldForms[form].name.toLowerCase();
}

/** What was told, as a result of no report. */
function ofWords({ told }: ReadBook): Standing[] {
  return told.map(({ bottle, parameter: id, form, value, at }) => ({
    report: null,
    known: at,
    isPreliminary: true,
    isContradicted: false,
    result: {
      line: 0,
      bottle,
      parameter: id,
      form,
      value,
      estimated: true,
      reportingLimit: null,
      written: { result: sayTold({ form, value }), unit: '', reportingLimit: '' },
    },
  }));
}

const worked = new WeakMap<ReadBook, readonly Standing[]>();

/**
 * Every result that holds in a round. What was told stands until a report says it; from then on the report's word counts, and the
 * moment of the telling.
 */
export function standingResults(book: ReadBook): readonly Standing[] {
  const known = worked.get(book);
  if (known) return known;
  const standing = workOut(book);
  worked.set(book, standing);
  return standing;
}

/** A number may be told rounded: by so much, as a part of it. */
const rounding = 0.1;

/** Between what a result may lie, in the parameter's own unit; what was found is more than any reporting limit that it may be held against. */
function rangeOf({ parameter: id, form, value, reportingLimit }: LabResult): { least: number; most: number } {
  const isCount = isCounted(id);
  switch (form) {
    case 'value':
      return { least: value ?? 0, most: value ?? 0 };
    case 'below':
      // Less than one in 100 mL is none.
      return { least: 0, most: isCount && value !== null && value <= 1 ? 0 : (value ?? reportingLimit ?? 0) };
    case 'above':
      return { least: value ?? 0, most: Infinity };
    case 'absent':
      return { least: 0, most: isCount ? 0 : (reportingLimit ?? 0) };
    case 'present':
    case 'uncountable':
      return { least: Number.MIN_VALUE, most: Infinity };
  }
}

const isNone = ({ form, value }: LabResult) => form === 'absent' || form === 'below' || (form === 'value' && value === 0);
const isOnlyFound = ({ form }: LabResult) => form === 'present' || form === 'uncountable';

/** Whether what was told cannot be what is reported: their bounds, with what a number may be rounded by, have nothing in common. */
function isOtherwise(told: LabResult, reported: LabResult): boolean {
  if ((isOnlyFound(told) && isNone(reported)) || (isOnlyFound(reported) && isNone(told))) return true;
  const [a, b] = [rangeOf(told), rangeOf(reported)];
  return a.least > b.most / (1 - rounding) || b.least > a.most / (1 - rounding);
}

function workOut(book: ReadBook): Standing[] {
  const reported = ofReports(book.reports);
  const words = ofWords(book);
  const isSame = (a: LabResult, b: LabResult) => a.bottle === b.bottle && a.parameter === b.parameter;
  const withTold = reported.map((one) => {
    const told = words.filter(({ result }) => isSame(result, one.result));
    return {
      ...one,
      known: Math.min(one.known, ...told.map(({ known }) => known)),
      isContradicted: told.some(({ result }) => isOtherwise(result, one.result)),
      told: told.map(({ result }) => result),
    };
  });
  // What was told is overtaken by the report that says it. Where the report says another thing, both stay until the lab says which holds:
  // a call about E. coli is not closed by a sheet that does not know of it.
  const stays = ({ result }: Standing) => {
    const same = reported.filter((one) => isSame(one.result, result));
    return same.length === 0 || (!isNone(result) && same.every((one) => isOtherwise(result, one.result)));
  };
  return [...withTold, ...words.filter(stays)];
}

/** What a report and one that was written down before have in common. */
export interface Overlap {
  sha256: string;
  name: string;
  /** Results of the same thing that differ, and that are alike. */
  differ: number;
  alike: number;
  /** What the other has and this one has not. */
  onlyThere: number;
}

/** The reports that say something about the same as results of another one. */
export function overlapsOf(results: readonly LabResult[], reports: readonly RoundReport[], sha256: string): Overlap[] {
  const own = new Map(results.map((result) => [measuredOf(result), result]));
  return readOnes(reports).flatMap((other): Overlap[] => {
    if (other.sha256 === sha256) return [];
    const shared = other.read.results.flatMap((result) => {
      const mine = own.get(measuredOf(result));
      return mine ? [isAlike(mine, result)] : [];
    });
    if (shared.length === 0) return [];
    const alike = shared.filter(Boolean).length;
    const { name } = other;
    return [{ sha256: other.sha256, name, alike, differ: shared.length - alike, onlyThere: other.read.results.length - shared.length }];
  });
}

/** The first report that says something else about the same and of which nobody said whether it is replaced. */
export const unsaidOverlap = (overlaps: readonly Overlap[], replaces: Readonly<Record<string, string>> = {}): Overlap | null =>
  overlaps.find(({ sha256, differ }) => differ > 0 && !Object.hasOwn(replaces, sha256)) ?? null;

/** A bottle as far as what is waited for depends on it. */
interface WaitedFor {
  /** The labels of all vials of its sample: what is reported of one is reported of all. */
  vials: readonly string[];
  set: string;
  card: { parameters: readonly ParameterId[]; isAnyOf?: true; measures?: string };
}

/** Whether something that was asked of a bottle is still waited for: a result, or a comparison by hand. */
export function isStillOut(bottle: WaitedFor, book: ReadBook, standing: readonly Standing[]): boolean {
  if (bottle.card.measures !== undefined && !book.byHand.some(({ set }) => set === bottle.set)) return true;
  return openResults(bottle, book, standing).length > 0;
}

/** What was asked of a bottle and is neither reported nor given up. */
export function openResults({ vials, card }: WaitedFor, book: ReadBook, standing: readonly Standing[]): ParameterId[] {
  const ofIt = new Set(vials);
  const got = standing.flatMap((one) => (isReported(one) && ofIt.has(one.result.bottle) ? [one.result.parameter] : []));
  const without = book.without.flatMap(({ bottle, parameters }) => (ofIt.has(bottle) ? parameters : []));
  const settled = new Set([...got, ...without]);
  return withoutResult(card.parameters, (id) => settled.has(id), card.isAnyOf);
}
