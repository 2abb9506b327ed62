import type { Lab } from '@fonte/core/registers';
import { Checkbox, Select } from 'antd';
import { Field } from '../form/Field.tsx';
import { labDoor, never } from './settings.ts';

/** How the day is driven, and where its bottles are brought. */
export function SettingsFields({ lab, settle }: { lab: Lab | null; settle: () => void }) {
  const doors = [
    { value: labDoor, label: lab ? lab.name : 'Back to where it begins' },
    ...(lab?.dropOffs ?? []).map(({ name }) => ({ value: name, label: name })),
  ];
  return (
    <div className="form-grid" onBlur={settle} onKeyDown={({ key }) => key === 'Enter' && settle()}>
      <Field name="start" placeholder="08:00" />
      <Field name="speed" />
      <Field name="roadFactor" />
      <Field name="lunch" hint="Between 11:30 and 14:00" />
      <Field name="at">
        <Select size="large" options={doors} />
      </Field>
      {lab && (
        <Field name="midway" label="Hand over on the way">
          <Select size="large" options={[{ value: never, label: 'Not on the way' }, ...doors]} />
        </Field>
      )}
      <Field name="byDaylight" isTicked>
        <Checkbox>Out of doors only by daylight</Checkbox>
      </Field>
      <Field name={['from', 'latitude']} label="Start: latitude" hint="Empty: at the lab’s door" />
      <Field name={['from', 'longitude']} label="Start: longitude" />
    </div>
  );
}
