import { Entry as EntrySchema, sha256Hex, writeEntry } from '@fonte/core/book';
import { Mapping, reportRead, reportReceived, type ReportDraft } from '@fonte/core/read';
import { bottlesAtLab } from '@fonte/core/round';
import express, { type Express } from 'express';
import { z } from 'zod';
import { fieldErrors, Problem } from '../app/problem.ts';
import type { Services } from '../app/services.ts';
import { serverAuthor } from '../book/books.ts';
import { deskOf } from '../lab/routes.ts';
import { FileTable } from '../store/index.ts';

/** The largest report taken in: far over the 200,000 rows that a year's export may have. */
const largestReport = '64mb';

const DraftRequest = z.object({ mapping: Mapping.optional() });
const ReadRequest = z.object({ id: EntrySchema.shape.id, mapping: Mapping });

/** A body as its schema has it. @throws Problem 422 with the fields that were refused. */
function parseBody<S extends z.ZodType>(schema: S, body: unknown): z.infer<S> {
  const parsed = schema.safeParse(body ?? {});
  if (parsed.success) return parsed.data;
  throw new Problem(422, 'invalid', 'The request was not accepted.', fieldErrors(parsed.error));
}

export function readRoutes(app: Express, { books, desks, store, reader, clock }: Services): void {
  const keep = async (round: string, name: string, bytes: Uint8Array, from: 'lab' | 'upload') => {
    const sha256 = sha256Hex(bytes);
    const { reports } = await books.round(round);
    if (reports.some((report) => report.sha256 === sha256)) return { sha256 };
    await store.getRepository(FileTable).upsert({ sha256, bytes: Buffer.from(bytes) }, ['sha256']);
    await books.appendOwn(
      writeEntry({ book: round, author: serverAuthor, now: clock(), offset: 0 }, reportReceived, {
        sha256,
        name,
        size: bytes.length,
        from,
      }),
    );
    return { sha256 };
  };

  /** Reads a kept report. @throws Problem 404 for a report this round does not have, 422 for a file that is no table. */
  const draftOf = async (round: string, sha256: string, mapping?: Mapping): Promise<ReportDraft> => {
    const state = await books.round(round);
    if (!state.reports.some((report) => report.sha256 === sha256)) throw new Problem(404, 'no-report', 'This round has no such report.');
    const file = await store.getRepository(FileTable).findOneByOrFail({ sha256 });
    const read = await reader.read(file.bytes, bottlesAtLab(state), mapping);
    if ('draft' in read) return read.draft;
    const { code, message, line, column } = read.refusal;
    throw new Problem(422, `report-${code}`, `${message} (line ${line}, column ${column})`, [
      { path: `line ${line}, column ${column}`, message },
    ]);
  };

  /** Fetches the reports that the lab's desk has for a round. */
  app.post('/api/rounds/:round/reports/fetch', async (request, response) => {
    const round = await books.round(request.params.round);
    const desk = deskOf(round, desks);
    const references = round.handOvers.flatMap((handOver) => (handOver.answer ? [handOver.answer.reference] : []));
    const fetched = [];
    for (const reference of references) {
      const report = await desk.report(reference);
      if (report) fetched.push(await keep(request.params.round, report.name, report.bytes, 'lab'));
    }
    response.json({ reports: fetched });
  });

  /** Takes a report in as a file; its name comes in the `name` query. */
  app.post('/api/rounds/:round/reports', express.raw({ type: () => true, limit: largestReport }), async (request, response) => {
    const bytes = request.body instanceof Buffer ? new Uint8Array(request.body) : new Uint8Array();
    if (bytes.length === 0)
      throw new Problem(422, 'report-empty', 'The file is empty. (line 1, column 1)', [{ path: 'file', message: 'The file is empty.' }]);
    const round = await books.round(request.params.round);
    const read = await reader.read(bytes, bottlesAtLab(round));
    if ('refusal' in read) {
      const { code, message, line, column } = read.refusal;
      throw new Problem(422, `report-${code}`, `${message} (line ${line}, column ${column})`, [
        { path: 'file', message: `${message} Line ${line}, column ${column}.` },
      ]);
    }
    const name = String(request.query['name'] ?? 'report.csv').slice(0, 200);
    response.status(201).json(await keep(request.params.round, name, bytes, 'upload'));
  });

  app.post('/api/rounds/:round/reports/:sha256/draft', async (request, response) => {
    const { mapping } = parseBody(DraftRequest, request.body);
    response.json(await draftOf(request.params.round, request.params.sha256, mapping));
  });

  /** Writes down what a report says, read anew on the server with the mapping a person confirmed. */
  app.post('/api/rounds/:round/reports/:sha256/read', async (request, response) => {
    const { round, sha256 } = request.params;
    const { id, mapping } = parseBody(ReadRequest, request.body);
    const draft = await draftOf(round, sha256, mapping);
    if (draft.refusal) throw new Problem(422, 'mapping', draft.refusal.message, [{ path: 'mapping', message: draft.refusal.message }]);
    if (draft.results.length === 0)
      throw new Problem(422, 'no-results', 'No row was understood: nothing was written.', [
        { path: 'mapping', message: 'No row was understood.' },
      ]);
    const entry = writeEntry({ book: round, author: serverAuthor, now: clock(), offset: 0 }, reportRead, {
      sha256,
      mapping,
      results: draft.results,
      unread: draft.unreadCount,
    });
    const { entry: written, isNew } = await books.appendOwn({ ...entry, id });
    response.status(isNew ? 201 : 200).json(written);
  });
}
