import { Select } from 'antd';

interface Props {
  id?: string;
  value?: string;
  onChange?: (value: string) => void;
}

const zones = Intl.supportedValuesOf('timeZone').map((zone) => ({ value: zone, label: zone.replaceAll('_', ' ') }));

/** A time zone by its place. */
export function ZoneSelect({ id, value, onChange }: Props) {
  return (
    <Select
      {...(id ? { id } : {})}
      {...(value ? { value } : {})}
      {...(onChange ? { onChange } : {})}
      size="large"
      showSearch
      options={zones}
    />
  );
}
