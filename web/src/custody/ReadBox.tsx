import { boxRead, cold, readingTimes, readingWays, type ColdId } from '@fonte/core/custody';
import { Segmented, Select } from 'antd';
import type { z } from 'zod';
import type { Finding } from '@fonte/core/findings';
import { base, type Typed } from '@fonte/core/units';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';

interface Props {
  box: { box: string; name: string };
  isFirst: boolean;
}

const ids: readonly ColdId[] = ['ice', 'packs', 'fridge', 'none'];

/** So warm no box is in its shade: who types this reads another unit. */
const likelyFahrenheit = 33;

/** That a number of degrees Celsius is more likely one of Fahrenheit. */
export function questionDegrees(typed: Typed | undefined): Finding[] {
  if (!typed || typed.unit !== 'degC' || base(typed) < likelyFahrenheit) return [];
  return [{ code: 'likely-fahrenheit', severity: 'question', data: { text: typed.text, as: ((base(typed) - 32) * 5) / 9 } }];
}

/** Writes down how cold a box is, at packing and on the way, and what keeps it so. */
export function ReadBox({ box, isFirst }: Props) {
  return (
    <FormDialog by={boxRead.by} open={isFirst ? 'Write down how it is packed' : 'Read it on the way'} title={box.name}>
      {(close) => <Reading box={box} isFirst={isFirst} close={close} />}
    </FormDialog>
  );
}

type Draft = { when: keyof typeof readingTimes; cold?: ColdId | undefined; temperature: Typed; by: keyof typeof readingWays };

function Reading({ box, isFirst, close }: Props & { close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<Draft, z.output<typeof boxRead.payload>>({
    keep: `box.${box.box}`,
    initial: { when: isFirst ? 'packing' : 'way', temperature: { text: '', unit: 'degC' }, by: 'bottle' },
    schema: boxRead.payload,
    read: (values) => asTyped({ ...values, box }, boxRead.payload),
    ask: ({ temperature }) => questionDegrees(temperature),
    write: async (payload, { id, kept }) => {
      await append(boxRead, payload, { id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Write it down" className="stack" leave={{ says: 'Not now', by: close }}>
      <Field name="temperature" label="How cold" big autoFocus />
      <Field name="by">
        <Segmented aria-label="What was read" vertical options={Object.entries(readingWays).map(([value, label]) => ({ value, label }))} />
      </Field>
      <Field name="when">
        <Segmented aria-label="When it was read" options={Object.entries(readingTimes).map(([value, label]) => ({ value, label }))} />
      </Field>
      <Field name="cold">
        <Select size="large" allowClear placeholder="As before" options={ids.map((value) => ({ value, label: cold(value).name }))} />
      </Field>
    </EntryForm>
  );
}
