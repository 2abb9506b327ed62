import { strikes } from '@fonte/core/book';
import { levelRead, type LevelState } from '@fonte/core/level';
import type { VisitState } from '@fonte/core/round';
import { showTyped, type Typed } from '@fonte/core/units';
import { useState } from 'react';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { depthUnits, waterNames } from './names.ts';
import { showTime } from '../time/show.ts';
import { numberError, TypedField } from '../units/TypedField.tsx';

export function Readings({ visit, level }: { visit: VisitState; level: LevelState }) {
  const { entries, round } = useRound();
  const struckBy = strikes(entries);
  const written = entries.filter(levelRead.is).filter((entry) => entry.payload.visit === visit.id);
  const [instead, setInstead] = useState<Typed>({ text: '', unit: 'm' });
  if (written.length === 0) return null;
  return (
    <section className="stack">
      <h2>Readings</h2>
      <ul className="readings-list plain">
        {written.map((entry) => {
          const strike = struckBy.get(entry.id);
          const standing = level.readings.find((reading) => reading.entry === entry.id);
          return (
            <li key={entry.id}>
              <span className="value">
                {strike ? <s>{showTyped(entry.payload.depth)}</s> : showTyped(entry.payload.depth)}
                {strike && standing ? ` ${showTyped(standing.typed)}` : ''}
              </span>
              <span className="soft">
                {showTime(Date.parse(entry.at.utc), round.plan.zone)}, {waterNames[entry.payload.water].toLowerCase()}
                {entry.payload.kept ? `; kept: ${entry.payload.kept}` : ''}
                {strike ? `; struck: ${strike.reason}` : ''}
              </span>
              {standing && (
                <Correct
                  entry={entry.id}
                  kind={levelRead}
                  what={showTyped(standing.typed)}
                  onOpen={() => setInstead(standing.typed)}
                  instead={() => ({ ...entry.payload, depth: instead })}
                >
                  <TypedField label="Should read" value={instead} units={depthUnits} onChange={setInstead} error={numberError(instead)} />
                </Correct>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
