import { purpose } from '@fonte/core/bottles';
import { atHome, careFor, fillFrom, sayPickUp, wordsForHome, type KitBook } from '@fonte/core/kit';
import type { VisitState } from '@fonte/core/round';
import { isOver, runStarted, runThatFills, stepSkipped, stepsFor, type Protocol } from '@fonte/core/tap';
import { Button } from 'antd';
import { useState } from 'react';
import { useRound } from '../book/useRound.ts';
import { Empty } from '../feedback/Feedback.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { StepNow } from '../tap/index.ts';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { KitBottle } from './KitBottle.tsx';
import { KitDrawing } from './KitDrawing.tsx';
import { PutOut } from './PutOut.tsx';
import { wayOf } from './ways.ts';
import './kit.css';

type Given = NonNullable<KitBook['given']>;

/** What a household sees of its kit: one step at a time, in few words, with a drawing; then where it is picked up. */
export function KitPage() {
  const { round } = useRound();
  const { given, putOut } = round.kit;
  const visit = round.visits[0];
  if (!given || !visit)
    return (
      <Empty title="There is nothing to do here now">
        <p>Whoever gave you the link has taken the kit back, or still has to say what is to be done.</p>
      </Empty>
    );
  return (
    <div className="kit">
      <div>
        <p className="soft">{round.plan.system}</p>
        <h1>{visit.point.name}</h1>
        {given.call && <p>Questions: {given.call}</p>}
      </div>
      {putOut ? <Thanks given={given} note={putOut.note} /> : <Now visit={visit} given={given} />}
    </div>
  );
}

/** What a household must not do with the bottles of its kit. */
const careAt = (visit: VisitState, given: Given) =>
  careFor(
    visit.bottles,
    visit.due.flatMap((one) => wayOf(one, given.ways) ?? []),
  );

/** What is done now. */
function Now({ visit, given }: { visit: VisitState; given: Given }) {
  const { round } = useRound();
  const time = useNow(60_000);
  const [isAnyway, setAnyway] = useState(false);
  const early = fillFrom(visit.bottles, given.pickUp, round.plan.zone);
  const isEarly = early !== null && time < early.from && !isAnyway;
  const empty = visit.bottles.filter(({ state }) => state === 'empty');
  const first = visit.bottles.every(({ filledAt }) => filledAt === null) && visit.runs.length === 0;
  if (first && isEarly) return <Wait from={early.from} hours={early.hours} pickUp={given.pickUp} goOn={() => setAnyway(true)} />;
  const due = visit.due.find(({ run }) => !run || !isOver(run));
  const way = due && wayOf(due, given.ways);
  if (due && !way)
    return (
      <Empty title="One thing is still open">
        <p>Whoever gave you the kit has to say how “{due.title}” is done. Call them.</p>
      </Empty>
    );
  if (due && !due.run) return <Begin visit={visit} procedure={due.procedure} protocol={way!} caution={careAt(visit, given).caution} />;
  // What is poured over from a bottle that came with it is filled before the water of the tap is about.
  const blank = empty.find((bottle) => !purpose(bottle.purpose).isWater);
  if (blank) return <KitBottle key={blank.id} bottle={blank} />;
  if (due?.run) return <Step visit={visit} procedure={due.procedure} />;
  // What a run was to fill and did not is asked for no more.
  const free = empty.find((bottle) => !runThatFills(visit, bottle));
  if (free) return <KitBottle key={free.id} bottle={free} />;
  if (visit.bottles.every(({ filledAt }) => filledAt === null))
    return (
      <Empty title="No bottle was filled">
        <p>Call whoever gave you the kit: they say what to do.</p>
      </Empty>
    );
  return <PutOut pickUp={given.pickUp} care={careAt(visit, given)} />;
}

