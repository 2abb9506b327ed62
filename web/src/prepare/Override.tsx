import { checkOverridden } from '@fonte/core/prepare';
import { instrumentKind, type InstrumentKind } from '@fonte/core/registers';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';

/** A button for whoever uses an instrument without a good check. */
export function Override({ kind }: { kind: InstrumentKind }) {
  const { name } = instrumentKind(kind);
  return (
    <FormDialog
      open="Use it without a good check"
      by={checkOverridden.by}
      title={`${name}: used without a good check`}
      aria-label={`Use it without a good check: ${name}`}
    >
      {(close) => <AllTheSame kind={kind} close={close} />}
    </FormDialog>
  );
}

/** That it is used all the same, with a reason that stays in the book. */
function AllTheSame({ kind, close }: { kind: InstrumentKind; close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<{ reason: string }, z.output<typeof checkOverridden.payload>>({
    keep: `override.${kind}`,
    initial: { reason: '' },
    schema: checkOverridden.payload,
    read: (values) => asTyped({ kind, ...values }, checkOverridden.payload),
    write: async (payload, { id, kept }) => {
      await append(checkOverridden, payload, { id, kept });
      close();
    },
  });
  return (
    <EntryForm
      of={form}
      submit="Use it all the same"
      tone="danger"
      enter="nothing"
      className="stack"
      leave={{ says: 'Leave it', by: close }}
    >
      <p>What is measured with it stands on nothing but this reason. It stays in the book.</p>
      <Field name="reason" />
    </EntryForm>
  );
}
