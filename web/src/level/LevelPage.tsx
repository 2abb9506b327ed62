import type { LevelState } from '@fonte/core/level';
import type { WellPoint } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { base, fromBase, show, showNumber, unitLabel } from '@fonte/core/units';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { useRound } from '../book/useRound.ts';
import { Connect, Tape, useDevices } from '../devices/index.ts';
import { Findings } from '../findings/Findings.tsx';
import { Checked } from '../prepare/index.ts';
import { roomPath } from '../visit/paths.ts';
import { atVisit } from '../visit/useVisit.tsx';
import { Cautions } from '../visit/Cautions.tsx';
import { VisitHead } from '../visit/VisitNav.tsx';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { useUnitSystem } from '../units/system.ts';
import { Figure } from '../working/Figure.tsx';
import { WellSection } from './section/WellSection.tsx';
import { LeaveOut } from './LeaveOut.tsx';
import { depthOf } from './levelDraft.ts';
import { LevelForm, useLevelForm } from './LevelForm.tsx';
import { Loggers } from './Loggers.tsx';
import { RecoveryWatch } from './RecoveryWatch.tsx';
import { Readings } from './Readings.tsx';

/** One reading at a time until two agree, each questioned against the well and its record at once. */
function LevelAt({ visit }: { visit: VisitState }) {
  if (visit.point.type !== 'well' || !visit.level) return <p>A tap has no water level.</p>;
  return <Level visit={visit} point={visit.point} level={visit.level} />;
}

function Level({ visit, point, level }: { visit: VisitState; point: WellPoint; level: LevelState }) {
  const { id, round } = useRound();
  const {
    units: {
      depth: [unit, decimals],
    },
  } = useUnitSystem();
  const navigate = useNavigate();
  const devices = useDevices(visit.id);
  const typing = useLevelForm(visit, point, level);
  const { form, mark, last } = typing;
  const typed = depthOf(form.values);
  const { agreed } = level;
  const next = level.readings.at(-1);
  return (
    <div className={`stack-wide${agreed ? '' : ' live-field'}`}>
      <VisitHead visit={visit} />
      <div className="halves">
        <div className="picture">
          <WellSection well={point.well} mark={mark} depth={typed ? base(typed) : (agreed?.depth ?? next?.depth ?? null)} />
        </div>
        <div className="ask">
          <Contested level={level} />
          {agreed && (
            <section className="panel" aria-label="The level">
              {!level.contested && (
                <p className="word tone-good">
                  <Mark kind="good" />
                  Two readings agree
                </p>
              )}
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
                  <Button
                    type={level.contested ? 'default' : 'primary'}
                    size="large"
                    onClick={() => void navigate(roomPath(id, 'purge', visit.id))}
                  >
                    On to the purge
                  </Button>
                </div>
              )}
            </section>
          )}
          {!agreed && <Cautions point={point} at="level" />}
          <Checked kind="tape">
            <LevelForm level={level} of={typing} />
          </Checked>
          {devices && <Tape tape={devices.tape} take={(text) => form.set({ depth: { text, unit: 'm' } })} />}
          <Connect visit={visit.id} point={point} rest={agreed?.depth ?? null} />
          <RecoveryWatch level={level} />
          <Loggers visit={visit} level={level} />
          <LeaveOut visit={visit} level={level} />
          <Readings visit={visit} level={level} />
        </div>
      </div>
    </div>
  );
}

/** Two levels at rest that contradict each other: which one is right is for a person to say. */
function Contested({ level: { agreed, contested } }: { level: LevelState }) {
  if (!agreed || !contested) return null;
  const data = { one: agreed.depth, other: contested.depth, by: Math.abs(agreed.depth - contested.depth) };
  return <Findings of={[{ code: 'levels-contradict', severity: 'question', data }]} />;
}

export const LevelPage = atVisit(LevelAt);