/** What is filled now would be too old when it comes to the lab: better later. */
function Wait({ from, hours, pickUp, goOn }: { from: number; hours: number; pickUp: Given['pickUp']; goOn: () => void }) {
  const { round } = useRound();
  return (
    <section className="stack">
      <h2>Not yet</h2>
      <p>
        What you fill keeps {hours < 72 ? `${hours} hours` : `${Math.floor(hours / 24)} days`}. It is picked up {sayPickUp(pickUp)}. So
        begin on <span className="strong">{showMoment(from, round.plan.zone)}</span> or later.
      </p>
      <p className="soft">Leave this page on your phone: it opens without a signal, too.</p>
      <div>
        <Button size="large" onClick={goOn}>
          Begin all the same
        </Button>
      </div>
    </section>
  );
}

interface BeginProps {
  visit: VisitState;
  procedure: string;
  protocol: Protocol;
  caution: string | null;
}

/** What it is for, how long it takes and all that will come, before anything is begun. */
function Begin({ visit, procedure, protocol, caution }: BeginProps) {
  const { append } = useRound();
  const { busy, run, say } = useAction();
  const words = wordsForHome(protocol);
  const begin = () => run(() => append(runStarted, { procedure, protocol: protocol.id, edition: protocol.edition }, { at: visit.id }));
  return (
    <section className="stack">
      <h2>{words?.title ?? protocol.title}</h2>
      {words && <p>It takes {words.takes}. Read all of it first; it can be done once.</p>}
      <ol className="plain kit-steps">
        {stepsFor(protocol, visit.point).map((one) => {
          const { step, few } = atHome(protocol, one);
          return few && !few.leftOut ? (
            <li key={step.id}>
              <KitDrawing of={few.picture} size={64} />
              <span>
                <span className="strong">{step.say}</span>
                <br />
                <span className="small">{few.why}</span>
              </span>
            </li>
          ) : null;
        })}
      </ol>
      {caution && <p className="finding question">{caution}</p>}
      <Said say={say} />
      <div>
        <Button type="primary" size="large" loading={busy} onClick={() => void begin()}>
          Begin
        </Button>
      </div>
    </section>
  );
}

const waysOut = { skip: 'We cannot do this', giveUp: 'We cannot take this sample' };

/** The step now, as a household reads it. */
function Step({ visit, procedure }: { visit: VisitState; procedure: string }) {
  const { append } = useRound();
  const { busy, run: act, say } = useAction();
  const run = visit.runs.find((one) => one.procedure === procedure)!;
  if (!run.now) return null;
  const { step, few } = atHome(run.protocol, run.now.step);
  const at = run.steps.findIndex((one) => one.step.id === step.id) + 1;
  const leftOut = few?.leftOut;
  return (
    <div className="stack">
      <p className="soft small">
        Step {at} of {run.steps.length}
      </p>
      {few && <KitDrawing of={few.picture} size={140} />}
      {leftOut ? (
        <section className="stack" aria-label="The step now">
          <h2 className="step-say">{step.say}</h2>
          <p>{step.why}</p>
          <Said say={say} />
          <div>
            <Button
              type="primary"
              size="large"
              loading={busy}
              onClick={() => void act(() => append(stepSkipped, { procedure, step: step.id, departure: leftOut }, { at: visit.id }))}
            >
              Go on
            </Button>
          </div>
        </section>
      ) : (
        <StepNow
          key={`${step.id} ${run.now.restarts.length}`}
          visit={visit}
          procedure={procedure}
          now={{ ...run.now, step }}
          fill={(bottle) => <KitBottle key={bottle.id} bottle={bottle} isTold />}
          out={waysOut}
        />
      )}
    </div>
  );
}

function Thanks({ given, note }: { given: Given; note: string }) {
  return (
    <section className="stack">
      <p className="word tone-good" style={{ fontSize: 26 }}>
        <Mark kind="good" size={26} />
        Thank you. That was all
      </p>
      <p>It is picked up {sayPickUp(given.pickUp)}.</p>
      {note && <p className="soft">You told us: {note}</p>}
      <p className="soft small">You can close this page. What you wrote is sent as soon as this phone has a signal.</p>
    </section>
  );
}
