import { boundsOf, limitsFor, type LimitSet } from '../limits/index.ts';
import { parameter, type ParameterId } from '../parameters/index.ts';
import { wallTime } from '../time/index.ts';
import { convert } from '../units/index.ts';
import { operationalLevel, quarterOf, runningAverage, type Quarter, type RunningAverage } from './averages.ts';
import { coliformMonth, isLevel2, type ColiformMonth } from './coliforms.ts';
import type { ResultOfSystem } from './endpoints.ts';
import { overLevel, percentile90, type Span } from './percentile.ts';
import { averaged, type AveragedRow } from './tables/averaged.ts';

const monthOf = (result: Pick<ResultOfSystem, 'at'>, zone: string) => wallTime(result.at, zone).date.slice(0, 7);

/** The months that end with one, oldest first: `monthsTo('2026-02', 3)` is `['2025-12', '2026-01', '2026-02']`. */
export function monthsTo(last: string, count: number): string[] {
  const number = Number(last.slice(0, 4)) * 12 + Number(last.slice(5, 7)) - 1;
  return Array.from({ length: count }, (_, at) => number - count + 1 + at).map(
    (month) => `${Math.floor(month / 12)}-${String((month % 12) + 1).padStart(2, '0')}`,
  );
}

/** Whether something was found: at least one of a germ. */
const isPositive = (result: ResultOfSystem) => boundsOf(result).low > 0;

export interface ColiformYear {
  months: (ColiformMonth & { isLevel2: boolean })[];
}

/** Twelve months of routine and repeat coliform samples, oldest first; an E. coli find is a coliform find. */
export function coliformYear(results: readonly ResultOfSystem[], last: string, zone: string): ColiformYear {
  const germs = results.filter(({ sample, parameter: id }) => sample === 'routine' && (id === 'coliforms' || id === 'ecoli'));
  const samples = [...new Map(germs.map((one) => [one.bottle, one])).values()];
  const found = (bottle: string, only?: ParameterId) =>
    germs.some((one) => one.bottle === bottle && (only === undefined || one.parameter === only) && isPositive(one));
  // A year before as well: the first trigger of two may lie there.
  const all = monthsTo(last, 24).map((month) => {
    const own = samples.filter((one) => monthOf(one, zone) === month);
    const positive = own.filter(({ bottle }) => found(bottle)).length;
    return coliformMonth(month, own.length, positive, own.filter(({ bottle }) => found(bottle, 'ecoli')).length);
  });
  return { months: all.slice(12).map((one) => ({ ...one, isLevel2: isLevel2(all, one.month) })) };
}

/** Bottles of water that stood in the pipes. */
const standing: readonly string[] = ['lead', 'leadFifth'];

export interface MetalPercentile {
  parameter: 'lead' | 'copper';
  level: number;
  places: number;
  percentile: ReturnType<typeof percentile90>;
  state: ReturnType<typeof overLevel>;
}

/** The 90th percentiles of a period (days, both included), the highest sample of each place and day counting once. In the parameter's own unit. */
export function metalPercentiles(
  results: readonly ResultOfSystem[],
  { from, until, zone }: { from: string; until: string; zone: string },
  set: LimitSet,
): MetalPercentile[] {
  return (['lead', 'copper'] as const).flatMap((id): MetalPercentile[] => {
    const level = limitsFor(set, id, until).find(({ kind, most }) => kind === 'action' && most !== undefined);
    if (level?.most === undefined) return [];
    const day = (one: ResultOfSystem) => wallTime(one.at, zone).date;
    const own = results.filter(
      (one) => one.parameter === id && standing.includes(one.rule) && one.sample === 'routine' && day(one) >= from && day(one) <= until,
    );
    const byPlace = new Map<string, Span>();
    for (const one of own) {
      const key = `${one.point} ${day(one)}`;
      const { low, high } = boundsOf(one);
      const before = byPlace.get(key) ?? { low: 0, high: 0 };
      byPlace.set(key, { low: Math.max(before.low, low), high: Math.max(before.high, high) });
    }
    if (byPlace.size === 0) return [];
    const percentile = percentile90([...byPlace.values()]);
    const most = convert(level.most, level.unit, parameter(id).unit);
    return [{ parameter: id, level: most, places: byPlace.size, percentile, state: overLevel(percentile, most) }];
  });
}

export interface PlaceAverage {
  row: AveragedRow;
  point: string;
  pointName: string;
  /** In the unit of the value. */
  most: number;
  unit: ReturnType<typeof parameter>['unit'];
  /** The last four quarters, oldest first, named `2026-Q1`. */
  quarters: readonly { name: string; mean: Quarter }[];
  average: RunningAverage;
  operational: Span | null;
}

const quarterName = (month: string) => `${month.slice(0, 4)}-Q${Math.ceil(Number(month.slice(5, 7)) / 3)}`;

/** A sum over its parts in one sample: reported as such, or all of its parts; null where one is missing. What is not seen counts as 0. */
function sampleSum(row: AveragedRow, sample: readonly ResultOfSystem[], unit: PlaceAverage['unit']): Span | null {
  const spanOf = (id: ParameterId): Span | null => {
    const result = sample.find((one) => one.parameter === id);
    if (!result) return null;
    if (result.form === 'below' || result.form === 'absent') return { low: 0, high: 0 };
    const { low, high } = boundsOf({ ...result, reportingLimit: null });
    return { low: convert(low, parameter(id).unit, unit), high: convert(high, parameter(id).unit, unit) };
  };
  const whole = spanOf(row.parameter);
  if (whole) return whole;
  const parts = row.parts.map(spanOf);
  if (parts.some((part) => part === null)) return null;
  return parts.reduce<Span>((all, part) => ({ low: all.low + part!.low, high: all.high + part!.high }), { low: 0, high: 0 });
}

/** The running annual averages of each place over the four quarters that end with the one of a month (`YYYY-MM`). */
export function placeAverages(results: readonly ResultOfSystem[], last: string, zone: string, set: LimitSet): PlaceAverage[] {
  const names = [...new Set(monthsTo(last, 12).map(quarterName))].slice(-4);
  const points = [...new Map(results.map(({ point, pointName }) => [point, pointName])).entries()];
  return averaged.flatMap((row) => {
    const limit = limitsFor(set, row.parameter, `${last}-01`).find(({ most }) => most !== undefined);
    if (limit?.most === undefined) return [];
    const { unit } = parameter(row.parameter);
    const most = convert(limit.most, limit.unit, unit);
    return points.flatMap(([point, pointName]): PlaceAverage[] => {
      const own = results.filter((one) => one.point === point && one.sample === 'routine');
      const quarters = names.map((name) => {
        const inQuarter = own.filter((one) => quarterName(monthOf(one, zone)) === name);
        const days = [...new Set(inQuarter.map((one) => wallTime(one.at, zone).date))];
        const sums = days.map((day) =>
          sampleSum(
            row,
            inQuarter.filter((one) => wallTime(one.at, zone).date === day),
            unit,
          ),
        );
        return { name, mean: quarterOf(sums.filter((sum) => sum !== null)) };
      });
      if (quarters.every(({ mean }) => mean === null)) return [];
      const means = quarters.map(({ mean }) => mean);
      const operational = row.isByProduct ? operationalLevel(means.slice(-3) as [Quarter, Quarter, Quarter]) : null;
      return [{ row, point, pointName, most, unit, quarters, average: runningAverage(means, most), operational }];
    });
  });
}
