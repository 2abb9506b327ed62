import { inText, parameter } from '@fonte/core/parameters';
import { criterion, purgeEnded, purgeReading, type PurgeState } from '@fonte/core/purge';
import type { WellPoint } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { fromBase, show, showNumber, showTyped, unitLabel } from '@fonte/core/units';
import { Button, Checkbox, Input } from 'antd';
import { useId, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Empty } from '../app/Feedback.tsx';
import { Correct } from '../book/Correct.tsx';
import { Said } from '../book/Said.tsx';
import { useAction } from '../book/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { WellSection } from '../level/WellSection.tsx';
import { roomPath } from '../round/paths.ts';
import { atVisit } from '../round/useVisit.tsx';
import { VisitHead } from '../round/VisitNav.tsx';
import { Mark } from '../theme/Mark.tsx';
import { showTime } from '../time/show.ts';
import { useUnitSystem } from '../units/system.ts';
import { useDraft } from '../units/useDraft.ts';
import { Figure } from '../working/Figure.tsx';
import { Bands } from './Bands.tsx';
import { draftOf, setErrors, setPayload, type SetDraft } from './setDraft.ts';
import { SetFields, SetForm } from './SetForm.tsx';
import { SetUpForm } from './SetUpForm.tsx';

/** Volumes out, readings holding or not, and what holds it up. */
function PurgeAt({ visit }: { visit: VisitState }) {
  const { id } = useRound();
  const { point, level, purge } = visit;
  if (point.type !== 'well' || !purge) return <p>A tap is not purged.</p>;
  if (!level?.agreed) {
    return <div className="stack-wide"><VisitHead visit={visit} /><Empty title="The level comes first"><p>The volume follows from the water column: two readings of the level must agree.</p><Link to={roomPath(id, 'level', visit.id)}>Measure the level</Link></Empty></div>;
  }
  const mark = point.well.measuringPoints.find((one) => one.name === level.agreed!.measuringPoint)!;
  return (
    <div className="stack-wide">
      <VisitHead visit={visit} />
      <div className="halves">
        <div className="picture"><WellSection well={point.well} mark={mark} depth={level.agreed.depth} pumping={purge.ended ? null : (purge.sets.findLast((set) => set.level !== null)?.level ?? null)} purge={purge} /></div>
        <div className="ask">{purge.setUp ? <Purging visit={visit} point={point} purge={purge} /> : <SetUpForm visit={visit} point={point} />}</div>
      </div>
    </div>
  );
}

function Purging({ visit, point, purge }: { visit: VisitState; point: WellPoint; purge: PurgeState }) {
  const { units: { volume: [unit, decimals], depth: [depthUnit, depthDecimals] } } = useUnitSystem();
  const setUp = purge.setUp!;
  const short = setUp.target.value - purge.pumped;
  return (
    <>
      <Verdict purge={purge} left={short} />
      <div className="figures">
        <div className="figure"><span className="soft small">Pumped</span><span className="value">{showNumber(fromBase(purge.pumped, unit), decimals)}<span className="unit">{unitLabel(unit)}</span></span><span className="small soft">{showNumber(purge.volumesDone, 1)} of {setUp.volumes} volumes</span></div>
        <Figure label="To remove" of={setUp.target} unit={unit} decimals={decimals} />
        <Figure label="One volume" of={setUp.oneVolume} unit={unit} decimals={decimals} />
        <div className="figure"><span className="soft small">Drawdown</span><span className="value">{purge.drawdown === null ? '–' : <>{showNumber(fromBase(purge.drawdown, depthUnit), depthDecimals)}<span className="unit">{unitLabel(depthUnit)}</span></>}</span></div>
      </div>
      {purge.stability && <section><h2>{criterion(setUp.criterion).name}</h2><Bands of={purge.stability} /></section>}
      <Findings of={purge.findings} />
      {purge.ended ? <Ended visit={visit} purge={purge} /> : <><SetForm visit={visit} setUp={setUp} /><End visit={visit} purge={purge} /></>}
      <Sets visit={visit} purge={purge} />
      {!purge.ended && <details><summary>Change casing, volumes or criterion</summary><SetUpForm visit={visit} point={point} /></details>}
    </>
  );
}

