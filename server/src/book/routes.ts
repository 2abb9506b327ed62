import { z } from 'zod';
import type { Express, Response } from 'express';
import { sayMisfit } from '@fonte/core/round';
import { parsed, Problem, sendProblem } from '../app/problem.ts';
import type { Services } from '../app/services.ts';
import { exportBook } from './export.ts';
import type { Outcome } from './books.ts';

/** What the device's clock says as it sends. */
const SentAt = z.iso.datetime({ precision: 3 }).nullable().default(null);
const Single = z.looseObject({ sentAt: SentAt });

/** So many entries are taken in one request. */
export const largestBatch = 2000;
const Batch = z.object({ sentAt: SentAt, entries: z.array(z.unknown()).min(1).max(largestBatch) });

const told = (outcome: Exclude<Outcome, { problem: Problem }>) => ({
  entry: outcome.entry,
  aside: outcome.aside && { ...outcome.aside, message: sayMisfit(outcome.aside) },
});

function sendOutcome(response: Response, outcome: Outcome): void {
  if ('problem' in outcome) sendProblem(response, outcome.problem);
  else response.status(outcome.isNew ? 201 : 200).json(told(outcome));
}

export function bookRoutes(app: Express, { books }: Services): void {
  app.get('/api/books/:book/entries', async (request, response) => {
    const view = await books.view(request.params.book);
    const after = Number(request.query['after'] ?? 0) || 0;
    response.json(view ? view.entries.last(Math.max(0, view.entries.length - Math.max(0, after))) : []);
  });

  /** A book to hand out: it can be verified by itself. */
  app.get('/api/books/:book/export', async (request, response) => {
    const view = await books.view(request.params.book);
    if (!view) throw new Problem(404, 'no-book', 'There is no such book.');
    response.attachment(`${view.round?.plan.code ?? view.book}.book.json`).json(exportBook(view));
  });

  app.post('/api/books/:book/entries', async (request, response) => {
    const { sentAt, ...entry } = parsed(Single, request.body);
    const [outcome] = await books.append(request.params.book, [entry], sentAt);
    sendOutcome(response, outcome!);
  });

  /** Entries of many books and kinds in one transaction, each with its own answer. */
  app.post('/api/entries', async (request, response) => {
    const { sentAt, entries } = parsed(Batch, request.body);
    const outcomes = await books.append(null, entries, sentAt);
    response.json({
      results: outcomes.map((outcome) =>
        'problem' in outcome
          ? { status: outcome.problem.status, problem: outcome.problem.document() }
          : { status: outcome.isNew ? 201 : 200, ...told(outcome) },
      ),
    });
  });
}
