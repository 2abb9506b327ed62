import { showTyped, unitLabel, type Typed } from '@fonte/core/units';
import { Input } from 'antd';
import type { AriaAttributes, ReactNode } from 'react';

interface Props extends AriaAttributes {
  id?: string;
  value?: Typed;
  onChange?: (value: Typed) => void;
  /** What the set before read. */
  last: Typed | null | undefined;
  /** What the page's own pad types: the device's keyboard stays away. */
  isByPad: boolean;
  /** The pad types here. */
  isActive: boolean;
  onFocus: () => void;
  mark?: ReactNode;
}

/** One number of a set as a control of a form: what it was the last time stands beside it, its unit behind it. */
export function NumberRow({ id, value, onChange = () => undefined, last, isByPad, isActive, onFocus, mark, ...aria }: Props) {
  const { text, unit } = value ?? { text: '', unit: '1' };
  return (
    <span className={`number-row${isByPad && isActive ? ' is-active' : ''}`}>
      <Input
        {...aria}
        {...(id ? { id } : {})}
        size="large"
        value={text}
        inputMode={isByPad ? 'none' : 'decimal'}
        autoComplete="off"
        enterKeyHint="next"
        onFocus={onFocus}
        onChange={(event) => onChange({ unit, text: event.target.value })}
      />
      <span className="fixed-unit">{unitLabel(unit)}</span>
      <span className="soft number-last">{last ? (last.unit === unit ? last.text : showTyped(last)) : ''}</span>
      {mark}
    </span>
  );
}