function Verdict({ purge, left }: { purge: PurgeState; left: number }) {
  const { units: { volume: [unit, decimals] } } = useUnitSystem();
  const names = purge.stability?.heldUpBy.map((verdict) => inText(verdict.parameter)) ?? [];
  if (purge.ready) return <p className="word tone-good" style={{ fontSize: 26 }}><Mark kind="good" size={26} />Stable, and {showNumber(purge.volumesDone, 1)} volumes out</p>;
  const parts = [left > 1e-9 ? `${show(left, unit, decimals)} to go` : null, names.length > 0 ? `held up by ${names.join(', ')}` : null].filter(Boolean);
  return <p className="word tone-question" style={{ fontSize: 26 }}><Mark kind="question" size={26} />Not yet: {parts.join('; ')}</p>;
}

function End({ visit, purge }: { visit: VisitState; purge: PurgeState }) {
  const { id, append } = useRound();
  const navigate = useNavigate();
  const [detached, setDetached] = useState(false);
  const [reason, setReason, forget] = useDraft(`purge-end.${visit.id}`, '');
  const { busy, run, at, say } = useAction();
  const why = useId();
  if (purge.sets.length === 0) return null;
  const end = () => run(async () => {
    await append(purgeEnded, { visit: visit.id, flowCellDetached: detached as true, ...(purge.ready ? {} : reason.trim() ? { reason } : {}) });
    forget();
    await navigate(roomPath(id, 'fill', visit.id));
  });
  const Around = purge.ready ? 'section' : 'details';
  return (
    <Around className="panel" aria-label="End the purge">
      {purge.ready ? <h2>End the purge</h2> : <summary>End it here all the same</summary>}
      {!purge.ready && <div className="typed"><label htmlFor={why}>Why</label><Input id={why} size="large" value={reason} maxLength={300} onChange={(event) => setReason(event.target.value)} placeholder="ran dry, still drifting at five volumes …" />{at('reason') && <p className="field-error">{at('reason')}</p>}</div>}
      <Checkbox checked={detached} onChange={(event) => setDetached(event.target.checked)}>The flow cell is detached, the flow is down to 100–200 mL/min</Checkbox>
      {at('flowCellDetached') && <p className="field-error">{at('flowCellDetached')}</p>}
      <Said say={at('reason') ?? at('flowCellDetached') ? null : say} />
      <div><Button type={purge.ready ? 'primary' : 'default'} size="large" loading={busy} onClick={() => void end()}>End and fill</Button></div>
    </Around>
  );
}

function Ended({ visit, purge }: { visit: VisitState; purge: PurgeState }) {
  const { id, round, entries } = useRound();
  const entry = entries.filter(purgeEnded.is).findLast((one) => one.payload.visit === visit.id);
  return (
    <section className="panel">
      <h2>Ended at {showTime(purge.ended!.at, round.plan.zone)}</h2>
      {purge.ended!.reason && <p>Departure: {purge.ended!.reason}</p>}
      <div className="row"><Link className="strong" to={roomPath(id, 'fill', visit.id)}>Fill the bottles</Link>{entry && <Correct entry={entry.id} kind={purgeEnded} what="the end of the purge" />}</div>
    </section>
  );
}

function Sets({ visit, purge }: { visit: VisitState; purge: PurgeState }) {
  const { round } = useRound();
  const { parameters } = purge.setUp!;
  const [instead, setInstead] = useState<SetDraft | null>(null);
  if (purge.sets.length === 0) return null;
  return (
    <section className="stack">
      <h2>Sets</h2>
      <div className="scroll" tabIndex={0} role="region" aria-label="Sets of readings">
        <table className="dense">
          <thead><tr><th>Time</th><th className="number">Pumped</th>{parameters.map((id) => <th key={id} className="number">{parameter(id).name.replace(/ at 25.*/, '')}</th>)}<th>Note</th><th /></tr></thead>
          <tbody>
            {purge.sets.map((set, index) => (
              <tr key={set.entry}>
                <td>{showTime(set.at, round.plan.zone)}</td>
                <td className="number">{showTyped(set.pumpedTyped)}</td>
                {parameters.map((id) => <td key={id} className="number">{set.values[id] ? showTyped(set.values[id]) : '–'}</td>)}
                <td>{set.note}</td>
                <td>
                  <Correct entry={set.entry} kind={purgeReading} what={`set ${index + 1}`} onOpen={() => setInstead(draftOf(set))} instead={() => setPayload(visit.id, instead ?? draftOf(set), parameters)}>
                    {instead && <SetFields draft={instead} parameters={parameters} errors={setErrors(instead, parameters)} onChange={setInstead} onLast={() => undefined} />}
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

export const PurgePage = atVisit(PurgeAt);
