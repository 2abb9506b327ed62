import { type BookEntry, type Entry } from '@fonte/core/book';
import { server } from '@fonte/core/roles';
import { filesNamed, sayEntry, sayMisfit, titleOf } from '@fonte/core/round';
import { millis } from '@fonte/core/time';
import { Link } from 'react-router';
import { DataTable } from '../feedback/DataTable.tsx';
import { useSession } from '../session/session.ts';
import { showMoment, showSecond } from '../time/show.ts';
import { useRound } from './useRound.ts';
import './book.css';

/** The field book of a round: every entry, in the order written, with what was struck still readable. */
export function BookPage() {
  const { id, entries, round } = useRound();
  const { people } = useSession();
  const head = entries.findLast((entry): entry is BookEntry => 'hash' in entry);
  const hasFiles = entries.some((entry) => 'hash' in entry && filesNamed(entry).length > 0);
  const initials = (person: string) => (person === server ? 'Fonte' : (people.find((one) => one.id === person)?.initials ?? '?'));
  const nameOf = (entry: Entry) => round.visits.find((visit) => visit.id === entry.visit)?.point.code ?? '';
  return (
    <section className="stack">
      <h1>Field book</h1>
      <p className="soft">Nothing here is ever changed or erased. A correction strikes an entry and says why.</p>
      <p>
        <a className="strong" href={`/api/books/${id}/export`} download>
          Hand out this book
        </a>
        {hasFiles && (
          <>
            {' or '}
            <a className="strong" href={`/api/books/${id}/export?with=files`} download>
              with its pictures and files
            </a>
          </>
        )}{' '}
        <span className="soft small">
          {head ? `${head.seq} entries, head ${head.hash.slice(0, 16)}…. ` : ''}It is a file that anybody can verify alone,{' '}
          <Link to="/verify">also here</Link>.
        </span>
      </p>
      <DataTable
        label="Field book"
        className="field-book"
        rows={entries.map((entry, index) => ({ entry, number: index + 1 }))}
        rowKey={({ entry }) => entry.id}
        columns={[
          {
            title: 'No.',
            isNumber: true,
            render: ({ number }) => number,
            card: ({ entry, number }) => (
              <>
                <p className="small soft">
                  {[number, showSecond(millis(entry.at), round.plan.zone), initials(entry.author), nameOf(entry)]
                    .filter(Boolean)
                    .join(' · ')}
                </p>
                <Words entry={entry} initials={initials} />
              </>
            ),
          },
          { title: 'Time', isDeskOnly: true, isShort: true, render: ({ entry }) => showSecond(millis(entry.at), round.plan.zone) },
          { title: 'By', isDeskOnly: true, render: ({ entry }) => initials(entry.author) },
          { title: 'Point', isDeskOnly: true, render: ({ entry }) => nameOf(entry) },
          { title: 'Entry', isDeskOnly: true, render: ({ entry }) => <Words entry={entry} initials={initials} /> },
        ]}
      />
    </section>
  );
}

/** What an entry says, and what became of it. */
function Words({ entry, initials }: { entry: Entry; initials: (person: string) => string }) {
  const { round } = useRound();
  const strike = round.strikes.get(entry.id);
  const misfit = round.aside.find((one) => one.entry.id === entry.id)?.misfit;
  const words = (
    <>
      <span className="strong">{titleOf(entry)}.</span> {sayEntry(entry)}
    </>
  );
  return (
    <>
      {strike ? <s>{words}</s> : words}
      {misfit && <div className="small tone-question">Set aside: {sayMisfit(misfit)}</div>}
      {!('hash' in entry) && <div className="small tone-question">Only on this device so far.</div>}
      {strike && (
        <div className="small">
          Struck: {strike.reason}. {initials(strike.by.author)}, {showMoment(millis(strike.by.at), round.plan.zone)}
        </div>
      )}
    </>
  );
}
