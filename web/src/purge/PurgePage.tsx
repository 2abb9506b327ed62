import { inText } from '@fonte/core/parameters';
import { type PurgeState } from '@fonte/core/purge';
import type { WellPoint } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { fromBase, show, showNumber, unitLabel } from '@fonte/core/units';
import { Link } from 'react-router';
import { Empty } from '../app/Feedback.tsx';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { WellSection } from '../level/WellSection.tsx';
import { roomPath } from '../round/paths.ts';
import { atVisit } from '../round/useVisit.tsx';
import { VisitHead } from '../round/VisitNav.tsx';
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
  if (!level?.agreed) {
    return (
      <div className="stack-wide">
        <VisitHead visit={visit} />
        <Empty title="The level comes first">
          <p>The volume follows from the water column: two readings of the level must agree.</p>
          <Link to={roomPath(id, 'level', visit.id)}>Measure the level</Link>
        </Empty>
      </div>
    );
  }
  const mark = point.well.measuringPoints.find((one) => one.name === level.agreed!.measuringPoint)!;
  return (
    <div className="stack-wide">
      <VisitHead visit={visit} />
      <div className="halves">
        <div className="picture">
          <WellSection
            well={point.well}
            mark={mark}
            depth={level.agreed.depth}
            pumping={purge.ended ? null : purge.pumpingLevel}
            purge={purge}
          />
        </div>
        <div className="ask">
          {purge.setUp ? <Purging visit={visit} point={point} purge={purge} /> : <SetUpForm visit={visit} point={point} />}
        </div>
      </div>
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
  const short = setUp.target.value - purge.pumped;
  return (
    <>
      <Verdict purge={purge} left={short} />
      <div className="figures">
        <div className="figure">
          <span className="soft small">Pumped</span>
          <span className="value">
            {showNumber(fromBase(purge.pumped, unit), decimals)}
            <span className="unit">{unitLabel(unit)}</span>
          </span>
          <span className="small soft">
            {showNumber(purge.volumesDone, 1)} of {setUp.volumes} volumes
          </span>
        </div>
        <Figure label="To remove" of={setUp.target} unit={unit} decimals={decimals} />
        <Figure label="One volume" of={setUp.oneVolume} unit={unit} decimals={decimals} />
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
      <Findings of={purge.findings} />
      {purge.ended ? (
        <Ended visit={visit} purge={purge} />
      ) : (
        <>
          <SetForm visit={visit} setUp={setUp} />
          <End visit={visit} purge={purge} />
        </>
      )}
      <Sets purge={purge} />
      {!purge.ended && (
        <details>
          <summary>Change casing, volumes or criterion</summary>
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
        Stable, and {showNumber(purge.volumesDone, 1)} volumes out
      </p>
    );
  const parts = [
    left > 1e-9 ? `${show(left, unit, decimals)} to go` : null,
    names.length > 0 ? `held up by ${names.join(', ')}` : null,
  ].filter(Boolean);
  return (
    <p className="word tone-question" style={{ fontSize: 26 }}>
      <Mark kind="question" size={26} />
      Not yet: {parts.join('; ')}
    </p>
  );
}

export const PurgePage = atVisit(PurgeAt);
