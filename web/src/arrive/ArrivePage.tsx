import { stopping, worstFitness } from '@fonte/core/arrive';
import { nextAtVisit, type VisitState } from '@fonte/core/round';
import { hazard } from '@fonte/core/registers';
import { Button } from 'antd';
import { useState } from 'react';
import { Navigate, useNavigate } from 'react-router';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';
import { showTime } from '../time/show.ts';
import { Seen } from '../registers/index.ts';
import { Onward } from '../visit/Onward.tsx';
import { stepPath } from '../visit/paths.ts';
import { atVisit } from '../visit/useVisit.tsx';
import { VisitHead } from '../visit/VisitNav.tsx';
import { Earlier } from './Earlier.tsx';
import { LookRound } from './LookRound.tsx';
import { Place } from './Place.tsx';
import { Restore } from './Restore.tsx';
import { Verdict } from './Verdict.tsx';
import './arrive.css';
import { OutOfUse } from '../book/OutOfUse.tsx';

/** What may hurt here as it was seen today. */
function Looked({ visit, again }: { visit: VisitState; again: () => void }) {
  const { round } = useRound();
  const risk = visit.arrival.risk!;
  const stops = stopping(risk.hazards);
  return (
    <section className="stack">
      <div className="row between">
        <p className={`word tone-${risk.left ? 'stop' : 'good'}`}>
          <Mark kind={risk.left ? 'stop' : 'good'} />
          {risk.left ? 'Left: not safe' : 'Looked round'} at {showTime(risk.at, round.plan.zone)}
        </p>
        <Button onClick={again}>Look round again</Button>
      </div>
      {risk.hazards.length > 0 && (
        <ul className="plain small">
          {risk.hazards.map((id) => (
            <li key={id}>
              <span className="strong">{hazard(id).name}.</span> {hazard(id).caution}
            </li>
          ))}
        </ul>
      )}
      {stops.length > 0 && !risk.left && <p className="finding stop small">By leave: {risk.permit}</p>}
    </section>
  );
}

/** Straight on to what comes next here, or to the next point. */
function On({ visit, isSpecial }: { visit: VisitState; isSpecial: boolean }) {
  const { id } = useRound();
  const navigate = useNavigate();
  const next = nextAtVisit(visit);
  if (!next || next.waits) return <Onward />;
  return (
    <div>
      <Button type={isSpecial ? 'default' : 'primary'} size="large" onClick={() => void navigate(stepPath(id, next))}>
        {isSpecial ? 'Go on here, not as a routine sample' : 'Go on'}
      </Button>
    </div>
  );
}

/** The first minute at a point: is it safe, is it fit, and what was odd last time. */
function ArriveAt({ visit }: { visit: VisitState }) {
  const { risk, fitness, toRestore } = visit.arrival;
  const { id } = useRound();
  const [again, setAgain] = useState<'risk' | 'place' | null>(null);
  // Whoever has just looked goes straight on to the work, unless something here wants to be read first.
  const [hasLooked, setLooked] = useState(false);
  const done = () => {
    setAgain(null);
    setLooked(true);
  };
  const isSampled = visit.analyses.length > 0;
  const asksRisk = !risk || again === 'risk';
  const asksPlace = !asksRisk && !risk.left && isSampled && (!fitness || again === 'place');
  const next = nextAtVisit(visit);
  const isPlain = worstFitness(visit.arrival.verdicts) !== 'not-fit';
  if (hasLooked && isPlain && next && !next.waits && next.room !== 'arrive') return <Navigate to={stepPath(id, next)} />;
  return (
    <div className="stack-wide">
      <VisitHead visit={visit} />
      <OutOfUse points={[visit.point]} />
      {asksRisk ? <LookRound visit={visit} done={done} /> : <Looked visit={visit} again={() => setAgain('risk')} />}
      {asksPlace && <Place visit={visit} done={done} />}
      {!asksRisk && !asksPlace && (
        <>
          {fitness && <Verdict visit={visit} again={() => setAgain('place')} />}
          {toRestore.length > 0 && <Restore visit={visit} isTime={next?.code === 'restore'} />}
          {next?.code !== 'restore' && <On visit={visit} isSpecial={!isPlain} />}
        </>
      )}
      <Earlier visit={visit} />
      <Seen point={visit.point.id} />
    </div>
  );
}

export const ArrivePage = atVisit(ArriveAt);
