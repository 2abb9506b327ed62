import { stepReopened, type Step } from '@fonte/core/tap';
import type { VisitState } from '@fonte/core/round';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';

interface Props {
  visit: VisitState;
  procedure: string;
  step: Step;
}

/** Goes back to a step that was done: it and what came after it is done again. */
export function Reopen({ open, type = 'text', ...props }: Props & { open: string; type?: 'text' | 'default' }) {
  return (
    <FormDialog
      type={type}
      open={open}
      title={`Back to “${props.step.say}”`}
      by={stepReopened.by}
      size="small"
      aria-label={`${open}: ${props.step.say}`}
    >
      {(close) => <ReopenForm {...props} close={close} />}
    </FormDialog>
  );
}

function ReopenForm({ visit, procedure, step, close }: Props & { close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<{ reason: string }, z.output<typeof stepReopened.payload>>({
    keep: `reopen.${visit.id}.${procedure}.${step.id}`,
    initial: { reason: '' },
    schema: stepReopened.payload,
    read: ({ reason }) => ({ value: { procedure, step: step.id, reason }, problems: [] }),
    write: async (payload, { id, kept }) => {
      await append(stepReopened, payload, { at: visit.id, id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Go back to this step" className="stack" leave={{ says: 'Cancel', by: close }}>
      <p>This step and the ones after it are done again. What was recorded before stays in the field book.</p>
      <Field name="reason" label="Why" />
    </EntryForm>
  );
}
