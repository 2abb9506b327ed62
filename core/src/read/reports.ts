import { misfit, type Room } from '../book/index.ts';
import type { BottleOnItsWay } from '../bottles/index.ts';
import { millis } from '../time/index.ts';
import { reportPutAside, reportRead, reportReceived, type LabResult, type ReadFault } from './entries.ts';
import type { Mapping } from './mapping.ts';

/** A report of a lab, and what was read from it once it was. */
export interface RoundReport {
  sha256: string;
  name: string;
  size: number;
  at: number;
  fault: ReadFault | null;
  read: { entry: string; at: number; mapping: Mapping; results: LabResult[]; unread: number; header: string[] } | null;
  putAside: { entry: string; at: number; reason: string } | null;
}

/** The reports of a round, oldest first. */
export type ReadBook = readonly RoundReport[];

/** Whether a report still waits for a person: it can be read, was not, and was not put aside. */
export function isToRead({ read, putAside, fault }: RoundReport): boolean {
  return read === null && putAside === null && fault === null;
}

/** What there is to read depends on this. */
interface ReadView {
  plan: { lab: object | null };
  bottles: readonly BottleOnItsWay[];
  reports: readonly RoundReport[];
}

/** Whether results of a bottle are still waited for. */
function isOut({ stage, lost, accepted }: BottleOnItsWay, { plan }: ReadView): boolean {
  return !lost && (accepted ?? !plan.lab) && (stage === 'handed-over' || stage === 'reported');
}

export const readRoom: Room<ReadBook, object, ReadView> = {
  next: {
    report: ({ reports }) => (reports.some(isToRead) ? { code: 'read-report' } : null),
    results: (view) => (view.bottles.some((bottle) => isOut(bottle, view)) ? { code: 'wait-for-report' } : null),
  },
  kinds: [reportReceived, reportRead, reportPutAside],
  empty: [],
  fits: (reports, entry) => {
    const { sha256 } = entry.payload as { sha256: string };
    const report = reports.find((candidate) => candidate.sha256 === sha256);
    if (reportReceived.is(entry)) return report ? misfit('report-twice', 'payload.sha256') : null;
    if (!report) return misfit('no-such-report', 'payload.sha256');
    return reportPutAside.is(entry) && report.putAside ? misfit('put-aside', 'payload.sha256') : null;
  },
  advance: (reports, entry) => {
    const at = millis(entry.at);
    const changed = (sha256: string, change: Partial<RoundReport>) =>
      reports.map((report) => (report.sha256 === sha256 ? { ...report, ...change } : report));
    if (reportReceived.is(entry)) return [...reports, { ...entry.payload, at, read: null, putAside: null }];
    if (reportPutAside.is(entry)) return changed(entry.payload.sha256, { putAside: { entry: entry.id, at, reason: entry.payload.reason } });
    if (!reportRead.is(entry)) return reports;
    const { sha256, mapping, results, unread, header } = entry.payload;
    return changed(sha256, { read: { entry: entry.id, at, mapping, results, unread, header }, putAside: null });
  },
};
