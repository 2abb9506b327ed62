import { canonicalJson, writeEntry } from '@fonte/core/book';
import {
  draftReport,
  fetchReports,
  headerOf,
  overlapsOf,
  unsaidOverlap,
  readReportWith,
  reportFile,
  reportRead,
  reportReceived,
  sayFault,
  sayPlace,
  takeReport,
  type Mapping,
  type ReadFault,
  type ReportDraft,
  resultRecord,
} from '@fonte/core/read';
import { bottlesForReport, sayMisfit, type RoundState } from '@fonte/core/round';
import { instantAt } from '@fonte/core/time';
import { serverPen } from '../book/books.ts';
import { writtenBefore } from '../book/once.ts';
import { sha256 } from '../book/codec.ts';
import { keptFile } from '../book/named.ts';
import { keepFile } from '../files/files.ts';
import { atOnce, Problem, route, SentFile, writerOf, type Route } from '../http/index.ts';
import { deskOf, type LabServices } from '../lab/index.ts';
import { broughtRoutes } from './brought.ts';
import { elsewhereOf } from './elsewhere.ts';
import type { FileReader } from './reader.ts';
import { resultsAt } from './record.ts';
import { rememberedOf } from './remembered.ts';

/** The largest report taken in, in bytes: over the 200,000 rows that a year's export may have. */
const largestReport = 16 << 20;
/** So many files are taken in at once; whoever comes then is asked to come again. */
const uploadsAtOnce = 3;

export interface ReadServices extends LabServices {
  reader: FileReader;
}

