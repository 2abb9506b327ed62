import { struck, type EntryKind } from '@fonte/core/book';
import { Button, Input, Modal } from 'antd';
import { useId, useState, type ReactNode } from 'react';
import type { z } from 'zod';
import { Said } from './Said.tsx';
import { useAction } from './useAction.ts';
import { useRound } from './useRound.ts';

interface Props<S extends z.ZodType> {
  entry: string;
  kind: EntryKind<string, S>;
  /** What is struck, in a few words, for the button's name and the dialog. */
  what: string;
  /** The corrected payload, or undefined to strike without putting anything in its place. */
  instead?: () => z.input<S> | undefined;
  /** Fields for the corrected value. */
  children?: ReactNode;
  onOpen?: () => void;
}

/** Strikes an entry and says why: the old text stays in the book, struck through, with date and initials. */
export function Correct<S extends z.ZodType>({ entry, kind, what, instead, children, onOpen }: Props<S>) {
  const { append } = useRound();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const { busy, run, at, say, forget } = useAction();
  const id = useId();
  const write = (withInstead: boolean) =>
    run(async () => {
      const payload = withInstead ? instead?.() : undefined;
      await append(struck, { entry, reason, ...(payload === undefined ? {} : { instead: payload }) });
      setOpen(false);
      setReason('');
    });
  return (
    <>
      <Button
        type="text"
        size="small"
        aria-label={`Correct ${what}`}
        onClick={() => {
          forget();
          onOpen?.();
          setOpen(true);
        }}
      >
        Correct
      </Button>
      <Modal open={open} onCancel={() => setOpen(false)} title={`${kind.title}: ${what}`} destroyOnHidden footer={null}>
        <div className="stack">
          {children}
          <div className="typed">
            <label htmlFor={id}>Why</label>
            <Input
              id={id}
              value={reason}
              maxLength={500}
              onChange={(event) => setReason(event.target.value)}
              placeholder="misread, typing slip, wrong well …"
            />
            {at('reason') && <p className="field-error">{at('reason')}</p>}
          </div>
          <p className="soft small">The old entry stays in the book, struck through, with your initials.</p>
          <Said say={at('reason') ? null : say} />
          <div className="row">
            {instead && (
              <Button type="primary" loading={busy} onClick={() => void write(true)}>
                Write the correction
              </Button>
            )}
            <Button danger loading={busy} onClick={() => void write(false)}>
              Strike it
            </Button>
            <Button onClick={() => setOpen(false)}>Leave it</Button>
          </div>
        </div>
      </Modal>
    </>
  );
}
