import { hasStop } from '@fonte/core/findings';
import {
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
import { Button, Input, Segmented, Select } from 'antd';
import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { useAnswer } from '../api/useAnswer.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { roomPath } from '../visit/paths.ts';
import { atVisit } from '../visit/useVisit.tsx';
import { VisitHead } from '../visit/VisitNav.tsx';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { useUnitSystem } from '../units/system.ts';
import { numberError, TypedField } from '../units/TypedField.tsx';
import { useDraft } from '../units/useDraft.ts';
import { Figure } from '../working/Figure.tsx';
import { WellSection } from './WellSection.tsx';
import { depthUnits } from './names.ts';
import { LeaveOut } from './LeaveOut.tsx';
import { Readings } from './Readings.tsx';

interface Draft {
  depth: Typed;
  mark: string;
  water: WaterState;
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
  const { data: history = [], error: recordError } = useAnswer(levelRecord, { in: { point: point.id } });
  const record = history.filter((row) => row.round !== id);
  const [draft, setDraft, clear, entryId] = useDraft<Draft>(`level.${visit.id}`, {
    depth: { text: '', unit: unit === 'ft' ? 'ft' : 'm' },
    mark: point.well.measuringPoints[0]!.name,
    water: 'static',
    kept: '',
  });
  const [tried, setTried] = useState(false);
  const { busy, run, at, say, forget } = useAction();
  const why = useId();

  const mark = point.well.measuringPoints.find((candidate) => candidate.name === draft.mark) ?? point.well.measuringPoints[0]!;
  const problem = numberError(draft.depth);
  const depth = problem ? null : base(draft.depth);
  const { tolerances } = round.tables;
  const findings = depth === null || !tolerances ? [] : questionLevel({ depth, mark, well: point.well, record, tolerances });
  const asks = findings.length > 0;
  const set = (change: Partial<Draft>) => {
    forget();
    setDraft({ ...draft, ...change });
  };
  const last = lastLevel(record, mark.name);
  const { agreed } = level;

  const write = () => {
    setTried(true);
    if (problem || hasStop(findings) || (asks && draft.kept.trim().length < 3)) return;
    void run(async () => {
      await append(
        levelRead,
        { measuringPoint: mark.name, depth: draft.depth, water: draft.water, ...(asks ? { kept: draft.kept } : {}) },
        {
          at: visit.id,
          id: entryId,
          kept: () => {
            clear();
            setDraft({ ...draft, depth: { text: '', unit: draft.depth.unit }, kept: '' });
            setTried(false);
          },
        },
      );
    });
  };

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
          <form
            className="stack"
            onSubmit={(event) => {
              event.preventDefault();
              write();
            }}
          >
            <TypedField
              big
              autoFocus={!agreed}
              label={level.readings.length === 0 ? 'Depth to water' : agreed ? 'Another reading' : 'Depth to water, again'}
              value={draft.depth}
              units={depthUnits}
              onChange={(value) => set({ depth: value })}
              error={(tried || (draft.depth.text !== '' && problem?.includes('feet')) ? problem : undefined) ?? at('depth')}
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
            {asks && (
              <div className="typed">
                <label htmlFor={why}>If it is right, say why</label>
                <Input
                  id={why}
                  size="large"
                  value={draft.kept}
                  maxLength={300}
                  onChange={(event) => set({ kept: event.target.value })}
                  placeholder="read twice, well next door is pumping …"
                />
                {tried && draft.kept.trim().length < 3 && (
                  <p className="field-error">Read again and correct the number, or say in a few words why it is right.</p>
                )}
              </div>
            )}
            <div className="row">
              <Segmented
                aria-label="The water is"
                value={draft.water}
                onChange={(water) => set({ water })}
                options={waterStates.map((value) => ({ value, label: waterNames[value] }))}
              />
              {point.well.measuringPoints.length > 1 && (
                <Select
                  aria-label="Measuring point"
                  value={mark.name}
                  onChange={(name) => set({ mark: name })}
                  options={point.well.measuringPoints.map(({ name }) => ({ value: name, label: name }))}
                />
              )}
            </div>
            <Said say={at('depth') ? null : say} />
            <div>
              <Button type={agreed ? 'default' : 'primary'} size="large" htmlType="submit" loading={busy}>
                Write it down
              </Button>
            </div>
          </form>
          <LeaveOut visit={visit} level={level} />
          <Readings visit={visit} level={level} />
        </div>
      </div>
    </div>
  );
}

export const LevelPage = atVisit(LevelAt);
