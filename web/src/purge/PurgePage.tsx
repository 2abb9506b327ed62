import { inText } from '@fonte/core/parameters';
import { purgeWaterNames, sayCondition, type Condition, type PurgeSetUp, type PurgeState, type TroubleId } from '@fonte/core/purge';
import type { WellPoint } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { fromBase, showNumber, unitLabel } from '@fonte/core/units';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Cautions } from '../visit/Cautions.tsx';
import { Connect, Rig, useDevices } from '../devices/index.ts';
import { Empty } from '../feedback/Feedback.tsx';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { Checked } from '../prepare/index.ts';
import { WellSection } from '../level/index.ts';
import { roomPath } from '../visit/paths.ts';
import { atVisit } from '../visit/useVisit.tsx';
import { VisitHead } from '../visit/VisitNav.tsx';
import { Mark } from '../theme/Mark.tsx';
import { useNow } from '../time/useNow.ts';
import { useUnitSystem } from '../units/system.ts';
import { Figure } from '../working/Figure.tsx';
import { Compare } from './Compare.tsx';
import { Bands } from './live/Bands.tsx';
import { NextClock } from './live/NextClock.tsx';
import { SetForm } from './live/SetForm.tsx';
import { WhenStable } from './live/WhenStable.tsx';
import { Sets } from './live/Sets.tsx';
import { Happened } from './pumping/Happened.tsx';
import { Pump } from './pumping/Pump.tsx';
import { SetUpForm } from './setup/SetUpForm.tsx';
import { Decisions, Trouble } from './Troubles.tsx';
import './purge.css';
import { End, Ended } from './EndPurge.tsx';

/** Volumes out, readings holding or not, and what holds it up. */
function PurgeAt({ visit }: { visit: VisitState }) {
  const { id } = useRound();
  const { point, level, purge } = visit;
  if (point.type !== 'well' || !purge) return <p>A tap is not purged.</p>;
  const agreed = level?.agreed ?? null;
  const mark = point.well.measuringPoints.find((one) => one.name === agreed?.measuringPoint);
  return (
    <div className={`stack-wide${purge.setUp && !purge.ended ? ' live-field' : ''}`}>
      <VisitHead visit={visit} />
      <div className="halves">
        <div className="picture">
          {agreed && mark ? (
            <Live purge={purge}>
              {(now) => (
                <WellSection
                  well={point.well}
                  mark={mark}
                  depth={agreed.depth}
                  pumping={purge.ended ? null : purge.pumpingLevel}
                  purge={now}
                />
              )}
            </Live>
          ) : (
            <Empty title={level?.leftOut ? 'The level was left out' : 'The level is not read yet'}>
              <p>{level?.leftOut?.reason ?? 'A volume follows from the water column: two readings of the level must agree.'}</p>
              <Link to={roomPath(id, 'level', visit.id)}>To the level</Link>
            </Empty>
          )}
        </div>
        <div className="ask">
          {!purge.setUp && <Cautions point={point} at="purge" />}
          {purge.setUp ? (
            <Purging visit={visit} point={point} purge={purge} setUp={purge.setUp} />
          ) : (
            <SetUpForm visit={visit} point={point} />
          )}
          {purge.setUp && !purge.ended && <Cautions point={point} at="purge" />}
        </div>
      </div>
      {purge.setUp && purge.setUp.parameters.length > 0 && <Sets purge={purge} atRest={agreed} />}
    </div>
  );
}

function Purging({ visit, point, purge, setUp }: { visit: VisitState; point: WellPoint; purge: PurgeState; setUp: PurgeSetUp }) {
  const devices = useDevices(visit.id);
  const isPumped = !['running', 'none'].includes(setUp.method.id);
  return (
    <>
      <div className="live-head">
        {!purge.ended && <NextClock purge={purge} />}
        <div>
          <Live purge={purge}>{(now) => <Verdict purge={now} setUp={setUp} />}</Live>
          {!purge.ended && <WhenStable purge={purge} />}
        </div>
      </div>
      <Live purge={purge}>{(now) => now.ready && !now.ended && <End visit={visit} purge={now} />}</Live>
      {purge.ended ? (
        <Ended visit={visit} purge={purge} />
      ) : (
        setUp.parameters.length > 0 && (
          <Checked kind="probe">
            <SetForm visit={visit} purge={purge} setUp={setUp} probe={devices?.probe ?? null} />
          </Checked>
        )
      )}
      <Findings of={purge.findings} />
      {!purge.ended && (
        <>
          {isPumped && <Pump visit={visit} purge={purge} setUp={setUp} />}
          {devices && <Rig devices={devices} />}
          <Connect visit={visit.id} point={point} rest={visit.level?.agreed?.depth ?? null} />
          <div className="row">
            <Trouble visit={visit} {...troubleOf(purge)} />
          </div>
        </>
      )}
      <Live purge={purge}>
        {(now) => (
          <>
            <Conditions of={now.conditions} />
            <Progress purge={now} setUp={setUp} />
          </>
        )}
      </Live>
      {purge.stability && (
        <section>
          <h2>{setUp.rule?.name}</h2>
          <Bands of={purge.stability} />
        </section>
      )}
      <Compare purge={purge} />
      <Decisions purge={purge} />
      <Happened purge={purge} />
      <Live purge={purge}>{(now) => !now.ended && !now.ready && <End visit={visit} purge={now} />}</Live>
      {!(purge.ended && setUp.method.id !== 'none') && (
        <details>
          <summary>Change the method or the criterion</summary>
          <SetUpForm visit={visit} point={point} />
        </details>
      )}
    </>
  );
}

