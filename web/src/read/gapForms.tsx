import { parameter, type ParameterId } from '@fonte/core/parameters';
import { resultsGivenUp, rowsSettled } from '@fonte/core/read';
import { Checkbox } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';

interface OfBottle {
  bottle: string;
  parameters: readonly ParameterId[];
  close: () => void;
}

/** Results that the lab will not report: which of them, and why. */
export function GiveUpResults({ bottle, parameters, close }: OfBottle) {
  const { append } = useRound();
  const form = useEntryForm<{ parameters: ParameterId[]; reason: string }, z.output<typeof resultsGivenUp.payload>>({
    keep: `without.${bottle}`,
    initial: { parameters: [...parameters], reason: '' },
    schema: resultsGivenUp.payload,
    read: (values) => asTyped({ bottle, ...values }, resultsGivenUp.payload),
    write: async (payload, { id, kept }) => {
      await append(resultsGivenUp, payload, { id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="They will not come" tone="danger" enter="nothing" className="stack" leave={{ says: 'Wait on', by: close }}>
      <Field name="parameters" label="Which">
        <Checkbox.Group options={parameters.map((one) => ({ value: one, label: parameter(one).name }))} />
      </Field>
      <Field name="reason" placeholder="the bottle broke at the lab, not analysed there …" />
    </EntryForm>
  );
}

/** Rows that were not understood, and that a person has looked at. */
export function SettleRows({ sha256, close }: { sha256: string; close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<{ reason: string }, z.output<typeof rowsSettled.payload>>({
    keep: `settle.${sha256}`,
    initial: { reason: '' },
    schema: rowsSettled.payload,
    read: ({ reason }) => asTyped({ sha256, reason }, rowsSettled.payload),
    write: async (payload, { id, kept }) => {
      await append(rowsSettled, payload, { id, kept });
      close();
    },
  });
  return (
    <EntryForm
      of={form}
      submit="They do not matter here"
      tone="danger"
      enter="nothing"
      className="stack"
      leave={{ says: 'Leave it open', by: close }}
    >
      <p>You looked at each of them in the report, and none says anything about this round’s water.</p>
      <Field name="reason" />
    </EntryForm>
  );
}
