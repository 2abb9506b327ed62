import {
  clockStarted,
  departs,
  effectOf,
  flushOf,
  questionClock,
  readableFrom,
  misfitAnswer,
  misfitBlank,
  saysBlank,
  questionStep,
  runThatFills,
  stepDone,
  stopsOf,
  stubStep,
  type RunStep,
  type StepAnswer,
} from '@fonte/core/tap';
import { fillGate, flushesBeside, sayMisfit, type BottleState, type VisitState } from '@fonte/core/round';
import { Button } from 'antd';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { questionBesideTests } from '@fonte/core/fieldtests';
import { TakeOver } from '../fieldtests/index.ts';
import { FillNow } from '../fill/index.ts';
import { instrumentFor } from '@fonte/core/prepare';
import { Gate, Unproven, useGate } from '../prepare/index.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import type { FieldProblem } from '../form/values.ts';
import { Mark } from '../theme/Mark.tsx';
import { May } from '../session/May.tsx';
import { useNow } from '../time/useNow.ts';
import { useSettled } from '../time/useSettled.ts';
import { numberError } from '../units/TypedField.tsx';
import { useDraft } from '../units/useDraft.ts';
import { useInSight } from '../visit/useInSight.ts';
import { Stubs } from './Stub.tsx';
import { detours, effectSays, Warning, type Detour } from './departures.tsx';
import './tap.css';
import { answerFrom, StepClock, StepFields, unanswered, type StepDraft } from './StepBody.tsx';

const usualWaysOut = { skip: 'Leave this step out', giveUp: 'Give this protocol up' };