/** What hangs on what is out by now: while the pump runs it goes on with flow and time, between the sets as well. */
function Live({ purge, children }: { purge: PurgeState; children: (now: PurgeState) => ReactNode }) {
  const time = useNow();
  return children(purge.ended ? purge : purge.at(time));
}

/** What has visibly gone wrong, so that its ways on are offered at once. */
function troubleOf({ findings, conditions }: PurgeState): { about?: TroubleId; open?: string } {
  if (findings.some(({ code }) => code === 'five-volumes'))
    return { about: 'five-volumes', open: 'Decide: five volumes out, and not stable' };
  if (conditions.some(({ code, met }) => code === 'drawdown-small' && !met))
    return { about: 'drawdown', open: 'Decide: the level falls too far' };
  return {};
}

/** What the method asks for, each met or not. */
function Conditions({ of }: { of: readonly Condition[] }) {
  if (of.length === 0) return null;
  return (
    <ul className="plain conditions" aria-label="What the method asks for">
      {of.map((one) => (
        <li key={one.code} className={`word tone-${one.met ? 'good' : 'note'}`}>
          <Mark kind={one.met ? 'good' : 'open'} size={15} />
          {sayCondition(one)}
        </li>
      ))}
    </ul>
  );
}

/** What is out, what is to be removed, and how far the level is down. */
function Progress({ purge, setUp: { aim, method, chosen } }: { purge: PurgeState; setUp: PurgeSetUp }) {
  const water = 'water' in chosen ? chosen.water : undefined;
  const isCounting = purge.pumping.since !== null && purge.pumping.flow !== null && !purge.ended;
  const {
    units: {
      volume: [unit, decimals],
      depth: [depthUnit, depthDecimals],
    },
  } = useUnitSystem();
  return (
    <div className="figures">
      <div className="figure">
        <span className="soft small">Pumped</span>
        <span className="value">
          {showNumber(fromBase(purge.pumped, unit), decimals)}
          <span className="unit">{unitLabel(unit)}</span>
        </span>
        <span className="small soft">
          {aim?.of === 'casing' ? `${showNumber(purge.volumesDone, 1)} of ${aim.volumes} volumes` : method.title}
          {isCounting ? ', by flow and time' : ''}
          {water && `; ${purgeWaterNames[water].toLowerCase()}`}
        </span>
      </div>
      {aim?.of === 'casing' && <Figure label="To remove" of={aim.target} unit={unit} decimals={decimals} />}
      {aim && (
        <Figure
          label={aim.of === 'casing' ? 'One volume' : 'Pump, tubing and cell'}
          of={aim.oneVolume}
          unit={unit}
          decimals={aim.of === 'casing' ? decimals : decimals + 1}
        />
      )}
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
  );
}

function Verdict({ purge, setUp }: { purge: PurgeState; setUp: PurgeSetUp }) {
  const heldUpBy = purge.stability?.heldUpBy ?? [];
  // What has too few sets has not moved: more of them are needed.
  const names = heldUpBy.filter(({ state }) => state !== 'short').map((verdict) => inText(verdict.parameter));
  if (setUp.method.id === 'none')
    return (
      <p className="word tone-question purge-verdict">
        {'sampler' in setUp.chosen && setUp.chosen.sampler === 'passive'
          ? 'Not purged: by a passive sampler, which is noted'
          : 'Not purged: the samples are special'}
      </p>
    );
  if (purge.ready)
    return (
      <p className="word tone-good purge-verdict">
        <Mark kind="good" size={24} />
        {setUp.aim?.of === 'casing'
          ? `Stable, and ${showNumber(purge.volumesDone, 1)} volumes out`
          : setUp.method.judges
            ? 'Stable'
            : 'Ready to sample'}
      </p>
    );
  const parts = [
    ...purge.conditions.filter(({ met }) => !met).map((one) => inside(sayCondition(one))),
    names.length > 0 ? `held up by ${names.join(', ')}` : null,
    heldUpBy.some(({ state }) => state === 'short') ? 'more sets are needed' : null,
  ].filter(Boolean);
  return (
    <p className="word tone-question purge-verdict">
      <Mark kind="question" size={24} />
      Not yet: {parts.join('; ')}
    </p>
  );
}

const inside = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

export const PurgePage = atVisit(PurgeAt);
