import type { RunStep, Step, StepAnswer } from '@fonte/core/tap';
import type { Typed } from '@fonte/core/units';
import { Button, Segmented } from 'antd';
import { Field } from '../form/Field.tsx';
import { Countdown } from '../time/Countdown.tsx';
import { TypedInput } from '../units/TypedField.tsx';
import { Choices } from './Choices.tsx';

/** What is being answered to a step. */
export interface StepDraft {
  /** Empty where it was not answered yet: nothing is chosen beforehand. */
  checks: Record<string, 'yes' | 'no' | ''>;
  option: string;
  reading: Typed;
  departure: string;
}

/** A step that nobody has answered. */
export const unanswered = ({ act }: Step): StepDraft => ({
  checks: act.type === 'checks' ? Object.fromEntries(act.items.map((item) => [item.id, ''])) : {},
  option: '',
  reading: { text: '', unit: act.type === 'measure' ? act.unit : 'mg/L' },
  departure: '',
});

export function answerFrom({ act }: Step, draft: StepDraft): StepAnswer {
  switch (act.type) {
    case 'checks': {
      const said = (is: 'yes' | 'no') => act.items.filter((item) => draft.checks[item.id] === is).map((item) => item.id);
      return { type: 'checks', yes: said('yes'), no: said('no') };
    }
    case 'choose':
      return { type: 'choose', option: draft.option };
    case 'measure':
      return { type: 'measure', reading: draft.reading };
    default:
      return { type: act.type };
  }
}

/** The fields of a step: checks, a choice, or a number. */
export function StepFields({ step: { act, say, source } }: { step: Step }) {
  switch (act.type) {
    case 'checks':
      return act.items.map((item) => (
        <div key={item.id} className="check-line">
          <span aria-hidden="true">{item.label}</span>
          <Field name={['checks', item.id]} isBare>
            <Segmented
              size="large"
              aria-label={item.label}
              options={[
                { value: 'yes', label: 'Yes' },
                { value: 'no', label: 'No' },
              ]}
            />
          </Field>
        </div>
      ));
    case 'choose':
      return (
        <Field name="option" isBare>
          <Choices options={act.options} />
        </Field>
      );
    case 'measure':
      return (
        <Field name="reading" label={say} hint={source}>
          <TypedInput units={[act.unit]} label={say} big autoFocus />
        </Field>
      );
    default:
      return null;
  }
}

/** The clock of a step: to be started, or running. */
export function StepClock({ now, time, busy, start }: { now: RunStep; time: number; busy: boolean; start: () => void }) {
  const { act } = now.step;
  if (act.type !== 'clock') return null;
  if (now.clockFrom !== null) return <Countdown big from={now.clockFrom} least={act.least} most={act.most} now={time} />;
  return (
    <div>
      <Button type="primary" size="large" disabled={busy} onClick={start}>
        Start the clock
      </Button>{' '}
      <span className="soft">{act.usual}</span>
    </div>
  );
}
