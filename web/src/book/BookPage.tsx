import { server, type BookEntry, type Entry } from '@fonte/core/book';
import { sayEntry, sayMisfit, titleOf } from '@fonte/core/round';
import { millis } from '@fonte/core/time';
import { useSession } from '../session/session.ts';
import { showMoment, showSecond } from '../time/show.ts';
import { useRound } from './useRound.ts';
import './book.css';

/** The field book of a round: every entry, in the order written, with what was struck still readable. */
export function BookPage() {
  const { id, entries, round } = useRound();
  const { people } = useSession();
  const aside = new Map(round.aside.map((one) => [one.entry.id, one.misfit]));
  const head = entries.findLast((entry): entry is BookEntry => 'hash' in entry);
  const initials = (person: string) => (person === server ? 'Fonte' : (people.find((one) => one.id === person)?.initials ?? '?'));
  const nameOf = (entry: Entry) => round.visits.find((visit) => visit.id === entry.visit)?.point.code ?? '';
  return (
    <section className="stack">
      <h1>Field book</h1>
      <p className="soft">Nothing here is ever changed or erased. A correction strikes an entry and says why.</p>
      <p>
        <a className="strong" href={`/api/books/${id}/export`} download>
          Hand out this book
        </a>{' '}
        <span className="soft small">
          {head ? `${head.seq} entries, head ${head.hash.slice(0, 16)}…. ` : ''}It is a file that anybody can verify alone.
        </span>
      </p>
      <div className="scroll" tabIndex={0} role="region" aria-label="Field book">
        <table className="dense field-book">
          <thead>
            <tr>
              <th className="number">No.</th>
              <th>Time</th>
              <th>By</th>
              <th>Point</th>
              <th>Entry</th>
            </tr>
          </thead>
          <tbody>
            {entries.map((entry, index) => {
              const strike = round.strikes.get(entry.id);
              const misfit = aside.get(entry.id);
              const words = (
                <>
                  <span className="strong">{titleOf(entry)}.</span> {sayEntry(entry)}
                </>
              );
              return (
                <tr key={entry.id}>
                  <td className="number">{index + 1}</td>
                  <td style={{ whiteSpace: 'nowrap' }}>{showSecond(millis(entry.at), round.plan.zone)}</td>
                  <td>{initials(entry.author)}</td>
                  <td>{nameOf(entry)}</td>
                  <td>
                    {strike ? <s>{words}</s> : words}
                    {misfit && <div className="small tone-question">Set aside: {sayMisfit(misfit)}</div>}
                    {!('hash' in entry) && <div className="small tone-question">Only on this device so far.</div>}
                    {strike && (
                      <div className="small">
                        Struck: {strike.reason}. {initials(strike.by.author)}, {showMoment(millis(strike.by.at), round.plan.zone)}
                      </div>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}
