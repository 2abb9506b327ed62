import {
  clockStarted,
  departs,
  misfitAnswer,
  stepDone,
  stepSkipped,
  stopsOf,
  type RunStep,
  type Step,
  type StepAnswer,
} from '@fonte/core/tap';
import { isFilledByProtocol, sayMisfit, type VisitState } from '@fonte/core/round';
import type { Typed } from '@fonte/core/units';
import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { Said } from '../book/Said.tsx';
import { useAction } from '../book/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { FillNow } from '../fill/FillNow.tsx';
import { Mark } from '../theme/Mark.tsx';
import { Countdown } from '../time/Countdown.tsx';
import { useNow } from '../time/useNow.ts';
import { numberError, TypedField } from '../units/TypedField.tsx';
import { useDraft } from '../units/useDraft.ts';
import { Choices, Reason } from './Answers.tsx';

interface Draft {
  checks: Record<string, boolean>;
  option: string;
  reading: Typed;
  departure: string;
}

function answerFrom({ act }: Step, draft: Draft): StepAnswer {
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

/** The one question of a step, its reason, and what an answer would mean before it is given. */
export function StepNow({ visit, now }: { visit: VisitState; now: RunStep }) {
  const { append } = useRound();
  const { step } = now;
  const [draft, setDraft, clear, entryId] = useDraft<Draft>(`step.${visit.id}.${step.id}`, {
    checks: {},
    option: '',
    reading: { text: '', unit: step.act.type === 'measure' ? step.act.unit : 'mg/L' },
    departure: '',
  });
  const [tried, setTried] = useState(false);
  const [skipping, setSkipping] = useState(false);
  const [early, setEarly] = useState(false);
  const { busy, run, say } = useAction();
  const time = useNow();
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });

  const answer = answerFrom(step, draft);
  const misfit = misfitAnswer(step, answer);
  const refused =
    step.act.type === 'measure' && numberError(draft.reading)
      ? { message: numberError(draft.reading)! }
      : step.act.type === 'choose' && draft.option === ''
        ? { message: 'Choose one.' }
        : misfit && { message: sayMisfit(misfit) };
  const stops = refused || visit.point.type !== 'tap' ? [] : stopsOf(step, answer, visit.point);
  const departure = refused ? null : departs(now, answer, time);
  const isRunning = step.act.type === 'clock' && now.clockFrom !== null && departure !== null;
  const needsReason = skipping || (departure !== null && (step.act.type !== 'clock' || (isRunning && early)));

  const done = () => {
    setTried(true);
    if (refused || (departure && draft.departure.trim().length < 3)) return;
    void run(async () => {
      const said = { step: step.id, answer, ...(departure ? { departure: draft.departure } : {}) };
      await append(stepDone, said, { at: visit.id, id: entryId, kept: clear });
    });
  };
  const skip = () => {
    setTried(true);
    if (draft.departure.trim().length < 3) return;
    void run(async () => {
      await append(stepSkipped, { step: step.id, departure: draft.departure }, { at: visit.id, id: entryId, kept: clear });
    });
  };
  const { act } = step;
  const bottle = visit.bottles.find((candidate) => candidate.state === 'empty' && isFilledByProtocol(visit, candidate.rule));

  return (
    <form
      className="step-now"
      onSubmit={(event) => {
        event.preventDefault();
        done();
      }}
      aria-label="The step now"
    >
      <h2 className="step-say">{step.say}</h2>
      <p>{step.why}</p>
      {step.caution && (
        <p className="finding question">
          <Mark kind="question" />
          <span>
            <span className="strong">Caution.</span> {step.caution}
          </span>
        </p>
      )}
      {act.type === 'checks' &&
        act.items.map((item) => (
          <div key={item.id} className="check-line">
            <span>{item.label}</span>
            <Segmented
              size="large"
              aria-label={item.label}
              value={item.id in draft.checks ? (draft.checks[item.id] ? 'yes' : 'no') : ''}
              onChange={(value) => set({ checks: { ...draft.checks, [item.id]: value === 'yes' } })}
              options={[
                { value: 'yes', label: 'Yes' },
                { value: 'no', label: 'No' },
              ]}
            />
          </div>
        ))}
      {act.type === 'choose' && <Choices options={act.options} chosen={draft.option} onChoose={(option) => set({ option })} />}
      {act.type === 'measure' && (
        <TypedField
          big
          autoFocus
          label={step.say}
          value={draft.reading}
          units={[act.unit]}
          onChange={(reading) => set({ reading })}
          error={tried && refused ? refused.message : undefined}
          hint={step.source}
        />
      )}
      {act.type === 'clock' &&
        (now.clockFrom === null ? (
          <div>
            <Button
              type="primary"
              size="large"
              loading={busy}
              onClick={() => void run(() => append(clockStarted, { step: step.id }, { at: visit.id }))}
            >
              Start the clock
            </Button>{' '}
            <span className="soft">{act.usual}</span>
          </div>
        ) : (
          <Countdown big from={now.clockFrom} least={act.least} now={time} />
        ))}
      {act.type === 'fill' && bottle && <FillNow key={bottle.id} bottle={bottle} />}

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
          about={skipping ? 'This step is left out.' : (departure ?? '')}
          missing={tried && draft.departure.trim().length < 3}
        />
      )}
      {tried && refused && act.type !== 'measure' && <p className="field-error">{refused.message}</p>}
      <Said say={say} />
      {!(act.type === 'fill' && bottle) && (
        <div className="row">
          {skipping ? (
            <>
              <Button danger size="large" loading={busy} onClick={skip}>
                Leave it out
              </Button>
              <Button size="large" onClick={() => setSkipping(false)}>
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
                <Button type={stops.length > 0 || departure ? 'default' : 'primary'} size="large" htmlType="submit" loading={busy}>
                  {stops.some((stop) => stop.outcome === 'special')
                    ? 'Go on as a special sample'
                    : departure
                      ? 'Go on, departing from the protocol'
                      : 'Done'}
                </Button>
              )}
              <Button size="large" type="text" onClick={() => setSkipping(true)}>
                Leave this step out
              </Button>
            </>
          )}
        </div>
      )}
    </form>
  );
}
