import { DatePicker } from 'antd';
import dayjs from 'dayjs';

interface Props {
  id?: string;
  /** `YYYY-MM-DD`. */
  value?: string;
  onChange?: (value: string) => void;
}

/** A day as a control of a form. */
export function DayInput({ id, value = '', onChange = () => undefined }: Props) {
  return (
    <DatePicker
      {...(id ? { id } : {})}
      size="large"
      format="YYYY-MM-DD"
      allowClear={false}
      value={/^\d{4}-\d{2}-\d{2}$/.test(value) ? dayjs(value) : null}
      onChange={(chosen) => onChange(chosen?.format('YYYY-MM-DD') ?? '')}
    />
  );
}
