import { levelRead, questionLevel, type LevelState, toolNames, waterNames } from '@fonte/core/level';
import type { VisitState } from '@fonte/core/round';
import { base, showTyped, type Typed } from '@fonte/core/units';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { Field, NoControl } from '../form/Field.tsx';
import { showTime } from '../time/show.ts';
import { numberError } from '../units/TypedField.tsx';
import { depthOf, draftOfLevel, levelInstead, numbersOf, type LevelDraft } from './levelDraft.ts';

export function Readings({ visit, level }: { visit: VisitState; level: LevelState }) {
  const { entries, round } = useRound();
  const written = entries.filter(levelRead.is).filter((entry) => entry.visit === visit.id);
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
                {entry.payload.by && entry.payload.by.tool !== 'electric' ? `, ${toolNames[entry.payload.by.tool].toLowerCase()}` : ''}
                {entry.payload.kept ? `; kept: ${entry.payload.kept}` : ''}
                {strike ? `; struck: ${strike.reason}` : ''}
              </span>
              {standing && (
                <Correct
                  entry={entry.id}
                  kind={levelRead}
                  what={showTyped(standing.typed)}
                  stands={draftOfLevel({ ...entry.payload, ...(standing.by ? { by: standing.by } : {}) }, standing.typed)}
                  as={levelInstead}
                >
                  {(draft) => <Instead visit={visit} draft={draft} />}
                </Correct>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What should stand: the depth, or what stood on the tape it follows from. */
function Instead({ visit, draft }: { visit: VisitState; draft: LevelDraft }) {
  const { tool } = draft.by;
  const depth = depthOf(draft);
  return (
    <>
      {tool === 'electric' ? (
        <Field name={['instead', 'depth']} label="Should read" />
      ) : (
        <>
          {numbersOf[tool].map((name) => (
            <Field key={name} name={['instead', 'by', name]} />
          ))}
          <p>
            Depth to water: <span className="strong">{depth ? showTyped(depth) : '–'}</span>
          </p>
          <Field name={['instead', 'depth']} isBare>
            <NoControl />
          </Field>
        </>
      )}
      {depth && <Asked visit={visit} mark={draft.measuringPoint} depth={depth} />}
    </>
  );
}

/** A corrected level is asked the same questions as the one it replaces. */
function Asked({ visit: { point }, mark: name, depth }: { visit: VisitState; mark: string; depth: Typed }) {
  const { round } = useRound();
  const { tolerances } = round.tables;
  const mark = point.type === 'well' ? point.well.measuringPoints.find((one) => one.name === name) : undefined;
  if (point.type !== 'well' || !mark || !tolerances || numberError(depth)) return null;
  const findings = questionLevel({ depth: base(depth), mark, well: point.well, record: [], tolerances });
  if (findings.length === 0) return null;
  return (
    <>
      <Findings of={findings} />
      <Field name={['instead', 'kept']} />
    </>
  );
}
