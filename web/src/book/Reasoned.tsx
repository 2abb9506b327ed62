import type { EntryKind } from '@fonte/core/book';
import type { ReactNode } from 'react';
import type { z } from 'zod';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { Mark } from '../theme/Mark.tsx';
import { Correct } from './Correct.tsx';
import { useRound } from './useRound.ts';

interface Props {
  /** What is written down: nothing but a reason. */
  kind: EntryKind<string, z.ZodObject<{ reason: z.ZodString }>>;
  /** That it stands, and why. */
  stood: { entry: string; reason: string } | null;
  /** The visit it belongs to. */
  at?: string;
  /** The name of its draft. */
  keep: string;
  words: {
    /** On the button that opens it, on the dialog, at the field, and on its two buttons. */
    open: string;
    title: string;
    why: string;
    write: string;
    back: string;
    /** Where it stands, and what taking it back is called. */
    stood: string;
    what: string;
    undo?: string;
  };
  children?: ReactNode;
}

/** Something is left out or given up, with a reason, and can be taken back: it says so where it was. */
export function Reasoned({ kind, stood, at: visit, keep, words, children }: Props) {
  if (stood)
    return (
      <div className="finding question">
        <Mark kind="question" />
        <p>
          <span className="strong">{words.stood}.</span> {stood.reason}
        </p>
        <div>
          <Correct entry={stood.entry} kind={kind} what={words.what} label={words.undo ?? 'Take it back'} />
        </div>
      </div>
    );
  return (
    <div>
      <FormDialog type="text" by={kind.by} open={words.open} title={words.title}>
        {(close) => (
          <Reason kind={kind} {...(visit ? { at: visit } : {})} keep={keep} words={words} close={close}>
            {children}
          </Reason>
        )}
      </FormDialog>
    </div>
  );
}

function Reason({ kind, at: visit, keep, words, children, close }: Omit<Props, 'stood'> & { close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<{ reason: string }, { reason: string }>({
    keep,
    initial: { reason: '' },
    schema: kind.payload,
    write: async (payload, { id, kept }) => {
      await append(kind, payload, { ...(visit ? { at: visit } : {}), id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit={words.write} tone="danger" enter="nothing" className="stack" leave={{ says: words.back, by: close }}>
      {children}
      <Field name="reason" label={words.why} />
    </EntryForm>
  );
}
