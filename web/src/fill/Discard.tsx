import { bottleDiscarded, discardReasons } from '@fonte/core/fill';
import { saySpares, sparesOf, type BottleState } from '@fonte/core/round';
import { Select } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';

type Reason = keyof typeof discardReasons;

/** Throws a bottle away with its reason; a spare takes its place. Never pour off, never fill up. */
export function Discard({ bottle }: { bottle: BottleState }) {
  return (
    <FormDialog
      size="large"
      by={bottleDiscarded.by}
      open="Throw away"
      aria-label={`Throw away ${bottle.id}`}
      title={`Throw ${bottle.id} away`}
    >
      {(close) => <ThrowAway bottle={bottle} close={close} />}
    </FormDialog>
  );
}

function ThrowAway({ bottle, close }: { bottle: BottleState; close: () => void }) {
  const { append, round } = useRound();
  const form = useEntryForm<{ reason: Reason | null; note: string }, z.output<typeof bottleDiscarded.payload>>({
    keep: `discard.${bottle.id}`,
    initial: { reason: null, note: '' },
    schema: bottleDiscarded.payload,
    read: (values) => asTyped({ ...values, bottle: bottle.id }, bottleDiscarded.payload),
    write: async (payload, { id, kept }) => {
      await append(bottleDiscarded, payload, { at: bottle.visit, id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Throw it away" tone="danger" enter="nothing" className="stack" leave={{ says: 'Keep it', by: close }}>
      <p>Never pour off and never fill up: take a new bottle. {saySpares(sparesOf(round, bottle))}</p>
      <Field name="reason">
        <Select
          size="large"
          placeholder="Choose"
          options={Object.entries(discardReasons).map(([value, label]) => ({ value: value as Reason, label }))}
        />
      </Field>
      <Field name="note" />
    </EntryForm>
  );
}
