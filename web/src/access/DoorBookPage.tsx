import { accessBook, accessEventNames, accessNoted } from '@fonte/core/access';
import { bookEntries, bookExport, type BookEntry } from '@fonte/core/book';
import { addressOf } from '@fonte/core/endpoints';
import { registerLists } from '@fonte/core/registers';
import { millis } from '@fonte/core/time';
import { useAnswer } from '../api/useAnswer.ts';
import { DataTable } from '../feedback/DataTable.tsx';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { useSession } from '../session/session.ts';
import { siteZone, showSecond } from '../time/show.ts';

/** Who was let in, who was not, and what was taken away: a book of its own, on a chain like the others. */
export function DoorBookPage() {
  const { people } = useSession();
  const { data, error, mutate } = useAnswer(bookEntries, { in: { book: accessBook } });
  const devices = useAnswer(registerLists.devices, { query: { limit: 500 } });
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="the book" />;
  const nameOf = (id: string | null) => (id === null ? '' : (people.find((person) => person.id === id)?.name ?? 'unknown'));
  const rows = [...data].reverse().filter((entry) => accessNoted.is(entry));
  return (
    <div className="stack-wide">
      <header className="row between">
        <h1>At the door</h1>
        <a href={addressOf(bookExport, { in: { book: accessBook } })} download>
          Hand the book out
        </a>
      </header>
      {rows.length === 0 ? (
        <Empty title="Nothing has happened yet" />
      ) : (
        <DataTable<BookEntry<'access-noted', (typeof accessNoted)['payload']['_output']>>
          label="At the door"
          rows={rows}
          rowKey={({ id }) => id}
          columns={[
            { title: 'When', isShort: true, render: ({ at }) => showSecond(millis(at), siteZone()) },
            { title: 'What', render: ({ payload }) => <span className="strong">{accessEventNames[payload.event]}</span> },
            { title: 'Who', render: ({ payload }) => nameOf(payload.person) },
            { title: 'By', render: ({ payload }) => nameOf(payload.by) },
            { title: 'On', render: ({ payload }) => devices.data?.find(({ id }) => id === payload.device)?.name ?? '' },
            { title: 'How', render: ({ payload }) => payload.how },
          ]}
        />
      )}
    </div>
  );
}
