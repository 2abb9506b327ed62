import { remarkMade } from '@fonte/core/pictures';
import type { VisitState } from '@fonte/core/round';
import { Input } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';

/** A remark at whatever step: it stands in the book with what was being done, and changes nothing else. */
export function RemarkHere({ visit }: { visit: VisitState }) {
  return (
    <FormDialog type="text" by={remarkMade.by} open="Remark" title={`Remark at ${visit.name}`}>
      {(close) => <Form visit={visit} close={close} />}
    </FormDialog>
  );
}

/** What is being done here now, in the words of its step. */
const stepNow = ({ runs }: VisitState): string => runs.find(({ now }) => now !== null)?.now?.step.say ?? '';

function Form({ visit, close }: { visit: VisitState; close: () => void }) {
  const { append } = useRound();
  const about = stepNow(visit);
  const form = useEntryForm<{ text: string }, z.output<typeof remarkMade.payload>>({
    keep: `remark.${visit.id}`,
    initial: { text: '' },
    schema: remarkMade.payload,
    read: ({ text }) => ({ value: { text, about }, problems: [] }),
    write: async (payload, { id, kept }) => {
      await append(remarkMade, payload, { at: visit.id, id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Write it down" enter="nothing" className="stack" leave={{ says: 'Not now', by: close }}>
      {about !== '' && <p className="soft small">At “{about}”</p>}
      <Field name="text">
        <Input.TextArea autoSize={{ minRows: 2, maxRows: 6 }} maxLength={600} autoFocus />
      </Field>
    </EntryForm>
  );
}
