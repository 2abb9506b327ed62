import type { FlushBeside } from '@fonte/core/round';
import type { RunStep, Step, StepAnswer } from '@fonte/core/tap';
import { showTyped, unitLabel, type Typed } from '@fonte/core/units';
import { Button, Segmented } from 'antd';
import { Field, NoControl } from '../form/Field.tsx';
import { Countdown } from '../time/Countdown.tsx';
import { numberError, TypedInput } from '../units/TypedField.tsx';
import { Choices } from './Choices.tsx';

/** What is being answered to a step. */
export interface StepDraft {
  /** Empty where it was not answered yet: nothing is chosen beforehand. */
  checks: Record<string, 'yes' | 'no' | ''>;
  option: string;
  reading: Typed;
  /** The field test that the reading was taken over from, and its text as it was taken. */
  taken: { test: string; text: string } | null;
  /** What was measured before, where it is measured until it is constant. */
  readings: Typed[];
  /** How often it was done so far, where that is counted. */
  times: number;
  departure: string;
}

/** A step that nobody has answered. */
export const unanswered = ({ act }: Step): StepDraft => ({
  checks: act.type === 'checks' ? Object.fromEntries(act.items.map((item) => [item.id, ''])) : {},
  option: '',
  reading: { text: '', unit: act.type === 'measure' || act.type === 'constant' ? act.unit : act.type === 'since' ? 'h' : 'mg/L' },
  taken: null,
  readings: [],
  times: 0,
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
    case 'times':
      return { type: 'times', times: draft.times };
    default:
      return { type: act.type };
  }
}

interface StepFieldsProps {
  step: Step;
  values: StepDraft;
  set: (change: Partial<StepDraft>) => void;
}
type ConstantAct = Extract<Step['act'], { type: 'constant' }>;

/** The fields of a step: checks, a choice, or a number. */
export function StepFields({ step, values, set }: StepFieldsProps) {
  const { act, say, source } = step;
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
          <TypedInput units={['h', 'min', 'd']} label={act.asks} big autoFocus />
        </Field>
      );
    case 'times':
      return (
        <Field name="times" isBare>
          <Counter least={act.least} />
        </Field>
      );
    case 'constant':
      return <Readings act={act} say={say} step={step} values={values} set={set} />;
    default:
      return null;
  }
}

/** One press for all, or one for each time, large enough for a thumb that looks elsewhere. */
function Counter({ least, value = 0, onChange = () => undefined }: { least: number; value?: number; onChange?: (times: number) => void }) {
  return (
    <div className="row">
      {value === 0 && (
        <Button size="large" className="counter" onClick={() => onChange(least)}>
          All {least} done
        </Button>
      )}
      <Button size="large" className="counter" onClick={() => onChange(value + 1)}>
        {value === 0 ? 'Count one by one' : 'Once more'}
      </Button>
      <span className="figure" role="status">
        <span className="value">
          {value} <span className="small soft">of {least}</span>
        </span>
      </span>
      {value > 0 && (
        <Button size="large" type="text" onClick={() => onChange(value - 1)}>
          One less
        </Button>
      )}
    </div>
  );
}

/** One reading after the other, until they hold; what is typed and not added yet is part of the draft as well. */
function Readings({ act, say, values: { reading, readings }, set }: StepFieldsProps & { act: ConstantAct; say: string }) {
  const canAdd = numberError(reading) === undefined;
  const add = () => {
    if (canAdd) set({ readings: [...readings, reading], reading: { text: '', unit: act.unit } });
  };
  return (
    <div
      className="stack"
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || (event.target as HTMLElement).tagName !== 'INPUT') return;
        // Enter takes the reading down; the step is done by its button.
        event.preventDefault();
        event.stopPropagation();
        add();
      }}
    >
      <Field name="reading" label={say} hint={`Until the last ${act.count} lie within ${act.within} ${unitLabel(act.unit)}`}>
        <TypedInput units={[act.unit]} label={say} big autoFocus />
      </Field>
      <Field name="readings" isBare>
        <NoControl />
      </Field>
      <div className="row">
        <Button size="large" disabled={!canAdd} onClick={add}>
          Add the reading
        </Button>
        {readings.length > 0 && (
          <Button size="large" type="text" onClick={() => set({ readings: readings.slice(0, -1) })}>
            Take the last back
          </Button>
        )}
      </div>
      {readings.length > 0 && (
        <ol className="plain row" aria-label="Readings so far">
          {readings.map((one, place) => (
            <li key={place} className="strong">
              {showTyped(one)}
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}

interface ClockProps {
  now: RunStep;
  time: number;
  busy: boolean;
  start: () => void;
  /** Flushes at other taps of the building that wait for the same. */
  beside: readonly FlushBeside[];
  startAll: () => void;
}

/** The clock of a step: to be started, here or at all taps of the building that wait for it, or running. */
export function StepClock({ now, time, busy, start, beside, startAll }: ClockProps) {
  const { act } = now.step;
  if (act.type !== 'clock') return null;
  if (now.clockFrom !== null) return <Countdown big from={now.clockFrom} least={act.least} most={act.most} now={time} />;
  return (
    <div className="stack">
      <div className="row">
        <Button type="primary" size="large" disabled={busy} onClick={start}>
          Start the clock
        </Button>
        <span className="soft">{act.usual}</span>
      </div>
      {beside.length > 0 && (
        <div className="row">
          <Button size="large" disabled={busy} onClick={startAll}>
            Start the clock at {beside.length + 1} taps
          </Button>
          <span className="soft small">Also starts at {beside.map(({ name }) => name).join(', ')}</span>
        </div>
      )}
    </div>
  );
}
