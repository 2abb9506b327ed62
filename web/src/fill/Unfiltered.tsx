import { bottleFilled } from '@fonte/core/fill';
import type { BottleState } from '@fonte/core/round';
import { Input } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';

/** Water that clogs the filter is filled as it is, and its lab is told: what comes of it is of the whole water. */
export function Unfiltered({ bottle }: { bottle: BottleState }) {
  return (
    <FormDialog type="text" size="large" by={bottleFilled.by} open="Too turbid to filter" title={`${bottle.id}, not filtered`}>
      {(close) => <Fill bottle={bottle} close={close} />}
    </FormDialog>
  );
}

function Fill({ bottle, close }: { bottle: BottleState; close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<{ unfiltered: string }, z.output<typeof bottleFilled.payload>>({
    keep: `unfiltered.${bottle.id}`,
    initial: { unfiltered: 'Too turbid' },
    schema: bottleFilled.payload,
    read: (values) => asTyped({ ...values, bottle: bottle.id }, bottleFilled.payload),
    write: async (payload, { id, kept }) => {
      await append(bottleFilled, payload, { at: bottle.visit, id, kept });
      close();
    },
  });
  return (
    <EntryForm
      of={form}
      submit="Filled and capped, not filtered"
      className="stack"
      enter="nothing"
      leave={{ says: 'Filter it', by: close }}
    >
      <p>
        With acid in it, what hangs on particles comes into the water: the result is of the whole water, and no dissolved one. Many labs
        want a bottle without acid then: ask.
      </p>
      <Field name="unfiltered">
        <Input size="large" maxLength={300} />
      </Field>
    </EntryForm>
  );
}
