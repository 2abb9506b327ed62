import { misfit, type Misfit, type Room } from '../book/index.ts';
import type { BottleOnItsWay } from '../bottles/index.ts';
import { inOwnUnit, parameter, questionReading, type ParameterId } from '../parameters/index.ts';
import { millis } from '../time/index.ts';
import {
  comparedByHand,
  reportPutAside,
  reportRead,
  reportReceived,
  resultsGivenUp,
  resultTold,
  rowsSettled,
  type HandOutcome,
  type LabResult,
  type ReadFault,
  type ToldForm,
} from './entries.ts';
import type { Mapping } from './mapping.ts';
import type { FilePart } from './shape/sheets.ts';
import type { Unread } from './shape/table.ts';

/** A report of a lab, and what was read from it once it was. */
export interface RoundReport {
  sha256: string;
  name: string;
  size: number;
  at: number;
  fault: ReadFault | null;
  read: {
    entry: string;
    at: number;
    mapping: Mapping;
    results: LabResult[];
    unread: number;
    rows: readonly Unread[];
    parts: readonly FilePart[];
    header: string[];
  } | null;
  putAside: { entry: string; at: number; reason: string } | null;
  /** Why its rows that were not understood do not matter here, where somebody says so. */
  settled: { entry: string; at: number; reason: string } | null;
}

/** A result that was told before its report came, in the parameter's own unit; null where no number was said. */
export interface ToldResult {
  entry: string;
  bottle: string;
  parameter: ParameterId;
  form: ToldForm;
  value: number | null;
  /** When it was told (ms), and by whom. */
  at: number;
  by: string;
}

/** Results that nobody waits for any more. */
export interface Without {
  entry: string;
  bottle: string;
  parameters: readonly ParameterId[];
  reason: string;
}

/** A sample that a person compared with the limits, as Fonte has no values for it. */
export interface HandCompared {
  entry: string;
  set: string;
  outcome: HandOutcome;
  words: string;
  at: number;
}

/** What a lab said about a round, oldest first. */
export interface ReadBook {
  reports: readonly RoundReport[];
  told: readonly ToldResult[];
  without: readonly Without[];
  byHand: readonly HandCompared[];
}

/** What reading sees of the rest of the round. */
export interface ReadAround {
  /** What is measured in a bottle of the round; null for none of its bottles. */
  measuredIn: (bottle: string) => readonly ParameterId[] | null;
  /** Whether a sample of the round is one that a person compares with the limits; null for none of its samples. */
  isComparedByHand: (set: string) => boolean | null;
}

/** Whether a report still waits for a person: it can be read, was not, and was not put aside. */
export function isToRead({ read, putAside, fault }: RoundReport): boolean {
  return read === null && putAside === null && fault === null;
}

/** Rows of a report that nobody understood, nor said why they do not matter. */
export function openRows({ read, putAside, settled }: RoundReport): number {
  return putAside || settled ? 0 : (read?.unread ?? 0);
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

function ofBottle(parameters: readonly ParameterId[], bottle: string, around: ReadAround): Misfit | null {
  const measured = around.measuredIn(bottle);
  if (!measured) return misfit('not-in-round', 'payload.bottle', { bottle });
  return parameters.every((id) => measured.includes(id)) ? null : misfit('not-of-bottle', 'payload.parameter');
}

export const readRoom: Room<ReadBook, ReadAround, ReadView> = {
  next: {
    report: ({ reports }) => (reports.some(isToRead) ? { code: 'read-report' } : null),
    results: (view) => {
      if (view.bottles.some((bottle) => isOut(bottle, view))) return { code: 'wait-for-report' };
      const rows = view.reports.reduce((sum, report) => sum + openRows(report), 0);
      return rows > 0 ? { code: 'settle-rows', data: { count: rows } } : null;
    },
  },
  kinds: [reportReceived, reportRead, reportPutAside, resultTold, resultsGivenUp, rowsSettled, comparedByHand],
  empty: { reports: [], told: [], without: [], byHand: [] },
  fits: ({ reports }, entry, around) => {
    if (resultTold.is(entry)) {
      const { bottle, parameter: id, result, told } = entry.payload;
      // Only what was is told, not what will be.
      if (millis(told) > millis(entry.at)) return misfit('told-later', 'payload.told');
      const unfit = ofBottle([id], bottle, around);
      if (unfit || !result) return unfit;
      return questionReading(id, result).some(({ severity }) => severity === 'stop') ? misfit('not-told', 'payload.result') : null;
    }
    if (resultsGivenUp.is(entry)) return ofBottle(entry.payload.parameters, entry.payload.bottle, around);
    if (comparedByHand.is(entry)) {
      const isByHand = around.isComparedByHand(entry.payload.set);
      return isByHand ? null : misfit(isByHand === null ? 'not-in-round' : 'read-by-fonte', 'payload.set', { bottle: entry.payload.set });
    }
    const { sha256 } = entry.payload as { sha256: string };
    const report = reports.find((candidate) => candidate.sha256 === sha256);
    if (reportReceived.is(entry)) return report ? misfit('report-twice', 'payload.sha256') : null;
    if (!report) return misfit('no-such-report', 'payload.sha256');
    if (rowsSettled.is(entry)) return report.read ? null : misfit('not-read', 'payload.sha256');
    return reportPutAside.is(entry) && report.putAside ? misfit('put-aside', 'payload.sha256') : null;
  },
  advance: (book, entry) => {
    const at = millis(entry.at);
    const changed = (sha256: string, change: Partial<RoundReport>): ReadBook => ({
      ...book,
      reports: book.reports.map((report) => (report.sha256 === sha256 ? { ...report, ...change } : report)),
    });
    if (reportReceived.is(entry))
      return { ...book, reports: [...book.reports, { ...entry.payload, at, read: null, putAside: null, settled: null }] };
    if (reportPutAside.is(entry)) return changed(entry.payload.sha256, { putAside: { entry: entry.id, at, reason: entry.payload.reason } });
    if (rowsSettled.is(entry)) return changed(entry.payload.sha256, { settled: { entry: entry.id, at, reason: entry.payload.reason } });
    if (resultsGivenUp.is(entry)) return { ...book, without: [...book.without, { entry: entry.id, ...entry.payload }] };
    if (comparedByHand.is(entry))
      return {
        ...book,
        byHand: [...book.byHand.filter(({ set }) => set !== entry.payload.set), { entry: entry.id, at, ...entry.payload }],
      };
    if (resultTold.is(entry)) {
      const { bottle, parameter: id, form, result, as, told, by } = entry.payload;
      const factor = (as && parameter(id).expressedAs?.[as]) ?? 1;
      const value = result ? inOwnUnit(id, result) * factor : null;
      return { ...book, told: [...book.told, { entry: entry.id, bottle, parameter: id, form, value, at: millis(told), by }] };
    }
    if (!reportRead.is(entry)) return book;
    const { sha256, mapping, results, unread, rows = [], parts = [], header } = entry.payload;
    // Read anew, its rows are others.
    return changed(sha256, { read: { entry: entry.id, at, mapping, results, unread, rows, parts, header }, putAside: null, settled: null });
  },
};
