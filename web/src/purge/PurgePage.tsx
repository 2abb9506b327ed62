import { inText } from '@fonte/core/parameters';
import { type PurgeState } from '@fonte/core/purge';
import type { WellPoint } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { fromBase, show, showNumber, unitLabel } from '@fonte/core/units';
import { Link } from 'react-router';
import { Cautions } from '../visit/Cautions.tsx';
import { Empty } from '../feedback/Feedback.tsx';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { Checked } from '../prepare/index.ts';
import { WellSection } from '../level/index.ts';
import { roomPath } from '../visit/paths.ts';
import { atVisit } from '../visit/useVisit.tsx';
import { VisitHead } from '../visit/VisitNav.tsx';
import { Mark } from '../theme/Mark.tsx';
import { useUnitSystem } from '../units/system.ts';
import { Figure } from '../working/Figure.tsx';
import { Bands } from './Bands.tsx';
import { SetForm } from './SetForm.tsx';
import { SetUpForm } from './SetUpForm.tsx';
import { Sets } from './Sets.tsx';
import { End, Ended } from './EndPurge.tsx';

/** Volumes out, readings holding or not, and what holds it up. */
function PurgeAt({ visit }: { visit: VisitState }) {
  const { id } = useRound();
  const { point, level, purge } = visit;
  if (point.type !== 'well' || !purge) return <p>A tap is not purged.</p>;
  const agreed = level?.agreed ?? null;
  const mark = point.well.measuringPoints.find((one) => one.name === agreed?.measuringPoint);
  return (
    <div className="stack-wide">
      <VisitHead visit={visit} />
      <div className="halves">
        <div className="picture">
          {agreed && mark ? (
            <WellSection
              well={point.well}
              mark={mark}
              depth={agreed.depth}
              pumping={purge.ended ? null : purge.pumpingLevel}
              purge={purge}
            />
          ) : (
            <Empty title={level?.leftOut ? 'The level was left out' : 'The level is not read yet'}>
              <p>{level?.leftOut?.reason ?? 'A volume follows from the water column: two readings of the level must agree.'}</p>
              <Link to={roomPath(id, 'level', visit.id)}>To the level</Link>
            </Empty>
          )}
        </div>
        <div className="ask">
          {!purge.ended && <Cautions point={point} at="purge" />}
          {purge.setUp ? <Purging visit={visit} point={point} purge={purge} /> : <SetUpForm visit={visit} point={point} />}
        </div>
      </div>
      {purge.setUp && <Sets purge={purge} atRest={agreed} />}
    </div>
  );
}

function Purging({ visit, point, purge }: { visit: VisitState; point: WellPoint; purge: PurgeState }) {
  const {
    units: {
      volume: [unit, decimals],
      depth: [depthUnit, depthDecimals],
    },
  } = useUnitSystem();
  const setUp = purge.setUp!;
  const { aim } = setUp;
  const short = aim ? aim.target.value - purge.pumped : 0;
  return (
    <>
      <Verdict purge={purge} left={short} />
      {purge.ready && !purge.ended && <End visit={visit} purge={purge} />}
      {purge.ended ? (
        <Ended visit={visit} purge={purge} />
      ) : (
        <Checked kind="probe">
          <SetForm visit={visit} setUp={setUp} />
        </Checked>
      )}
      <Findings of={purge.findings} />
      <div className="figures">
        <div className="figure">
          <span className="soft small">Pumped</span>
          <span className="value">
            {showNumber(fromBase(purge.pumped, unit), decimals)}
            <span className="unit">{unitLabel(unit)}</span>
          </span>
          <span className="small soft">{aim ? `${showNumber(purge.volumesDone, 1)} of ${aim.volumes} volumes` : setUp.method.title}</span>
        </div>
        {aim && <Figure label="To remove" of={aim.target} unit={unit} decimals={decimals} />}
        {aim && <Figure label="One volume" of={aim.oneVolume} unit={unit} decimals={decimals} />}
        <div className="figure">
          <span className="soft small">Drawdown</span>
          <span className="value">
            {purge.drawdown === null ? (
              '–'
            ) : (
              <>
                {showNumber(fromBase(purge.drawdown, depthUnit), depthDecimals)}
                <span className="unit">{unitLabel(depthUnit)}</span>
              </>
            )}
          </span>
        </div>
      </div>
      {purge.stability && (
        <section>
          <h2>{setUp.rule?.name}</h2>
          <Bands of={purge.stability} />
        </section>
      )}
      {!purge.ended && !purge.ready && <End visit={visit} purge={purge} />}
      {!purge.ended && (
        <details>
          <summary>Change the method or the criterion</summary>
          <SetUpForm visit={visit} point={point} />
        </details>
      )}
    </>
  );
}

function Verdict({ purge, left }: { purge: PurgeState; left: number }) {
  const {
    units: {
      volume: [unit, decimals],
    },
  } = useUnitSystem();
  const names = purge.stability?.heldUpBy.map((verdict) => inText(verdict.parameter)) ?? [];
  if (purge.ready)
    return (
      <p className="word tone-good" style={{ fontSize: 26 }}>
        <Mark kind="good" size={26} />
        {purge.setUp?.aim ? `Stable, and ${showNumber(purge.volumesDone, 1)} volumes out` : 'Stable'}
      </p>
    );
  const parts = [
    left > 1e-9 ? `${show(left, unit, decimals)} to go` : null,
    names.length > 0 ? `held up by ${names.join(', ')}` : null,
    purge.stability?.stable === false && names.length === 0 ? 'more sets are needed' : null,
  ].filter(Boolean);
  return (
    <p className="word tone-question" style={{ fontSize: 26 }}>
      <Mark kind="question" size={26} />
      Not yet: {parts.join('; ')}
    </p>
  );
}

export const PurgePage = atVisit(PurgeAt);
