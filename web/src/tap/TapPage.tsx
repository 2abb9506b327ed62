import { runStarted, type RunState } from '@fonte/core/tap';
import { protocolOf, type VisitState } from '@fonte/core/round';
import { Button } from 'antd';
import { Link } from 'react-router';
import { Empty } from '../app/Feedback.tsx';
import { Said } from '../book/Said.tsx';
import { useAction } from '../book/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { roomPath } from '../round/paths.ts';
import { atVisit } from '../round/useVisit.tsx';
import { VisitHead } from '../round/VisitNav.tsx';
import { Mark } from '../theme/Mark.tsx';
import { showTime } from '../time/show.ts';
import { Bottles } from '../fill/FillPage.tsx';
import { StepNow } from './StepNow.tsx';
import { StepList } from './StepList.tsx';
import './tap.css';

/** The step now, why, its clock; what comes after; what the sample has become. */
function TapAt({ visit }: { visit: VisitState }) {
  return (
    <div className="stack-wide">
      <VisitHead visit={visit}>{visit.run && <SampleType run={visit.run} />}</VisitHead>
      {visit.run ? (
        <Running visit={visit} run={visit.run} />
      ) : visit.unknownRun ? (
        <Unknown edition={visit.unknownRun} />
      ) : (
        <Start visit={visit} />
      )}
    </div>
  );
}

/** A protocol of a newer copy of the product: its steps stand in the book, and nothing is made of them here. */
function Unknown({ edition }: { edition: string }) {
  return (
    <Empty title="This protocol is not known here">
      <p>
        The run was started with {edition}, by a newer copy of Fonte. Its steps are kept and cannot be judged here: the sample counts as a
        special one until they are. Update Fonte.
      </p>
    </Empty>
  );
}

function SampleType({ run }: { run: RunState }) {
  return run.sample === 'routine' ? (
    <p className="word tone-good">
      <Mark kind="good" />
      Routine sample so far
    </p>
  ) : (
    <p className="word tone-question">
      <Mark kind="question" />
      Special sample, not a routine one
    </p>
  );
}

function Start({ visit }: { visit: VisitState }) {
  const { append } = useRound();
  const { busy, run, say } = useAction();
  const protocol = protocolOf(visit);
  const minimum = visit.point.type === 'tap' ? visit.point.tap.residualMinimum : null;
  if (!protocol) return <Empty title="No protocol is asked for here" />;
  return (
    <section className="stack">
      <h2>{protocol.title}</h2>
      <p>
        {protocol.steps.length} steps.{' '}
        {minimum === null
          ? 'This water is not chlorinated: the residual is only recorded.'
          : `A routine sample needs at least ${minimum.toFixed(2)} mg/L free chlorine here.`}
      </p>
      <p className="soft small">{protocol.source}. Local instructions and your employer’s rules come first.</p>
      <Said say={say} />
      <div>
        <Button
          type="primary"
          size="large"
          loading={busy}
          onClick={() => void run(() => append(runStarted, { protocol: protocol.id, edition: protocol.edition }, { at: visit.id }))}
        >
          Start at the tap
        </Button>
      </div>
    </section>
  );
}

function Running({ visit, run }: { visit: VisitState; run: RunState }) {
  const { id, round } = useRound();
  return (
    <div className="tap">
      <div className="ask">
        {run.now && <StepNow key={run.now.step.id} visit={visit} now={run.now} />}
        {run.abandoned && <Abandoned run={run} />}
        {run.finished && (
          <section className="stack">
            <p className="word tone-good" style={{ fontSize: 26 }}>
              <Mark kind="good" size={26} />
              Protocol done
            </p>
            <Link className="strong" to={`/rounds/${id}`}>
              To the round
            </Link>
          </section>
        )}
        {run.departures.length > 0 && (
          <section className="stack">
            <h2>Departures</h2>
            <ul>
              {run.departures.map(({ step, reason }) => (
                <li key={step.id}>
                  {step.say}: {reason}
                </li>
              ))}
            </ul>
          </section>
        )}
        <Bottles visit={visit} />
      </div>
      <aside>
        <h2>{run.protocol.title}</h2>
        <p className="soft small">Started {showTime(run.startedAt, round.plan.zone)}</p>
        <StepList run={run} />
      </aside>
    </div>
  );
}

function Abandoned({ run }: { run: RunState }) {
  const { id } = useRound();
  const stop = run.steps.flatMap((step) => step.stops).find((one) => one.outcome === 'abandoned')!;
  return (
    <section className="finding stop">
      <Mark kind="stop" size={26} />
      <p>
        <span className="strong">No sample here.</span> {stop.say}
      </p>
      <p>{stop.advice}</p>
      <p className="small">
        <Link to={roomPath(id, 'plan', null)}>To the round</Link>
      </p>
    </section>
  );
}

export const TapPage = atVisit(TapAt);
