import { levelRead, questionLevel, type LevelState, waterNames } from '@fonte/core/level';
import type { VisitState } from '@fonte/core/round';
import { base, showTyped, type Typed } from '@fonte/core/units';
import { Input } from 'antd';
import { useId, useState } from 'react';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { depthUnits } from './names.ts';
import { showTime } from '../time/show.ts';
import { numberError, TypedField } from '../units/TypedField.tsx';

export function Readings({ visit, level }: { visit: VisitState; level: LevelState }) {
  const { entries, round } = useRound();
  const written = entries.filter(levelRead.is).filter((entry) => entry.visit === visit.id);
  const [instead, setInstead] = useState<Typed>({ text: '', unit: 'm' });
  const [kept, setKept] = useState('');
  if (written.length === 0) return null;
  return (
    <section className="stack">
      <h2>Readings</h2>
      <ul className="readings-list plain">
        {written.map((entry) => {
          const strike = round.strikes.get(entry.id);
          const standing = level.readings.find((reading) => reading.entry === entry.id);
          return (
            <li key={entry.id}>
              <span className="value">
                {strike ? <s>{showTyped(entry.payload.depth)}</s> : showTyped(entry.payload.depth)}
                {strike && standing && showTyped(standing.typed) !== showTyped(entry.payload.depth) ? ` ${showTyped(standing.typed)}` : ''}
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
                  onOpen={() => {
                    setInstead(standing.typed);
                    setKept(entry.payload.kept ?? '');
                  }}
                  isChanged={instead.text !== standing.typed.text || instead.unit !== standing.typed.unit}
                  instead={() => ({ ...entry.payload, depth: instead, ...(kept.trim() ? { kept } : {}) })}
                >
                  <TypedField label="Should read" value={instead} units={depthUnits} onChange={setInstead} error={numberError(instead)} />
                  <Asked visit={visit} mark={entry.payload.measuringPoint} depth={instead} kept={kept} onKept={setKept} />
                </Correct>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

interface AskedProps {
  visit: VisitState;
  mark: string;
  depth: Typed;
  kept: string;
  onKept: (kept: string) => void;
}

/** A corrected level is asked the same questions as the one it replaces. */
function Asked({ visit: { point }, mark: name, depth, kept, onKept }: AskedProps) {
  const { round } = useRound();
  const id = useId();
  const { tolerances } = round.tables;
  const mark = point.type === 'well' ? point.well.measuringPoints.find((one) => one.name === name) : undefined;
  if (point.type !== 'well' || !mark || !tolerances || numberError(depth)) return null;
  const findings = questionLevel({ depth: base(depth), mark, well: point.well, record: [], tolerances });
  if (findings.length === 0) return null;
  return (
    <>
      <Findings of={findings} />
      <div className="typed">
        <label htmlFor={id}>If it is right, say why</label>
        <Input id={id} value={kept} maxLength={300} onChange={(event) => onKept(event.target.value)} />
      </div>
    </>
  );
}
