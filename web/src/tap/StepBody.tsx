import { runThatFills, type RunStep } from '@fonte/core/tap';
import type { VisitState } from '@fonte/core/round';
import type { Typed } from '@fonte/core/units';
import { Button, Segmented } from 'antd';
import { FillNow } from '../fill/index.ts';
import { Countdown } from '../time/Countdown.tsx';
import { TypedField } from '../units/TypedField.tsx';
import { Choices } from './Answers.tsx';

/** What is being answered to a step. */
export interface StepDraft {
  checks: Record<string, boolean>;
  option: string;
  reading: Typed;
  departure: string;
}

interface Props {
  visit: VisitState;
  procedure: string;
  now: RunStep;
  draft: StepDraft;
  set: (change: Partial<StepDraft>) => void;
  /** What is wrong with the answer, once it was tried to be given. */
  problem: string | undefined;
  /** ms since 1970 in UTC. */
  time: number;
  busy: boolean;
  /** Starts the clock of the step. */
  start: () => void;
}

/** What a step asks for: checks, a choice, a number, a clock, or bottles to fill. */
export function StepBody({ visit, procedure, now, draft, set, problem, time, busy, start }: Props) {
  const { step } = now;
  const { act } = step;
  const bottle = visit.bottles.find((candidate) => candidate.state === 'empty' && runThatFills(visit, candidate)?.procedure === procedure);
  return (
    <>
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
          error={problem}
          hint={step.source}
        />
      )}
      {act.type === 'clock' &&
        (now.clockFrom === null ? (
          <div>
            <Button type="primary" size="large" disabled={busy} onClick={start}>
              Start the clock
            </Button>{' '}
            <span className="soft">{act.usual}</span>
          </div>
        ) : (
          <Countdown big from={now.clockFrom} least={act.least} most={act.most} now={time} />
        ))}
      {act.type === 'fill' && bottle && <FillNow key={bottle.id} bottle={bottle} />}
    </>
  );
}
