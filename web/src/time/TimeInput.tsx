import { TimePicker } from 'antd';
import dayjs from 'dayjs';

interface Props {
  id?: string;
  /** `HH:MM`; empty or null for none. */
  value?: string | null;
  onChange?: (value: string | null) => void;
}

/** A time of the day as a control of a form, kept as `HH:MM`. */
export function TimeInput({ id, value, onChange = () => undefined }: Props) {
  return (
    <TimePicker
      {...(id ? { id } : {})}
      size="large"
      format="HH:mm"
      minuteStep={5}
      needConfirm={false}
      value={value ? dayjs(`2000-01-01T${value}`) : null}
      onChange={(chosen) => onChange(chosen ? chosen.format('HH:mm') : null)}
    />
  );
}
