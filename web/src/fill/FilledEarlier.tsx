import { bottleFilled } from '@fonte/core/fill';
import type { BottleState } from '@fonte/core/round';
import { instantAt, offsetIn } from '@fonte/core/time';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { now } from '../time/clock.ts';
import { MomentInput } from '../time/MomentInput.tsx';

/** A bottle that was filled before it was touched here: its time of collection is stated, with the reason. */
export function FilledEarlier({ bottle }: { bottle: BottleState }) {
  return (
    <FormDialog type="text" size="large" by={bottleFilled.by} open="Filled earlier" title={`${bottle.id} was filled earlier`}>
      {(close) => <State bottle={bottle} close={close} />}
    </FormDialog>
  );
}

function State({ bottle, close }: { bottle: BottleState; close: () => void }) {
  const { append, round } = useRound();
  const { zone } = round.plan;
  const form = useEntryForm<{ moment: number; reason: string }, z.output<typeof bottleFilled.payload>>({
    keep: `filled.${bottle.id}`,
    initial: { moment: now(), reason: '' },
    schema: bottleFilled.payload,
    read: ({ moment, reason }) =>
      asTyped({ bottle: bottle.id, stated: { collected: instantAt(moment, offsetIn(moment, zone)), reason } }, bottleFilled.payload),
    check: ({ stated }) => (Date.parse(stated!.collected.utc) > now() ? [{ path: 'moment', message: 'This is later than now.' }] : []),
    at: (path) => (path.endsWith('reason') ? 'reason' : path.startsWith('stated') ? 'moment' : path),
    write: async (payload, { id, kept }) => {
      await append(bottleFilled, payload, { at: bottle.visit, id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Filled and capped then" className="stack" leave={{ says: 'Not so', by: close }}>
      <Field name="moment" label="Time of collection">
        <MomentInput zone={zone} />
      </Field>
      <Field name="reason" label="Why not now" placeholder="hands full, no phone at the tap …" />
    </EntryForm>
  );
}
