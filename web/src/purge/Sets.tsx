import { parameter } from '@fonte/core/parameters';
import { purgeReading, type PurgeState } from '@fonte/core/purge';
import { showTyped } from '@fonte/core/units';
import { useState } from 'react';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { showTime } from '../time/show.ts';
import { draftOf, setErrors, setPayload, type SetDraft } from './setDraft.ts';
import { SetFields } from './SetForm.tsx';

export function Sets({ purge }: { purge: PurgeState }) {
  const { round } = useRound();
  const { parameters } = purge.setUp!;
  const [instead, setInstead] = useState<SetDraft | null>(null);
  if (purge.count === 0) return null;
  return (
    <section className="stack">
      <h2>Sets</h2>
      <div className="scroll" tabIndex={0} role="region" aria-label="Sets of readings">
        <table className="dense">
          <thead>
            <tr>
              <th>Time</th>
              <th className="number">Pumped</th>
              {parameters.map((id) => (
                <th key={id} className="number">
                  {parameter(id).name.replace(/ at 25.*/, '')}
                </th>
              ))}
              <th>Note</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {purge.sets.map((set, index) => (
              <tr key={set.entry}>
                <td>{showTime(set.at, round.plan.zone)}</td>
                <td className="number">{showTyped(set.pumpedTyped)}</td>
                {parameters.map((id) => (
                  <td key={id} className="number">
                    {set.values[id] ? showTyped(set.values[id]) : '–'}
                  </td>
                ))}
                <td>{set.note}</td>
                <td>
                  <Correct
                    entry={set.entry}
                    kind={purgeReading}
                    what={`set ${index + 1}`}
                    onOpen={() => setInstead(draftOf(set))}
                    isChanged={instead !== null && JSON.stringify(instead) !== JSON.stringify(draftOf(set))}
                    instead={() => setPayload(instead ?? draftOf(set), parameters)}
                  >
                    {instead && (
                      <SetFields
                        draft={instead}
                        parameters={parameters}
                        errors={setErrors(instead, parameters)}
                        onChange={setInstead}
                        onLast={() => undefined}
                      />
                    )}
                  </Correct>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
