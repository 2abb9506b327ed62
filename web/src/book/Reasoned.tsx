import type { EntryKind } from '@fonte/core/book';
import { Button, Input, Modal } from 'antd';
import { useState, type ReactNode } from 'react';
import type { z } from 'zod';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { Labelled } from '../form/Labelled.tsx';
import { Mark } from '../theme/Mark.tsx';
import { useDraft } from '../units/useDraft.ts';
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
  };
  children?: ReactNode;
}

/** Something is left out or given up, with a reason, and can be taken back: it says so where it was. */
export function Reasoned({ kind, stood, at: visit, keep, words, children }: Props) {
  const { append } = useRound();
  const [open, setOpen] = useState(false);
  const [reason, setReason, clear, entryId] = useDraft(keep, '');
  const { busy, run, at, say } = useAction();
  if (stood)
    return (
      <div className="finding question">
        <Mark kind="question" />
        <p>
          <span className="strong">{words.stood}.</span> {stood.reason}
        </p>
        <div>
          <Correct entry={stood.entry} kind={kind} what={words.what} label="Take it back" />
        </div>
      </div>
    );
  const write = () =>
    run(async () => {
      await append(kind, { reason }, { ...(visit ? { at: visit } : {}), id: entryId, kept: clear });
      setOpen(false);
    });
  return (
    <div>
      <Button type="text" onClick={() => setOpen(true)}>
        {words.open}
      </Button>
      <Modal open={open} title={words.title} onCancel={() => setOpen(false)} footer={null} destroyOnHidden>
        <div className="stack">
          {children}
          <Labelled label={words.why} error={at('reason')}>
            {(field) => (
              <Input id={field} size="large" value={reason} maxLength={300} onChange={(event) => setReason(event.target.value)} />
            )}
          </Labelled>
          <Said say={at('reason') ? null : say} />
          <div className="row">
            <Button danger loading={busy} onClick={() => void write()}>
              {words.write}
            </Button>
            <Button onClick={() => setOpen(false)}>{words.back}</Button>
          </div>
        </div>
      </Modal>
    </div>
  );
}
