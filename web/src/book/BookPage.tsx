import { strikes, struck, type Entry } from '@fonte/core/book';
import { titleOf } from '@fonte/core/round';
import { millis } from '@fonte/core/time';
import { useSession } from '../app/session.ts';
import { showMoment } from '../time/show.ts';
import { inWords } from './inWords.ts';
import { useRound } from './useRound.ts';

/** The field book of a round: every entry, in the order written, with what was struck still readable. */
export function BookPage() {
  const { entries, round } = useRound();
  const { people } = useSession();
  const struckBy = strikes(entries);
  const initials = (id: string) => people.find((person) => person.id === id)?.initials ?? id;
  const nameOf = (entry: Entry) => round.visits.find((visit) => visit.id === (entry.payload as { visit?: string }).visit)?.point.code ?? '';
  return (
    <section className="stack">
      <h2>Field book</h2>
      <p className="soft">Nothing here is ever changed or erased. A correction strikes an entry and says why.</p>
      <div className="scroll" tabIndex={0} role="region" aria-label="Field book">
        <table className="dense">
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
              const strike = struckBy.get(entry.id);
              const words = (
                <>
                  <span className="strong">{titleOf(entry)}</span>{' '}
                  {struck.is(entry)
                    ? `${entry.payload.reason}${entry.payload.instead === undefined ? '' : ` → ${inWords(entry.payload.instead)}`}`
                    : inWords(entry.payload)}
                </>
              );
              return (
                <tr key={entry.id}>
                  <td className="number">{index + 1}</td>
                  <td style={{ whiteSpace: 'nowrap' }}>{showMoment(millis(entry.at), round.plan.zone)}</td>
                  <td>{initials(entry.author)}</td>
                  <td>{nameOf(entry)}</td>
                  <td>
                    {strike ? <s>{words}</s> : words}
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
