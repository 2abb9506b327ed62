import {
  atRest,
  lastLevel,
  levelRead,
  levelRecord,
  questionLevel,
  toleranceFor,
  waterStates,
  type LevelState,
  type WaterState,
  waterNames,
} from '@fonte/core/level';
import type { WellPoint } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { base, fromBase, show, showNumber, showTyped, unitLabel, type Typed } from '@fonte/core/units';
import { Button, Segmented, Select } from 'antd';
import { useNavigate } from 'react-router';
import type { z } from 'zod';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { Connect, Tape, useDevices } from '../devices/index.ts';
import { Checked } from '../prepare/index.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { roomPath } from '../visit/paths.ts';
import { atVisit } from '../visit/useVisit.tsx';
import { Cautions } from '../visit/Cautions.tsx';
import { VisitHead } from '../visit/VisitNav.tsx';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { useUnitSystem } from '../units/system.ts';
import { numberError } from '../units/TypedField.tsx';
import { Figure } from '../working/Figure.tsx';
import { WellSection } from './WellSection.tsx';
import { LeaveOut } from './LeaveOut.tsx';
import { Readings } from './Readings.tsx';

interface Draft {
  measuringPoint: string;
  depth: Typed;
  /** Empty until somebody says it: no state is taken for granted. */
  water: WaterState | '';
  kept: string;
}

/** One reading at a time until two agree, each questioned against the well and its record at once. */
function LevelAt({ visit }: { visit: VisitState }) {
  if (visit.point.type !== 'well' || !visit.level) return <p>A tap has no water level.</p>;
  return <Level visit={visit} point={visit.point} level={visit.level} />;
}

