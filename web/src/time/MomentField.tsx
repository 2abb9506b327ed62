import { atWall, wallTime } from '@fonte/core/time';
import { DatePicker } from 'antd';
import dayjs, { type Dayjs } from 'dayjs';
import { useId } from 'react';

interface Props {
  label: string;
  /** ms since 1970 in UTC. */
  value: number;
  /** The site's zone: what is shown and typed is its wall clock. */
  zone: string;
  onChange: (value: number) => void;
}

/** A moment to the second, on the wall clock of the site. */
export function MomentField({ label, value, zone, onChange }: Props) {
  const id = useId();
  const { date, time } = wallTime(value, zone);
  const seconds = new Date(value).getUTCSeconds();
  // The picker knows no zones: it is given the site's wall clock as if it were its own.
  const shown = dayjs(`${date}T${time}:${String(seconds).padStart(2, '0')}`);
  const change = (chosen: Dayjs | null) => {
    if (chosen) onChange(atWall(chosen.format('YYYY-MM-DD'), chosen.format('HH:mm:ss'), zone));
  };
  return (
    <div className="typed">
      <label htmlFor={id}>{label}</label>
      <DatePicker
        id={id}
        size="large"
        showTime={{ format: 'HH:mm:ss' }}
        format="YYYY-MM-DD HH:mm:ss"
        value={shown}
        allowClear={false}
        needConfirm={false}
        onChange={change}
      />
    </div>
  );
}
