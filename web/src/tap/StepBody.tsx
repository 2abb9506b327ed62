import type { RunStep, Step, StepAnswer } from '@fonte/core/tap';
import { showTyped, unitLabel, type Typed, type UnitId } from '@fonte/core/units';
import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { Field } from '../form/Field.tsx';
import { Countdown } from '../time/Countdown.tsx';
import { numberError, TypedInput } from '../units/TypedField.tsx';
import { Choices } from './Choices.tsx';

/** What is being answered to a step. */
export interface StepDraft {
  /** Empty where it was not answered yet: nothing is chosen beforehand. */
  checks: Record<string, 'yes' | 'no' | ''>;
  option: string;
  reading: Typed;
  /** What was measured before, where it is measured until it is constant. */
  readings: Typed[];
  departure: string;
}

/** A step that nobody has answered. */
export const unanswered = ({ act }: Step): StepDraft => ({
  checks: act.type === 'checks' ? Object.fromEntries(act.items.map((item) => [item.id, ''])) : {},
  option: '',
  reading: { text: '', unit: act.type === 'measure' || act.type === 'constant' ? act.unit : act.type === 'since' ? 'h' : 'mg/L' },
  readings: [],
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
    case 'constant':
      return { type: 'constant', readings: draft.readings };
    case 'since':
      return { type: 'since', lasted: draft.reading };
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
    case 'since':
      return (
        <Field name="reading" label={act.asks}>
          <TypedInput units={['h', 'min']} label={act.asks} big autoFocus />
        </Field>
      );
    case 'constant':
      return (
        <Field name="readings" label={`${say}: the last ${act.count} within ${act.within} ${unitLabel(act.unit)}`}>
          <Readings unit={act.unit} label={say} />
        </Field>
      );
    default:
      return null;
  }
}

/** One reading after the other, as a control of a form. */
function Readings({
  id,
  value = [],
  onChange = () => undefined,
  unit,
  label,
}: {
  id?: string;
  value?: Typed[];
  onChange?: (value: Typed[]) => void;
  unit: UnitId;
  label: string;
}) {
  const [next, setNext] = useState<Typed>({ text: '', unit });
  const add = () => {
    if (numberError(next)) return;
    onChange([...value, next]);
    setNext({ text: '', unit });
  };
  return (
    <div className="stack">
      {value.length > 0 && (
        <ol className="plain row">
          {value.map((reading, place) => (
            <li key={place} className="strong">
              {showTyped(reading)}
            </li>
          ))}
        </ol>
      )}
      <div className="row">
        <TypedInput {...(id ? { id } : {})} units={[unit]} label={label} big autoFocus value={next} onChange={setNext} />
        <Button size="large" disabled={numberError(next) !== undefined} onClick={add}>
          Add the reading
        </Button>
        {value.length > 0 && (
          <Button size="large" type="text" onClick={() => onChange(value.slice(0, -1))}>
            Take the last back
          </Button>
        )}
      </div>
    </div>
  );
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