export function readRoutes(services: ReadServices): Route[] {
  const { books, desks, store, reader, clock } = services;
  interface Arrival {
    name: string;
    bytes: Uint8Array;
    from: 'lab' | 'upload' | 'typed';
    by: { author: string; device: string } | null;
  }
  /** Keeps a report, readable or not, and writes down that it came. */
  const keep = async (round: string, { name, bytes, from, by }: Arrival): Promise<{ sha256: string; fault: ReadFault | null }> => {
    const state = await books.round(round);
    const hash = sha256(bytes);
    const known = state.reports.find((report) => report.sha256 === hash);
    if (known) return { sha256: hash, fault: known.fault };
    const read = await reader.read(bytes, bottlesForReport(state));
    const fault = 'refusal' in read ? { code: read.refusal.code, line: read.refusal.line, column: read.refusal.column } : null;
    await store.write((query) => keepFile(query, bytes));
    const pen = serverPen(round, Math.max(clock(), lastAt(state) + 1));
    const entry = writeEntry({ ...pen, ...(by ?? {}) }, reportReceived, {
      sha256: hash,
      name: cleanName(name),
      size: bytes.length,
      from,
      fault,
    });
    await books.appendOwn(entry);
    return { sha256: hash, fault };
  };

  /** Reads a kept report. @throws Problem 404 for a report this round does not have, 422 for a file that is no table. */
  const draftOf = async (round: string, hash: string, mapping?: Mapping): Promise<ReportDraft> => {
    const state = await books.round(round);
    if (!state.reports.some((report) => report.sha256 === hash)) throw new Problem(404, 'no-report', 'This round has no such report.');
    const remembered = mapping ? [] : await rememberedOf(store, state);
    const read = await reader.read(await keptFile(store, hash), bottlesForReport(state), mapping, remembered);
    if ('draft' in read) return read.draft;
    const message = sayFault(read.refusal);
    throw new Problem(422, `report-${read.refusal.code}`, message, [{ path: 'file', message }]);
  };

  return [
    ...broughtRoutes(services, largestReport),
    route(fetchReports, async ({ in: { round: id } }) => {
      const round = await books.round(id);
      // Of labs without a desk the report comes as a file; where none has one, nothing can be fetched at all.
      const answered = round.handOvers.filter(({ answer }) => answer !== null);
      const reachable = answered.filter(({ form }) => form.to.lab !== undefined && desks.has(form.to.lab));
      if (reachable.length === 0) deskOf(answered[0]?.form.to.lab ?? round.plan.lab?.id, desks);
      const asked = new Map(reachable.map(({ form, answer }) => [answer!.reference, form.to.lab]));
      const reports = [];
      for (const [reference, lab] of asked) {
        const report = await deskOf(lab, desks).report(reference);
        if (report) reports.push(await keep(id, { ...report, from: 'lab', by: null }));
      }
      return { reports };
    }),

    route(
      takeReport,
      async ({ in: { round }, query: { name, from }, body, who, response }) => {
        if (body.length === 0)
          throw new Problem(422, 'report-empty', 'The file is empty.', [{ path: 'file', message: 'The file is empty.' }]);
        const kept = await keep(round, { name, bytes: body, from, by: writerOf(who) });
        response.status(201);
        return kept;
      },
      { before: [atOnce(uploadsAtOnce)], largest: largestReport },
    ),

    route(resultRecord, ({ in: { point } }) => resultsAt(store, point)),
    route(reportFile, async ({ in: { round, sha256: hash } }) => {
      const report = (await books.round(round)).reports.find((one) => one.sha256 === hash);
      if (!report) throw new Problem(404, 'no-report', 'This round has no such report.');
      return new SentFile(report.name, await keptFile(store, hash));
    }),

    route(draftReport, async ({ in: { round, sha256: hash }, body: { mapping } }) => {
      const draft = await draftOf(round, hash, mapping);
      return { ...draft, elsewhere: await elsewhereOf(store, round, draft) };
    }),

    route(readReportWith, async ({ in: { round, sha256: hash }, body: { id, mapping }, who, response }) => {
      const known = await writtenBefore(
        books,
        round,
        id,
        (entry) => reportRead.is(entry) && entry.payload.sha256 === hash && canonicalJson(entry.payload.mapping) === canonicalJson(mapping),
      );
      if (known) return known;
      const draft = await draftOf(round, hash, mapping);
      if (draft.refusal) {
        const message = sayPlace(draft.refusal);
        throw new Problem(422, 'mapping', message, [{ path: 'mapping', message }]);
      }
      const other = unsaidOverlap(overlapsOf(draft.results, (await books.round(round)).reports, hash), mapping.replaces);
      if (other) {
        const message = sayMisfit({ code: 'replaces-unsaid', data: { name: other.name } });
        throw new Problem(422, 'replaces-unsaid', message, [{ path: 'mapping.replaces', message }]);
      }
      if (draft.results.length === 0)
        throw new Problem(422, 'no-results', 'No row was understood: nothing was written.', [
          { path: 'mapping', message: 'No row was understood.' },
        ]);
      const now = Math.max(clock(), lastAt(await books.round(round)) + 1);
      const { results, unreadCount: unread, unread: rows, parts } = draft;
      const header = headerOf(draft);
      const entry = writeEntry(
        { book: round, ...writerOf(who), now, offset: 0 },
        reportRead,
        { sha256: hash, mapping, results, unread, rows, header, ...(parts.length > 0 ? { parts } : {}) },
        { id },
      );
      const [written] = await books.appendOwn({ ...entry, at: instantAt(now, 0) });
      response.status(201);
      return written!;
    }),
  ];
}

/** The latest moment of a hand-over, an answer or a report: what comes of them is not before. */
function lastAt({ handOvers, reports }: RoundState): number {
  return Math.max(0, ...handOvers.flatMap(({ at, answer }) => [at, answer?.at ?? 0]), ...reports.map(({ at }) => at));
}

/** A file's name without what no name holds. */
function cleanName(name: string): string {
  // Letter by letter: none is cut in two.
  return (
    [
      ...Buffer.from(name, 'utf8')
        .toString('utf8')
        .replace(/\p{Cc}/gu, ' '),
    ]
      .slice(0, 200)
      .join('') || 'report'
  );
}