function Level({ visit, point, level }: { visit: VisitState; point: WellPoint; level: LevelState }) {
  const { id, round, append } = useRound();
  const {
    units: {
      depth: [unit, decimals],
    },
  } = useUnitSystem();
  const navigate = useNavigate();
  const devices = useDevices(visit.id);
  const { data: history = [], error: recordError } = useAnswer(levelRecord, { in: { point: point.id } });
  const record = atRest(history).filter((row) => row.round !== id);
  const { tolerances } = round.tables;
  // A mark that is gone is measured from no more.
  const there = point.well.measuringPoints.filter(({ until }) => until === undefined || until >= round.plan.date);
  const marks = there.length > 0 ? there : point.well.measuringPoints;
  const markOf = (name: string) => marks.find((candidate) => candidate.name === name) ?? marks[0]!;
  const questions = ({ measuringPoint, depth }: Draft) =>
    numberError(depth) || !tolerances
      ? []
      : questionLevel({ depth: base(depth), mark: markOf(measuringPoint), well: point.well, record, tolerances });
  const entry = useEntryForm<Draft, z.output<typeof levelRead.payload>>({
    keep: `level.${visit.id}`,
    initial: { measuringPoint: marks[0]!.name, depth: { text: '', unit: unit === 'ft' ? 'ft' : 'm' }, water: '', kept: '' },
    schema: levelRead.payload,
    // A reason to keep a number goes with the number that was asked about, and with no other.
    read: ({ kept, ...reading }) => {
      const { value, problems } = asTyped(reading, levelRead.payload);
      return { value: questions({ kept, ...reading }).length > 0 ? { ...(value as object), kept } : value, problems };
    },
    write: (payload, { id: own, kept }) => append(levelRead, payload, { at: visit.id, id: own, kept }),
    next: (draft) => ({ ...draft, depth: { text: '', unit: draft.depth.unit }, kept: '' }),
  });
  const draft = entry.values;
  const mark = markOf(draft.measuringPoint);
  const depth = numberError(draft.depth) ? null : base(draft.depth);
  const findings = questions(draft);
  const last = lastLevel(record, mark.name);
  const { agreed } = level;

  const next = level.readings.at(-1);
  return (
    <div className="stack-wide">
      <VisitHead visit={visit} />
      <div className="halves">
        <div className="picture">
          <WellSection well={point.well} mark={mark} depth={depth ?? agreed?.depth ?? next?.depth ?? null} />
        </div>
        <div className="ask">
          {agreed && (
            <section className="panel" aria-label="The level">
              <p className="word tone-good">
                <Mark kind="good" />
                Two readings agree
              </p>
              <div className="figure reading">
                <span className="soft small">Below {agreed.measuringPoint}</span>
                <span className="value">
                  {agreed.typed.text}
                  <span className="unit">{unitLabel(agreed.typed.unit)}</span>
                </span>
              </div>
              <div className="figures">
                <Figure label="Below ground" of={agreed.belowGround} unit={unit} decimals={decimals}>
                  {!agreed.belowGround && <span className="small soft">The mark’s height is not in the register</span>}
                </Figure>
                <Figure label="Elevation" of={agreed.elevation} unit={unit} decimals={decimals}>
                  {!agreed.elevation && <span className="small soft">The mark’s elevation is not in the register</span>}
                </Figure>
                <div className="figure">
                  <span className="soft small">Since last time</span>
                  <span className="value">
                    {last ? (
                      <>
                        {showNumber(fromBase(last.depth - agreed.depth, unit), decimals)}
                        <span className="unit">{unitLabel(unit)}</span>
                      </>
                    ) : (
                      '–'
                    )}
                  </span>
                  <span className="small soft">
                    {last
                      ? `${agreed.depth > last.depth ? 'Lower' : 'Higher'} than ${showMoment(last.at, round.plan.zone)}: ${show(last.depth, unit, decimals)}`
                      : 'First level here'}
                  </span>
                </div>
              </div>
              {visit.analyses.length > 0 && (
                <div>
                  <Button type="primary" size="large" onClick={() => void navigate(roomPath(id, 'purge', visit.id))}>
                    On to the purge
                  </Button>
                </div>
              )}
            </section>
          )}
          {!agreed && <Cautions point={point} at="level" />}
          <Checked kind="tape">
            <EntryForm of={entry} submit="Write it down" tone={agreed ? 'default' : 'primary'} className="stack">
              <Field
                name="depth"
                big
                autoFocus={!agreed}
                label={level.readings.length === 0 ? 'Depth to water' : agreed ? 'Another reading' : 'Depth to water, again'}
                hint={`From ${mark.name}. ${next && !agreed && tolerances ? `Two must agree within ${show(toleranceFor(next.typed, next.typed, tolerances), draft.depth.unit, draft.depth.unit === 'ft' ? 2 : 3)}; the last was ${showTyped(next.typed)}.` : 'Lower until it sounds, raise until it stops, read at the mark.'}`}
              />
              {recordError !== undefined && (
                <p className="finding note small">The record could not be read: a jump against it is not noticed now.</p>
              )}
              {last && !agreed && (
                <p className="soft">
                  Last time, {showMoment(last.at, round.plan.zone)}: <span className="strong">{show(last.depth, unit, decimals)}</span>
                </p>
              )}
              <Findings of={findings} />
              {findings.length > 0 && <Field name="kept" placeholder="read twice, well next door is pumping …" />}
              <div className="row">
                <Field name="water">
                  <Segmented aria-label="The water is" options={waterStates.map((value) => ({ value, label: waterNames[value] }))} />
                </Field>
                {marks.length > 1 && (
                  <Field name="measuringPoint">
                    <Select size="large" options={marks.map(({ name }) => ({ value: name, label: name }))} />
                  </Field>
                )}
              </div>
            </EntryForm>
          </Checked>
          {devices && <Tape tape={devices.tape} take={(text) => entry.set({ depth: { text, unit: 'm' } })} />}
          <Connect visit={visit.id} point={point} rest={agreed?.depth ?? null} />
          <LeaveOut visit={visit} level={level} />
          <Readings visit={visit} level={level} />
        </div>
      </div>
    </div>
  );
}

export const LevelPage = atVisit(LevelAt);
