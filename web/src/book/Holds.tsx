import { struck, type Entry } from '@fonte/core/book';
import { z } from 'zod';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { useRound } from './useRound.ts';

const Said = z.object({ reason: struck.payload.shape.reason.meta({ title: 'Why' }) });

/** An entry that was doubted when it came, as from a device that was reported lost, holds as it stands: somebody says so, and why. */
export function Holds({ entry, what }: { entry: Entry; what: string }) {
  return (
    <FormDialog open="It holds" title={`It holds: ${what}`} by={struck.by}>
      {(close) => <Hold entry={entry} close={close} />}
    </FormDialog>
  );
}

function Hold({ entry, close }: { entry: Entry; close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<{ reason: string }, { reason: string }>({
    keep: `holds.${entry.id}`,
    initial: { reason: '' },
    schema: Said,
    write: async ({ reason }, { id, kept }) => {
      await append(struck, { entry: entry.id, kind: entry.kind, reason, instead: { holds: true } }, { at: entry.visit, id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} by={struck.by} submit="It holds as it stands" enter="nothing" leave={{ says: 'Leave it aside', by: close }}>
      <p>It counts from then on as what it says, written when it says.</p>
      <Field name="reason" autoFocus />
    </EntryForm>
  );
}
