import {
  clockStarted,
  departs,
  misfitAnswer,
  runGivenUp,
  runThatFills,
  stepDone,
  stepSkipped,
  stopsOf,
  type RunStep,
  type Step,
  type StepAnswer,
} from '@fonte/core/tap';
import { sayMisfit, type VisitState } from '@fonte/core/round';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';
import { useNow } from '../time/useNow.ts';
import { useSettled } from '../time/useSettled.ts';
import { numberError } from '../units/TypedField.tsx';
import { useDraft } from '../units/useDraft.ts';
import { Reason } from './Answers.tsx';
import { StepBody, type StepDraft } from './StepBody.tsx';

function answerFrom({ act }: Step, draft: StepDraft): StepAnswer {
  switch (act.type) {
    case 'checks': {
      const said = (is: boolean) => act.items.filter((item) => draft.checks[item.id] === is).map((item) => item.id);
      return { type: 'checks', yes: said(true), no: said(false) };
    }
    case 'choose':
      return { type: 'choose', option: draft.option };
    case 'measure':
      return { type: 'measure', reading: draft.reading };
    default:
      return { type: act.type };
  }
}

/** What else than the answer a person may be about to say, each with a reason. */
const detours = {
  skip: { about: 'This step is left out.', button: 'Leave it out' },
  restart: { about: 'The clock starts anew.', button: 'Start the clock anew' },
  giveUp: { about: 'The whole protocol is given up: no sample of it.', button: 'Give the protocol up' },
} as const;
type Detour = keyof typeof detours;

/** The one question of a step, its reason, and what an answer would mean before it is given. */
export function StepNow({ visit, procedure, now }: { visit: VisitState; procedure: string; now: RunStep }) {
  const { append } = useRound();
  const { step } = now;
  const [draft, setDraft, clear, entryId] = useDraft<StepDraft>(`step.${visit.id}.${procedure}.${step.id}`, {
    checks: {},
    option: '',
    reading: { text: '', unit: step.act.type === 'measure' ? step.act.unit : 'mg/L' },
    departure: '',
  });
  const [tried, setTried] = useState(false);
  const [detour, setDetour] = useState<Detour | null>(null);
  const [early, setEarly] = useState(false);
  const { busy, run, say } = useAction();
  const time = useNow();
  const settled = useSettled();
  const heading = useRef<HTMLHeadingElement>(null);
  // The button that was pressed is gone: the keyboard goes on from the new step, unless a field has taken it.
  useEffect(() => {
    if (document.activeElement === document.body) heading.current?.focus();
  }, []);
  const set = (change: Partial<StepDraft>) => setDraft({ ...draft, ...change });

  const answer = answerFrom(step, draft);
  const misfit = misfitAnswer(step, answer);
  const refused =
    step.act.type === 'measure' && numberError(draft.reading)
      ? { message: numberError(draft.reading)! }
      : step.act.type === 'choose' && draft.option === ''
        ? { message: 'Choose one.' }
        : misfit && { message: sayMisfit(misfit) };
  const stops = refused ? [] : stopsOf(step, answer, visit.point);
  const departure = refused ? null : departs(now, answer, time);
  const isRunning = step.act.type === 'clock' && now.clockFrom !== null && departure?.code === 'clock-short';
  const needsReason =
    detour !== null || (departure !== null && (step.act.type !== 'clock' || (now.clockFrom !== null && (!isRunning || early))));
  /** What changes the sample is a press of its own, never Enter in a field. */
  const isPlain = stops.length === 0 && departure === null;

  const done = () => {
    setTried(true);
    if (refused || (departure && draft.departure.trim().length < 3)) return;
    void run(async () => {
      const said = { procedure, step: step.id, answer, ...(departure ? { departure: draft.departure } : {}) };
      await append(stepDone, said, { at: visit.id, id: entryId, kept: clear });
    });
  };
  const takeDetour = () => {
    setTried(true);
    const reason = draft.departure;
    if (reason.trim().length < 3) return;
    void run(async () => {
      const options = { at: visit.id, id: entryId, kept: clear };
      if (detour === 'skip') await append(stepSkipped, { procedure, step: step.id, departure: reason }, options);
      if (detour === 'restart') await append(clockStarted, { procedure, step: step.id, reason }, options);
      if (detour === 'giveUp') await append(runGivenUp, { procedure, reason }, options);
    });
  };
  const { act } = step;
  const bottle = visit.bottles.find((candidate) => candidate.state === 'empty' && runThatFills(visit, candidate)?.procedure === procedure);

  return (
    <form
      className="step-now"
      onSubmit={(event) => {
        event.preventDefault();
        if (isPlain && settled && detour === null) done();
        else setTried(true);
      }}
      aria-label="The step now"
    >
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
      <StepBody
        visit={visit}
        procedure={procedure}
        now={now}
        draft={draft}
        set={set}
        problem={tried && refused ? refused.message : undefined}
        time={time}
        busy={busy || !settled}
        start={() => void run(() => append(clockStarted, { procedure, step: step.id }, { at: visit.id }))}
      />

      {stops.map((stop) => (
        <div key={stop.say} className={`finding ${stop.outcome === 'abandoned' ? 'stop' : 'question'}`} role="alert">
          <Mark kind={stop.outcome === 'abandoned' ? 'stop' : 'question'} />
          <p>
            <span className="strong">{stop.outcome === 'abandoned' ? 'Stop.' : 'Special sample.'}</span> {stop.say}
          </p>
          <p className="small">{stop.advice}</p>
        </div>
      ))}
      {needsReason && (
        <Reason
          value={draft.departure}
          onChange={(value) => set({ departure: value })}
          about={detour ? detours[detour].about : departure ? sayMisfit(departure) : ''}
          missing={tried && draft.departure.trim().length < 3}
        />
      )}
      {tried && refused && act.type !== 'measure' && <p className="field-error">{refused.message}</p>}
      <Said say={say} />
      {!(act.type === 'fill' && bottle) && (
        <div className="row">
          {detour ? (
            <>
              <Button danger={detour !== 'restart'} size="large" loading={busy} onClick={takeDetour}>
                {detours[detour].button}
              </Button>
              <Button size="large" onClick={() => setDetour(null)}>
                Back
              </Button>
            </>
          ) : (
            <>
              {isRunning && !early && (
                <Button size="large" onClick={() => setEarly(true)}>
                  Stop early
                </Button>
              )}
              {(act.type !== 'clock' || (now.clockFrom !== null && (!isRunning || early))) && (
                <Button
                  type={isPlain ? 'primary' : 'default'}
                  size="large"
                  htmlType={isPlain ? 'submit' : 'button'}
                  onClick={isPlain ? undefined : done}
                  loading={busy}
                  disabled={!settled}
                >
                  {stops.some((stop) => stop.outcome === 'special')
                    ? 'Go on as a special sample'
                    : departure
                      ? 'Go on, departing from the protocol'
                      : 'Done'}
                </Button>
              )}
              {act.type === 'clock' && act.restart && now.clockFrom !== null && (
                <Button size="large" onClick={() => setDetour('restart')}>
                  {act.restart}
                </Button>
              )}
              <Button size="large" type="text" onClick={() => setDetour('skip')}>
                Leave this step out
              </Button>
              <Button size="large" type="text" onClick={() => setDetour('giveUp')}>
                Give this protocol up
              </Button>
            </>
          )}
        </div>
      )}
    </form>
  );
}
