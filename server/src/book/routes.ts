import { appendEntries, appendEntry, bookEntries, bookExport } from '@fonte/core/book';
import { atOnce, Problem, route, SentFile, type Route, type Who } from '../http/index.ts';
import type { Store } from '../store/index.ts';
import type { Books } from './books.ts';
import type { BookView } from './view.ts';
import type { Outcome } from './stage.ts';
import { exportBook } from './export.ts';

/** So many books are put together for handing out at once: each may hold its files in memory. */
const handedOutAtOnce = 4;

const told = ({ entry, aside }: Exclude<Outcome, { problem: Problem }>) => ({ entry, aside });
const statusOf = (outcome: Exclude<Outcome, { problem: Problem }>) => (outcome.isNew ? 201 : 200);

/** What happens at the door is for those who answer for it, and for those who check. @throws Problem 403 */
function checkReader(view: BookView | null, { person: { role } }: Who): void {
  if (view?.type === 'access' && role !== 'coordinator' && role !== 'reader')
    throw new Problem(403, 'forbidden', `This is not for the role “${role}”.`);
}

export const bookRoutes = ({ books, store }: { books: Books; store: Store }): Route[] => [
  route(bookEntries, async ({ in: { book }, query: { after }, who }) => {
    const view = await books.view(book);
    checkReader(view, who);
    return view ? view.entries.last(Math.max(0, view.entries.length - after)) : [];
  }),
  route(
    bookExport,
    async ({ in: { book }, query, who }) => {
      const view = await books.view(book);
      checkReader(view, who);
      if (!view) throw new Problem(404, 'no-book', 'There is no such book.');
      const file = await exportBook(store, view, query.with === 'files');
      return new SentFile(`${view.round?.plan.code ?? view.book}.book.json`, JSON.stringify(file));
    },
    { before: [atOnce(handedOutAtOnce)] },
  ),
  route(appendEntry, async ({ in: { book }, body: { sentAt, ...entry }, who, response }) => {
    const [outcome] = await books.append(book, [entry], sentAt, who.scope);
    if (outcome === undefined || 'problem' in outcome) throw outcome?.problem ?? new Error('No entry has no outcome.');
    response.status(statusOf(outcome));
    return told(outcome);
  }),
  route(appendEntries, async ({ body: { entries, sentAt }, who }) => ({
    results: (await books.append(null, entries, sentAt, who.scope)).map((outcome) =>
      'problem' in outcome
        ? { status: outcome.problem.status, problem: outcome.problem.document() }
        : { status: statusOf(outcome), ...told(outcome) },
    ),
  })),
];
