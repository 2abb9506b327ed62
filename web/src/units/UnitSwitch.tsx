import { convertTyped, showTyped, unitLabel, type Typed, type UnitId } from '@fonte/core/units';
import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { decimalMark, readField } from './decimal.ts';

/** A converted number with the mark that its typist writes: 24.640 would be asked about where decimals are typed after a comma. */
const inOwnMark = ({ text, unit }: Typed): Typed => ({ text: decimalMark() === 'comma' ? text.replace('.', ',') : text, unit });

/**
 * The choice of a unit. Whoever changes it over a number may mean that it was wrong, or want the number in the other one: the number
 * stays as it was typed, and the other reading is offered.
 */
export function UnitSwitch({
  label,
  value,
  units,
  onChange,
}: {
  /** What is measured. */
  label: string;
  value: Typed;
  units: readonly UnitId[];
  onChange: (value: Typed) => void;
}) {
  const [before, setBefore] = useState<Typed | null>(null);
  if (units.length < 2) return <span className="fixed-unit">{unitLabel(value.unit)}</span>;
  const change = (unit: UnitId) => {
    setBefore(before?.text === value.text ? before : readField(value.text).ok ? value : null);
    onChange({ ...value, unit });
  };
  // Another number has nothing to do with the one before.
  const offered = before && before.text === value.text && before.unit !== value.unit ? inOwnMark(convertTyped(before, value.unit)) : null;
  return (
    <>
      <Segmented
        aria-label={`Unit of ${label}`}
        value={value.unit}
        onChange={change}
        options={units.map((unit) => ({ value: unit, label: unitLabel(unit) }))}
      />
      {before && offered && (
        <div className="small converted row" role="status">
          <span>
            Only the unit has changed. {showTyped(before)} would be {showTyped(offered)}.
          </span>
          <Button
            onClick={() => {
              setBefore(null);
              onChange(offered);
            }}
          >
            Use {showTyped(offered)}
          </Button>
        </div>
      )}
    </>
  );
}
