import { readNumber, sayNumber, unitLabel, type Typed, type UnitId } from '@fonte/core/units';
import { Input, Segmented } from 'antd';
import { useId, type KeyboardEvent, type Ref } from 'react';
import type { InputRef } from 'antd';

interface Props {
  label: string;
  value: Typed;
  onChange: (value: Typed) => void;
  /** The units to choose from; one unit is only shown. */
  units: readonly UnitId[];
  error?: string | undefined;
  hint?: string | undefined;
  big?: boolean;
  autoFocus?: boolean;
  onEnter?: () => void;
  ref?: Ref<InputRef>;
}

interface InputProps {
  id?: string;
  value?: Typed;
  onChange?: (value: Typed) => void;
  units: readonly UnitId[];
  /** For the choice of the unit. */
  label: string;
}

/** A number with its unit as a control of a form, which gives it its id, value and label. */
export function TypedInput({ id, value = { text: '', unit: 'm' }, onChange = () => undefined, units, label }: InputProps) {
  return (
    <div className="typed">
      <div className="inputs">
        <Input
          {...(id ? { id } : {})}
          value={value.text}
          inputMode="decimal"
          autoComplete="off"
          size="large"
          onChange={(event) => onChange({ ...value, text: event.target.value })}
        />
        <UnitChoice label={label} value={value} units={units} onChange={onChange} />
      </div>
    </div>
  );
}

function UnitChoice({ label, value, units, onChange }: Required<Pick<InputProps, 'label' | 'value' | 'units' | 'onChange'>>) {
  if (units.length < 2) return <span className="fixed-unit">{unitLabel(value.unit)}</span>;
  return (
    <Segmented
      aria-label={`Unit of ${label}`}
      value={value.unit}
      onChange={(unit) => onChange({ ...value, unit })}
      options={units.map((unit) => ({ value: unit, label: unitLabel(unit) }))}
    />
  );
}

/** A number with its unit, kept exactly as typed. Shows what is wrong with it at the field, never clears it. */
export function TypedField({ label, value, onChange, units, error, hint, big, autoFocus, onEnter, ref }: Props) {
  const id = useId();
  const reading = readNumber(value.text);
  const suggestion = !reading.ok && reading.code === 'feet-and-inches' ? reading.suggestion : undefined;
  const enter = (event: KeyboardEvent) => {
    if (!onEnter) return;
    event.preventDefault();
    onEnter();
  };
  return (
    <div className={`typed${big ? ' big' : ''}`}>
      <label htmlFor={id}>{label}</label>
      <div className="inputs">
        <Input
          id={id}
          ref={ref ?? null}
          value={value.text}
          inputMode="decimal"
          autoComplete="off"
          enterKeyHint="next"
          size="large"
          status={error ? 'error' : ''}
          aria-invalid={Boolean(error)}
          aria-describedby={error || hint ? `${id}-say` : undefined}
          autoFocus={autoFocus ?? false}
          onChange={(event) => onChange({ ...value, text: event.target.value })}
          onPressEnter={enter}
        />
        <UnitChoice label={label} value={value} units={units} onChange={onChange} />
      </div>
      <div id={`${id}-say`} aria-live="polite">
        {error && <p className="field-error">{error}</p>}
        {error && suggestion && units.includes('ft') && (
          <button type="button" className="how" onClick={() => onChange({ text: suggestion, unit: 'ft' })}>
            Use {suggestion} ft
          </button>
        )}
        {!error && hint && <p className="soft small">{hint}</p>}
      </div>
    </div>
  );
}

/** What is wrong with a typed number before it is sent, or undefined. */
export function numberError(typed: Typed): string | undefined {
  const reading = readNumber(typed.text);
  return reading.ok ? undefined : sayNumber(reading, typed.unit);
}
