import type { Occasion } from '../act/index.ts';
import type { Entry } from '../book/index.ts';
import { euDrinkingWater, inReadingOrder, judgeResult, judgeSums, type JudgedResult, type SumVerdict } from '../limits/index.ts';
import { parameter } from '../parameters/index.ts';
import { reportRead, reportReceived, type LabResult, type Mapping } from '../read/index.ts';
import { millis, wallTime } from '../time/index.ts';
import type { VisitState } from './fold.ts';

/** A report of a lab, and what was read from it once it was. */
export interface RoundReport {
  sha256: string;
  name: string;
  size: number;
  at: number;
  read: { entry: string; at: number; mapping: Mapping; results: LabResult[]; unread: number } | null;
}

/** The reports of a round, oldest first; a file that came twice stands once. `entries` are corrected ones. */
export function foldReports(entries: readonly Entry[]): RoundReport[] {
  const reports = new Map<string, RoundReport>();
  for (const entry of entries) {
    if (reportReceived.is(entry) && !reports.has(entry.payload.sha256)) {
      reports.set(entry.payload.sha256, { ...entry.payload, at: millis(entry.at), read: null });
    }
    if (reportRead.is(entry)) {
      const report = reports.get(entry.payload.sha256);
      const { mapping, results, unread } = entry.payload;
      if (report) report.read = { entry: entry.id, at: millis(entry.at), mapping, results, unread };
    }
  }
  return [...reports.values()];
}

export interface VisitVerdict {
  visit: string;
  pointName: string;
  use: 'supply' | 'monitoring';
  sample: 'routine' | 'special';
  /** In reading order. */
  judged: JudgedResult[];
  sums: SumVerdict[];
}

export interface RoundVerdict {
  set: typeof euDrinkingWater;
  visits: VisitVerdict[];
  occasions: Occasion[];
}

function judgeVisit(visit: VisitState, results: readonly LabResult[], zone: string): VisitVerdict {
  const own = results.flatMap((result) => {
    const bottle = visit.bottles.find((candidate) => candidate.id === result.bottle);
    return bottle?.filledAt != null ? [{ result, filledAt: bottle.filledAt }] : [];
  });
  const judged = own.map(({ result, filledAt }) => ({
    result,
    verdict: judgeResult(result, euDrinkingWater, wallTime(filledAt, zone).date),
  }));
  return {
    visit: visit.id,
    pointName: visit.point.name,
    use: visit.point.use,
    sample: visit.sample,
    judged: inReadingOrder(judged),
    sums: judgeSums(
      own.map(({ result }) => result),
      euDrinkingWater,
    ),
  };
}

/** The verdict over all reports of a round that were read, points with bacteria first; null before the first. */
export function judgeRound(visits: readonly VisitState[], reports: readonly RoundReport[], zone: string): RoundVerdict | null {
  const results = reports.flatMap((report) => report.read?.results ?? []);
  if (results.length === 0) return null;
  const hasGerms = ({ judged }: VisitVerdict) => judged.some(({ result }) => parameter(result.parameter).unit === 'per100mL');
  const verdicts = visits
    .map((visit) => judgeVisit(visit, results, zone))
    .filter((verdict) => verdict.judged.length > 0)
    .sort((a, b) => Number(hasGerms(b)) - Number(hasGerms(a)));
  const occasions = verdicts.flatMap(({ visit, pointName, use, sample, judged, sums }) => [
    ...judged.map(({ result, verdict }): Occasion => ({
      visit,
      pointName,
      use,
      sample,
      parameter: result.parameter,
      state: verdict.state,
    })),
    ...sums.flatMap((sum): Occasion[] =>
      sum.rule.shares.slice(0, 1).map((share) => ({ visit, pointName, use, sample, parameter: share.parameter, state: sum.state })),
    ),
  ]);
  return { set: euDrinkingWater, visits: verdicts, occasions };
}
