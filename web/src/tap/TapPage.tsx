import { flushOf, isOver, runStarted, runThatFills, saySample, type DueRun, type RunState } from '@fonte/core/tap';
import { sampleNow, type SampleNow, type VisitState } from '@fonte/core/round';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { Empty } from '../feedback/Feedback.tsx';
import { May } from '../session/May.tsx';
import { useRound } from '../book/useRound.ts';
import { roomPath } from '../visit/paths.ts';
import { atVisit } from '../visit/useVisit.tsx';
import { VisitHead } from '../visit/VisitNav.tsx';
import { Mark } from '../theme/Mark.tsx';
import { showTime } from '../time/show.ts';
import { Bottles } from '../fill/index.ts';
import { useNow } from '../time/useNow.ts';
import { Reopen } from './Reopen.tsx';
import { Start } from './Start.tsx';
import { StepNow } from './StepNow.tsx';
import { StepList } from './StepList.tsx';
import './tap.css';

/** The run that the address names, else the one that is to be done, else the last. */
function chosenRun(visit: VisitState, procedure: string | undefined): DueRun | undefined {
  const runs = visit.due;
  return runs.find((one) => one.procedure === procedure) ?? runs.find(({ run }) => !run || !isOver(run)) ?? runs.at(-1);
}

/** The step now, why, its clock; what comes after; what the sample has become. */
function TapAt({ visit }: { visit: VisitState }) {
  const { procedure } = useParams();
  const due = chosenRun(visit, procedure);
  const unknown = visit.unknownRuns[0];
  const [isAgain, setAgain] = useState(false);
  return (
    <div className="stack-wide">
      <VisitHead visit={visit}>{due?.run && <SampleType visit={visit} run={due.run} />}</VisitHead>
      {due?.run && !(isAgain && mayBeginAgain(visit, due.run)) ? (
        <Running key={due.procedure} visit={visit} run={due.run} again={() => setAgain(true)} />
      ) : due ? (
        <Start visit={visit} due={due} />
      ) : unknown ? (
        <Unknown edition={unknown.edition} />
      ) : (
        <Empty title="No protocol is asked for here" />
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

const sampleSays = {
  routine: { says: 'Routine sample so far', kind: 'good' },
  special: { says: 'Special sample, not a routine one', kind: 'question' },
  invalid: { says: 'Spoilt sample: take it again', kind: 'stop' },
} as const;

/** What a sample is by everything that is known by now, the time that passes among it. */
function useSampleNow(visit: VisitState, run: RunState): SampleNow {
  const time = useNow(5000);
  return sampleNow(visit, run, time);
}

/** What the sample is so far; why stands below the step. */
function SampleType({ visit, run }: { visit: VisitState; run: RunState }) {
  const { says, kind } = sampleSays[useSampleNow(visit, run).sample];
  return (
    <p className={`word tone-${kind}`}>
      <Mark kind={kind} />
      {says}
    </p>
  );
}

/** Why the sample is what it is: gear, place, departures, stops, time; and what helps while nothing is filled. */
function Reasons({ visit, run }: { visit: VisitState; run: RunState }) {
  const { reasons } = useSampleNow(visit, run);
  if (reasons.length === 0) return null;
  const isStale = reasons.some(({ code }) => code === 'stale');
  const isOpen = visit.bottles.every((bottle) => bottle.filledAt === null || runThatFills(visit, bottle)?.procedure !== run.procedure);
  const flush = flushOf(run)?.step;
  return (
    <section className="stack">
      <h2>About this sample</h2>
      <ul className="plain">
        {reasons.map((reason) => (
          <li key={JSON.stringify(reason)}>{saySample(reason)}</li>
        ))}
      </ul>
      {isStale && isOpen && flush && run.givenUp === null && (
        <div className="finding question" role="alert">
          <Mark kind="question" />
          <p>Flush again before you fill: then it can still be a routine sample.</p>
          <Reopen visit={visit} procedure={run.procedure} step={flush} open="Flush again" type="default" />
        </div>
      )}
    </section>
  );
}

/** What came to nothing may be begun again while none of its bottles was filled. */
function mayBeginAgain(visit: VisitState, run: RunState): boolean {
  const own = visit.bottles.filter((bottle) => runThatFills(visit, bottle)?.procedure === run.procedure);
  return (run.abandoned || run.givenUp !== null) && own.every(({ filledAt }) => filledAt === null);
}

function Running({ visit, run, again }: { visit: VisitState; run: RunState; again: () => void }) {
  const { id, round } = useRound();
  return (
    <div className="tap">
      <div className="ask">
        <p className="hidden" role="status">
          {run.now ? `Now: ${run.now.step.say}` : ''}
        </p>
        {run.now && <StepNow key={`${run.now.step.id} ${run.now.restarts.length}`} visit={visit} procedure={run.procedure} now={run.now} />}
        {run.abandoned && <Abandoned run={run} />}
        {run.givenUp !== null && (
          <section className="finding question">
            <Mark kind="question" />
            <p>
              <span className="strong">Given up.</span> {run.givenUp}
            </p>
          </section>
        )}
        {mayBeginAgain(visit, run) && (
          <May do={runStarted}>
            <div>
              <Button size="large" onClick={again}>
                Begin it again
              </Button>
            </div>
          </May>
        )}
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
        <Reasons visit={visit} run={run} />
        <Restarts run={run} />
        <Bottles visit={visit} />
      </div>
      <aside>
        <h2>{run.protocol.title}</h2>
        <p className="soft small">Started {showTime(run.startedAt, round.plan.zone)}</p>
        <StepList visit={visit} run={run} />
      </aside>
    </div>
  );
}

/** How often a clock began anew, and why: a note beside the sample, no departure from the protocol. */
function Restarts({ run }: { run: RunState }) {
  const restarted = run.steps.filter((step) => step.restarts.length > 0);
  if (restarted.length === 0) return null;
  return (
    <section className="stack">
      <h2>Started anew</h2>
      <ul className="plain">
        {restarted.map(({ step, restarts }) => (
          <li key={step.id}>
            {step.say}: {restarts.join('; ')}
          </li>
        ))}
      </ul>
    </section>
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
