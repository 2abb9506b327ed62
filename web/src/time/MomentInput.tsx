import { atWall, wallInstants, wallTime } from '@fonte/core/time';
import { DatePicker, Segmented } from 'antd';
import dayjs, { type Dayjs } from 'dayjs';
import { useState } from 'react';

interface Props {
  id?: string;
  /** ms since 1970 in UTC. */
  value?: number;
  onChange?: (value: number | undefined) => void;
  /** The site's zone: what is shown and typed is its wall clock. */
  zone: string;
  /** It may stay empty. */
  isOptional?: boolean;
}

/**
 * A moment to the second as a control of a form, on the wall clock of the site. A time that the clock shows twice is asked about, and one
 * that it never shows is not taken.
 */
export function MomentInput({ id, value: given, zone, isOptional = false, onChange = () => undefined }: Props) {
  const [skipped, setSkipped] = useState<string | null>(null);
  const value = given ?? 0;
  const { date, time } = wallTime(value, zone);
  const seconds = String(new Date(value).getUTCSeconds()).padStart(2, '0');
  // The picker knows no zones: it is given the site's wall clock as if it were its own.
  const shown = dayjs(`${date}T${time}:${seconds}`);
  const twice = given === undefined ? [] : wallInstants(date, `${time}:${seconds}`, zone);
  const change = (chosen: Dayjs | null) => {
    setSkipped(null);
    if (!chosen) return onChange(undefined);
    const [day, clock] = [chosen.format('YYYY-MM-DD'), chosen.format('HH:mm:ss')];
    if (wallInstants(day, clock, zone).length === 0) return setSkipped(clock);
    onChange(atWall(day, clock, zone));
  };
  return (
    <div className="stack">
      <DatePicker
        {...(id ? { id } : {})}
        size="large"
        showTime={{ format: 'HH:mm:ss' }}
        format="YYYY-MM-DD HH:mm:ss"
        value={given === undefined && isOptional ? null : shown}
        allowClear={isOptional}
        needConfirm={false}
        onChange={change}
      />
      {skipped && (
        <p className="field-error" role="alert">
          {skipped} does not exist on that day: the clocks went forward. Choose another time.
        </p>
      )}
      {twice.length > 1 && (
        <Segmented
          aria-label="Which of the two"
          size="large"
          value={value}
          onChange={onChange}
          options={[
            { value: twice[0]!, label: 'Before the clocks went back' },
            { value: twice[1]!, label: 'After' },
          ]}
        />
      )}
    </div>
  );
}
