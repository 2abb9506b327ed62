import type { ParameterId } from '../parameters/index.ts';
import type { LabResult } from './entries.ts';
import type { ReadBook, RoundReport } from './reports.ts';

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

/** What was told, as a result of no report. */
function ofWords({ told }: ReadBook): Standing[] {
  return told.map(({ bottle, parameter: id, value, at }) => ({
    report: null,
    known: at,
    isPreliminary: true,
    isContradicted: false,
    result: {
      line: 0,
      bottle,
      parameter: id,
      form: value === null ? 'present' : 'value',
      value,
      estimated: true,
      reportingLimit: null,
      written: { result: value === null ? 'found' : String(value), unit: '', reportingLimit: '' },
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

const isFound = ({ form, value }: LabResult) =>
  form === 'present' || form === 'uncountable' || form === 'above' || (form === 'value' && value !== 0);

/** A number may be told rounded: by so much, as a part of it. */
const rounding = 0.1;

/** Whether what was told is another thing than what is reported: found and not found, or two numbers. */
function isOtherwise(told: LabResult, reported: LabResult): boolean {
  if (isFound(told) !== isFound(reported)) return true;
  if (told.form !== 'value' || reported.form !== 'value' || told.value === null || reported.value === null) return false;
  return Math.abs(told.value - reported.value) > rounding * Math.max(told.value, reported.value);
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
    };
  });
  // Of two words about one thing the last is the one that stands, from the first on.
  return [...withTold, ...words.filter(({ result }) => !reported.some((one) => isSame(one.result, result)))];
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

/** Whether something that was asked of a bottle is still waited for: a result, or a comparison by hand. */
export function isStillOut(
  bottle: { id: string; set: string; card: { parameters: readonly ParameterId[]; measures?: string } },
  book: ReadBook,
  standing: readonly Standing[],
): boolean {
  if (bottle.card.measures !== undefined && !book.byHand.some(({ set }) => set === bottle.set)) return true;
  return openResults(bottle, book, standing).length > 0;
}

/** What was asked of a bottle and is neither reported nor given up. */
export function openResults(
  bottle: { id: string; card: { parameters: readonly ParameterId[] } },
  book: ReadBook,
  standing: readonly Standing[],
): ParameterId[] {
  const got = new Set(standing.filter((one) => isReported(one) && one.result.bottle === bottle.id).map(({ result }) => result.parameter));
  const without = new Set(book.without.filter((one) => one.bottle === bottle.id).flatMap(({ parameters }) => parameters));
  return bottle.card.parameters.filter((id) => !got.has(id) && !without.has(id));
}
