import { appendEntries, appendEntry, bookEntries, bookExport } from '@fonte/core/book';
import { Problem, route, SentFile, type Route } from '../http/index.ts';
import type { Books } from './books.ts';
import type { Outcome } from './stage.ts';
import { exportBook } from './export.ts';

const told = ({ entry, aside }: Exclude<Outcome, { problem: Problem }>) => ({ entry, aside });
const statusOf = (outcome: Exclude<Outcome, { problem: Problem }>) => (outcome.isNew ? 201 : 200);

export const bookRoutes = ({ books }: { books: Books }): Route[] => [
  route(bookEntries, async ({ in: { book }, query: { after } }) => {
    const view = await books.view(book);
    return view ? view.entries.last(Math.max(0, view.entries.length - after)) : [];
  }),
  route(bookExport, async ({ in: { book } }) => {
    const view = await books.view(book);
    if (!view) throw new Problem(404, 'no-book', 'There is no such book.');
    return new SentFile(`${view.round?.plan.code ?? view.book}.book.json`, JSON.stringify(exportBook(view)));
  }),
  route(appendEntry, async ({ in: { book }, body: { sentAt, ...entry }, response }) => {
    const [outcome] = await books.append(book, [entry], sentAt);
    if (outcome === undefined || 'problem' in outcome) throw outcome?.problem ?? new Error('No entry has no outcome.');
    response.status(statusOf(outcome));
    return told(outcome);
  }),
  route(appendEntries, async ({ body: { entries, sentAt } }) => ({
    results: (await books.append(null, entries, sentAt)).map((outcome) =>
      'problem' in outcome
        ? { status: outcome.problem.status, problem: outcome.problem.document() }
        : { status: statusOf(outcome), ...told(outcome) },
    ),
  })),
];