/** The one question of a step, its reason, and what an answer would mean before it is given. */
export function StepNow({
  visit,
  procedure,
  now,
  fill = (bottle) => <FillNow key={bottle.id} bottle={bottle} />,
  out = usualWaysOut,
}: {
  visit: VisitState;
  procedure: string;
  now: RunStep;
  /** What stands at a step at which a bottle is filled. */
  fill?: (bottle: BottleState) => ReactNode;
  /** What the ways out of it are called. */
  out?: { skip: string; giveUp: string };
}) {
  const { append, round } = useRound();
  const { step } = now;
  const { act } = step;
  // Kept like what is typed: a reason that was begun is about something.
  const [turned, setDetour, clearDetour] = useDraft<Detour | ''>(`detour.${visit.id}.${procedure}.${step.id}`, '');
  const detour = turned === '' ? null : turned;
  const [isEarly, setEarly] = useState(false);
  const { busy, run, say } = useAction();
  const time = useNow();
  const settled = useSettled();
  const heading = useRef<HTMLHeadingElement>(null);
  // The button that was pressed is gone: the keyboard goes on from the new step, unless a field has taken it.
  useEffect(() => {
    if (document.activeElement === document.body) heading.current?.focus();
  }, []);

  useInSight(heading);

  const runHere = visit.runs.find((one) => one.procedure === procedure);
  /** Where an interrupted run begins again, if it was flushed. */
  const flush = runHere ? (flushOf(runHere)?.step ?? null) : null;
  const measured = act.type === 'measure' || act.type === 'constant' ? act.parameter : null;
  const reads = { kind: measured && instrumentFor(measured), of: measured ? [measured] : [] };
  // Leaving the step out, or giving up, needs no instrument.
  const gate = useGate(reads);
  const isShut = gate !== 'open' && !detour;
  const problemOf = (draft: StepDraft): FieldProblem | null => {
    if ((act.type === 'measure' || act.type === 'since') && numberError(draft.reading))
      return { path: 'reading', message: numberError(draft.reading)! };
    // What is typed and not added is no reading yet, and is not left behind either.
    if (act.type === 'constant' && (draft.reading.text.trim() !== '' || draft.readings.length === 0))
      return { path: 'reading', message: draft.readings.length === 0 ? 'Measure, and add the reading.' : 'Add the reading, or clear it.' };
    if (act.type === 'choose' && draft.option === '') return { path: 'option', message: 'Choose one.' };
    const said = answerFrom(step, draft);
    const misfit = misfitAnswer(step, said) ?? misfitBlank(step, said, () => round.bottles, saysBlank);
    const path = act.type === 'measure' ? 'reading' : act.type === 'constant' ? 'readings' : 'answer';
    return misfit && { path, message: sayMisfit(misfit) };
  };
  const { kind } = detour ? detours[detour] : { kind: stepDone };
  const form = useEntryForm<StepDraft, unknown>({
    keep: `step.${visit.id}.${procedure}.${step.id}`,
    initial: unanswered(step),
    schema: kind.payload,
    read: (draft) => {
      const reason = draft.departure;
      const at = detour === 'flush' ? flush!.id : step.id;
      if (detour) return { value: { procedure, step: at, departure: reason, reason }, problems: [] };
      const problem = problemOf(draft);
      const answer = answerFrom(step, draft);
      const isDeparture = !problem && departs(now, answer, time) !== null;
      // A number that was changed after it was taken over is nobody's but the typist's.
      const { taken, reading } = draft;
      const test = taken && answer.type === 'measure' && taken.text === reading.text ? { test: taken.test } : {};
      const value = { procedure, step: step.id, answer, ...test, ...(isDeparture ? { departure: reason } : {}) };
      return { value, problems: problem ? [problem] : [] };
    },
    // An odd number is asked about before it is written: 20 for 0.20, 45 °C at a cold tap.
    ask: (_, draft) => {
      if (detour) return [];
      const answer = answerFrom(step, draft);
      const since = runHere ? readableFrom(runHere) : 0;
      return [...questionStep(step, answer, runHere), ...questionClock(now, time), ...questionBesideTests(act, answer, visit.tests, since)];
    },
    at: (path) =>
      path === 'reason' ? 'departure' : path.replace(/^answer\.(?:lasted|reading)\b/, 'reading').replace(/^answer\.readings\b/, 'readings'),
    write: async (payload, { id, kept }) => {
      await append(kind as unknown as typeof stepDone, payload as never, { at: visit.id, id, kept });
      clearDetour();
    },
  });
  /** One clock for all taps of a room. */
  const startAll = async () => {
    await append(clockStarted, { procedure, step: step.id }, { at: visit.id });
    for (const one of flushesBeside(round, visit))
      await append(clockStarted, { procedure: one.procedure, step: one.step }, { at: one.visit });
  };
  const problem = problemOf(form.values);
  const answer = answerFrom(step, form.values);
  const freshFrom = runHere ? readableFrom(runHere) : 0;
  const before = new Map<string, StepAnswer>(
    runHere?.steps.flatMap((one) => (one.answer ? [[one.step.id, one.answer] as const] : [])) ?? [],
  );
  const stops = problem ? [] : stopsOf(step, answer, visit.point, before);
  const departure = problem ? null : departs(now, answer, time);
  const isStarted = act.type !== 'clock' || now.clockFrom !== null;
  // Nothing is said of a clock that runs or a count that goes on until somebody wants to end it.
  const isRunning = isStarted && (departure?.code === 'clock-short' || departure?.code === 'too-few-times');
  const mayFinish = isStarted && (!isRunning || isEarly);
  /** What changes the sample is a press of its own, never Enter in a field. */
  const isPlain = !detour && stops.length === 0 && departure === null;
  const bottle = visit.bottles.find(
    (candidate) =>
      candidate.state === 'empty' && runThatFills(visit, candidate)?.procedure === procedure && fillGate(visit, candidate) === null,
  );
  const effect = effectSays[effectOf(step, detour === 'skip' ? null : answer, visit.point, !detour && departure?.code === 'clock-over')];
  const isLess = detour === 'skip' || (!detour && departure !== null);
  const about = `${detour ? detours[detour].about : departure ? sayMisfit(departure) : ''}${isLess ? ` ${effect.says}` : ''}`;
  const goOn = stops.some((stop) => stop.outcome === 'invalid')
    ? effectSays.invalid.button
    : stops.some((stop) => stop.outcome === 'special')
      ? effectSays.special.button
      : departure
        ? effect.button
        : 'Done';

  return (
    <section className="step-now" aria-label="The step now">
      <h2 className="step-say" tabIndex={-1} ref={heading}>
        {step.say}
      </h2>
      <p>{step.why}</p>
      {step.caution && (
        <p className="finding question">
          <Mark kind="question" />
          <span>
            <span className="strong">Caution.</span> {step.caution}
          </span>
        </p>
      )}
      <May do={clockStarted}>
        <StepClock
          now={now}
          time={time}
          busy={busy || !settled}
          start={() => void run(() => append(clockStarted, { procedure, step: step.id }, { at: visit.id }))}
          beside={act.type === 'clock' && act.restart === undefined ? flushesBeside(round, visit) : []}
          startAll={() => void run(startAll)}
        />
      </May>
      <Said say={say} />
      {isShut && <Gate gate={gate} {...reads} />}
      {!detour && <Unproven {...reads} />}
      {step.id === stubStep && <Stubs bottles={visit.bottles.filter((one) => runThatFills(visit, one)?.procedure === procedure)} />}
      {act.type === 'fill' && bottle && fill(bottle)}
      {!(act.type === 'fill' && bottle) && (
        <EntryForm
          of={form}
          {...(detour ? { submit: detours[detour].button } : mayFinish && !isShut ? { submit: goOn } : {})}
          tone={isPlain ? 'primary' : detour === 'skip' || detour === 'giveUp' ? 'danger' : 'default'}
          enter={isPlain || detour === 'restart' || detour === 'flush' ? 'writes' : 'nothing'}
          disabled={!settled}
          {...(detour ? { leave: { says: 'Back', by: clearDetour } } : {})}
          beside={
            detour === 'flush' ? (
              <Button size="large" type="text" onClick={() => setDetour('restart')}>
                Restart the clock only
              </Button>
            ) : detour ? null : (
              <>
                {isRunning && !isEarly && (
                  <Button size="large" onClick={() => setEarly(true)}>
                    {act.type === 'clock' ? 'Stop early' : 'Stop counting'}
                  </Button>
                )}
                {act.type === 'clock' && now.clockFrom !== null && (
                  <>
                    {act.restart && (
                      <Button size="large" onClick={() => setDetour(flush ? 'flush' : 'restart')}>
                        {act.restart}
                      </Button>
                    )}
                    <Button size="large" type="text" onClick={() => setDetour('restart')}>
                      Restart the clock
                    </Button>
                  </>
                )}
                {!step.isNeeded && (
                  <Button size="large" type="text" onClick={() => setDetour('skip')}>
                    {out.skip}
                  </Button>
                )}
                <Button size="large" type="text" onClick={() => setDetour('giveUp')}>
                  {out.giveUp}
                </Button>
              </>
            )
          }
        >
          {!detour && !isShut && <StepFields step={step} values={form.values} set={form.set} />}
          {!detour && !isShut && act.type === 'measure' && (
            <TakeOver
              visit={visit}
              parameter={act.parameter}
              since={freshFrom}
              back={procedure}
              take={(reading, test) => form.set({ reading, taken: { test, text: reading.text } })}
            />
          )}
          {stops.map((stop) => (
            <Warning key={stop.say} stop={stop} />
          ))}
          {(detour ?? (departure && mayFinish)) && <Field name="departure" label={`${about} Say why`} />}
        </EntryForm>
      )}
    </section>
  );
}
