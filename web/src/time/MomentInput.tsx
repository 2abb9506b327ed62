import { atWall, wallTime } from '@fonte/core/time';
import { DatePicker } from 'antd';
import dayjs, { type Dayjs } from 'dayjs';

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

/** A moment to the second as a control of a form, on the wall clock of the site. */
export function MomentInput({ id, value: given, zone, isOptional = false, onChange = () => undefined }: Props) {
  const value = given ?? 0;
  const { date, time } = wallTime(value, zone);
  const seconds = new Date(value).getUTCSeconds();
  // The picker knows no zones: it is given the site's wall clock as if it were its own.
  const shown = dayjs(`${date}T${time}:${String(seconds).padStart(2, '0')}`);
  const change = (chosen: Dayjs | null) => {
    if (!chosen) onChange(undefined);
    else onChange(atWall(chosen.format('YYYY-MM-DD'), chosen.format('HH:mm:ss'), zone));
  };
  return (
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
  );
}
