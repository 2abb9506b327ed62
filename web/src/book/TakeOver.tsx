import { newId, struck, type BookEntry, type Entry } from '@fonte/core/book';
import { z } from 'zod';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { now } from '../time/clock.ts';
import { useRound } from './useRound.ts';

const Said = z.object({ reason: struck.payload.shape.reason.meta({ title: 'Why it holds' }) });

export const isFromHousehold = (entry: Entry): boolean => (entry as Partial<BookEntry>).doubt === 'from-household';

/** What a household wrote is taken over as a whole, in its order; what somebody doubts of it is struck one by one before. */
export function TakeOver({ entries }: { entries: readonly Entry[] }) {
  const count = entries.length === 1 ? '1 entry' : `${entries.length} entries`;
  return (
    <FormDialog open={`Take over ${count}`} title={`Take over ${count} of a household`} by={struck.by}>
      {(close) => <Take entries={entries} close={close} />}
    </FormDialog>
  );
}

function Take({ entries, close }: { entries: readonly Entry[]; close: () => void }) {
  const { id: round, append } = useRound();
  const form = useEntryForm<{ reason: string }, { reason: string }>({
    keep: `take-over.${round}`,
    initial: { reason: '' },
    schema: Said,
    write: async ({ reason }, { kept }) => {
      // What was taken over before a connection went is no longer among them: the rest is taken over by another press.
      for (const entry of entries)
        await append(
          struck,
          { entry: entry.id, kind: entry.kind, reason, instead: { holds: true } },
          { at: entry.visit, id: newId(now()) },
        );
      kept();
      close();
    },
  });
  return (
    <EntryForm of={form} by={struck.by} submit="They hold as they stand" enter="nothing" leave={{ says: 'Leave them aside', by: close }}>
      <p>They count from then on as what they say, written when they say. Read them first, and look at the bottles.</p>
      <Field name="reason" placeholder="read, bottles looked at, times agree with the household" autoFocus />
    </EntryForm>
  );
}
