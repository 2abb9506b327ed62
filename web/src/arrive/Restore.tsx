import { placeRestored } from '@fonte/core/arrive';
import type { VisitState } from '@fonte/core/round';
import type { z } from 'zod';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { Mark } from '../theme/Mark.tsx';

/** What was moved, taken off or bypassed: kept in sight, and asked about when it is time to leave. */
export function Restore({ visit, isTime }: { visit: VisitState; isTime: boolean }) {
  const { append } = useRound();
  const { toRestore, restored } = visit.arrival;
  const form = useEntryForm<{ open: string }, z.output<typeof placeRestored.payload>>({
    keep: `restore.${visit.id}`,
    initial: { open: '' },
    schema: placeRestored.payload,
    read: (values) => asTyped(values, placeRestored.payload),
    write: async (payload, { id, kept }) => {
      await append(placeRestored, payload, { at: visit.id, id, kept });
    },
  });
  const list = (
    <ul className="plain">
      {toRestore.map((one) => (
        <li key={one}>{one}</li>
      ))}
    </ul>
  );
  if (restored)
    return (
      <section className="stack">
        <p className="word tone-good">
          <Mark kind="good" />
          Left as found{restored.open ? `, but for this: ${restored.open}` : ''}
        </p>
        <div>
          <Correct entry={restored.entry} kind={placeRestored} what="that all was put back" label="Take it back" />
        </div>
      </section>
    );
  if (!isTime)
    return (
      <section className="small">
        <p className="soft">To be put back before you leave:</p>
        {list}
      </section>
    );
  return (
    <EntryForm of={form} submit="All is as it was" enter="nothing" className="stack panel">
      <h2>Before you leave</h2>
      {list}
      <Field name="open" placeholder="the aerator is worn out, the caretaker knows" />
    </EntryForm>
  );
}
