import { canonicalJson, Entry as EntrySchema, Id, writeEntry, type Entry } from '@fonte/core/book';
import { Mapping, reportRead, reportReceived, sayPlace, type ReadFault, type ReportDraft } from '@fonte/core/read';
import { bottlesAtLab, type RoundState } from '@fonte/core/round';
import { instantAt } from '@fonte/core/time';
import express, { type Express, type RequestHandler } from 'express';
import { z } from 'zod';
import { parsed, Problem } from '../app/problem.ts';
import type { Services } from '../app/services.ts';
import { serverPen } from '../book/books.ts';
import { sha256 } from '../book/codec.ts';
import { deskOf } from '../lab/routes.ts';
import { keepFile, keptFile } from './files.ts';

/** The largest report taken in, in bytes: over the 200,000 rows that a year's export may have. */
const largestReport = 16 << 20;
/** So many files are taken in at once; whoever comes then is asked to come again. */
const uploadsAtOnce = 3;

const DraftRequest = z.object({ mapping: Mapping.optional() });
/** Who asks for it: the entry stands in that person's name. */
const By = z.object({ author: Id, device: Id });
const ReadRequest = z.object({ id: EntrySchema.shape.id, mapping: Mapping, by: By });
const UploadRequest = z.object({
  name: z.string().max(200).default('report.csv'),
  /** Typed off a sheet of paper on the page. */
  from: z.enum(['upload', 'typed']).default('upload'),
  author: Id,
  device: Id,
});

/** Lets so many requests through at once. */
function atOnce(most: number): RequestHandler {
  let inside = 0;
  return (_request, response, next) => {
    if (inside >= most) {
      response.set('retry-after', '5');
      throw new Problem(503, 'busy', 'Too many files at once. Try again in a moment.');
    }
    inside += 1;
    response.once('close', () => {
      inside -= 1;
    });
    next();
  };
}

export function readRoutes(app: Express, { books, desks, store, reader, clock }: Services): void {
  interface Arrival {
    name: string;
    bytes: Uint8Array;
    from: 'lab' | 'upload' | 'typed';
    by: z.infer<typeof By> | null;
  }
  /** Keeps a report, readable or not, and writes down that it came. */
  const keep = async (round: string, { name, bytes, from, by }: Arrival): Promise<{ sha256: string; fault: ReadFault | null }> => {
    const state = await books.round(round);
    const hash = sha256(bytes);
    const known = state.reports.find((report) => report.sha256 === hash);
    if (known) return { sha256: hash, fault: known.fault };
    const read = await reader.read(bytes, bottlesAtLab(state));
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
    const read = await reader.read(await keptFile(store, hash), bottlesAtLab(state), mapping);
    if ('draft' in read) return read.draft;
    const { code, line, column } = read.refusal;
    const message = `${sayPlace(read.refusal)} Line ${line}, column ${column}.`;
    throw new Problem(422, `report-${code}`, message, [{ path: 'file', message }]);
  };

  /** Fetches the reports that the lab's desk has for a round. */
  app.post('/api/rounds/:round/reports/fetch', async (request, response) => {
    const round = await books.round(request.params.round);
    const desk = deskOf(round, desks);
    const references = new Set(round.handOvers.flatMap((handOver) => handOver.answer?.reference ?? []));
    const fetched = [];
    for (const reference of references) {
      const report = await desk.report(reference);
      if (report) fetched.push(await keep(request.params.round, { ...report, from: 'lab', by: null }));
    }
    response.json({ reports: fetched });
  });

  /** Takes a report in as a file. One that cannot be read is kept as well, and says why. */
  app.post(
    '/api/rounds/:round/reports',
    atOnce(uploadsAtOnce),
    express.raw({ type: () => true, limit: largestReport, inflate: false }),
    async (request, response) => {
      const { name, from, ...by } = parsed(UploadRequest, request.query);
      const bytes = request.body instanceof Buffer ? new Uint8Array(request.body) : new Uint8Array();
      if (bytes.length === 0)
        throw new Problem(422, 'report-empty', 'The file is empty.', [{ path: 'file', message: 'The file is empty.' }]);
      response.status(201).json(await keep(String(request.params['round']), { name, bytes, from, by }));
    },
  );

  /** The kept file as it came, to be saved: never shown as a page of ours. */
  app.get('/api/rounds/:round/reports/:sha256/file', async (request, response) => {
    const { round, sha256: hash } = request.params;
    const report = (await books.round(round)).reports.find((one) => one.sha256 === hash);
    if (!report) throw new Problem(404, 'no-report', 'This round has no such report.');
    const bytes = await keptFile(store, hash);
    response.attachment(report.name).type('application/octet-stream').set('content-security-policy', 'sandbox').send(Buffer.from(bytes));
  });

  app.post('/api/rounds/:round/reports/:sha256/draft', async (request, response) => {
    const { mapping } = parsed(DraftRequest, request.body);
    response.json(await draftOf(request.params.round, request.params.sha256, mapping));
  });

  /** Writes down what a report says, read anew on the server with the columns that a person confirmed, in that person's name. */
  app.post('/api/rounds/:round/reports/:sha256/read', async (request, response) => {
    const { round, sha256: hash } = request.params;
    const { id, mapping, by } = parsed(ReadRequest, request.body);
    const known = (await books.view(round))?.entries.all().find((entry) => entry.id === id);
    if (known) {
      const isSame =
        reportRead.is(known) && known.payload.sha256 === hash && canonicalJson(known.payload.mapping) === canonicalJson(mapping);
      if (!isSame)
        throw new Problem(409, 'altered-copy', 'Another entry has this id. Nothing was written.', [
          { path: 'id', message: 'Another entry has this id.' },
        ]);
      return void response.status(200).json(known);
    }
    const draft = await draftOf(round, hash, mapping);
    if (draft.refusal) {
      const message = sayPlace(draft.refusal);
      throw new Problem(422, 'mapping', message, [{ path: 'mapping', message }]);
    }
    if (draft.results.length === 0)
      throw new Problem(422, 'no-results', 'No row was understood: nothing was written.', [
        { path: 'mapping', message: 'No row was understood.' },
      ]);
    const now = Math.max(clock(), lastAt(await books.round(round)) + 1);
    const { results, unreadCount: unread } = draft;
    const entry: Entry = writeEntry({ book: round, ...by, now, offset: 0 }, reportRead, { sha256: hash, mapping, results, unread }, { id });
    const [written] = await books.appendOwn({ ...entry, at: instantAt(now, 0) });
    response.status(201).json(written);
  });
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
