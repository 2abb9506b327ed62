import { sayNumber, type Typed, type UnitId } from '@fonte/core/units';
import { readField } from './decimal.ts';
import { Input } from 'antd';
import { useId, type AriaAttributes } from 'react';
import { UnitSwitch } from './UnitSwitch.tsx';

interface InputProps extends AriaAttributes {
  id?: string;
  value?: Typed;
  onChange?: (value: Typed) => void;
  units: readonly UnitId[];
  /** For the choice of the unit. */
  label: string;
  big?: boolean;
  autoFocus?: boolean;
  status?: 'error' | '';
}

/** A number with its unit as a control of a form, which gives it its id, value and label. Feet and inches are offered in feet. */
export function TypedInput({ id, value, onChange = () => undefined, units, label, big, ...rest }: InputProps) {
  const { text, unit } = value ?? { text: '', unit: units[0]! };
  const reading = readField(text);
  const suggestion = !reading.ok && reading.code === 'feet-and-inches' && units.includes('ft') ? reading.suggestion : undefined;
  return (
    <div className={`typed${big ? ' big' : ''}`}>
      <div className="inputs">
        <Input
          {...rest}
          {...(id ? { id } : {})}
          value={text}
          inputMode="decimal"
          autoComplete="off"
          enterKeyHint="next"
          size="large"
          onChange={(event) => onChange({ unit, text: event.target.value })}
        />
        <UnitSwitch label={label} value={{ text, unit }} units={units} onChange={onChange} />
      </div>
      {suggestion && (
        <p className="small">
          {/* Where it was tried to be written down, the field says so itself. */}
          {!rest['aria-invalid'] && `${sayNumber(reading as never)} `}
          <button type="button" className="how" onClick={() => onChange({ text: suggestion, unit: 'ft' })}>
            Use {suggestion} ft
          </button>
        </p>
      )}
    </div>
  );
}

interface FieldProps {
  label: string;
  value: Typed;
  onChange: (value: Typed) => void;
  /** The units to choose from; one unit is only shown. */
  units: readonly UnitId[];
  error?: string | undefined;
  hint?: string;
}

/** A number with its unit and label beside no form: nothing of it is recorded. */
export function TypedField({ label, error, hint, ...rest }: FieldProps) {
  const id = useId();
  return (
    <div className="typed">
      <label htmlFor={id}>{label}</label>
      <TypedInput
        {...rest}
        id={id}
        label={label}
        status={error ? 'error' : ''}
        aria-invalid={Boolean(error)}
        aria-describedby={error || hint ? `${id}-say` : undefined}
      />
      <div id={`${id}-say`} aria-live="polite">
        {error && <p className="field-error">{error}</p>}
        {!error && hint && <p className="soft small">{hint}</p>}
      </div>
    </div>
  );
}

/** What is wrong with a typed number before it is sent, or undefined. */
export function numberError(typed: Typed): string | undefined {
  const reading = readField(typed.text);
  return reading.ok ? undefined : sayNumber(reading, typed.unit);
}
