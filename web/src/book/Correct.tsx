import { struck, type Entry, type EntryKind } from '@fonte/core/book';
import { instantAt } from '@fonte/core/time';
import { Button, Input, Modal } from 'antd';
import { useId, useState, type ReactNode } from 'react';
import type { z } from 'zod';
import { Mark } from '../theme/Mark.tsx';
import { MomentField } from '../time/MomentField.tsx';
import { sayConsequence } from './consequences.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from './useRound.ts';

interface Props<S extends z.ZodType> {
  entry: string;
  kind: Omit<EntryKind<string, S>, 'files'>;
  /** What is struck, in a few words, for the button's name and the dialog. */
  what: string;
  /** The corrected payload, or undefined where only the time can be another. */
  instead?: () => z.input<S> | undefined;
  /** Fields for the corrected value. */
  children?: ReactNode;
  onOpen?: () => void;
  /** What the button says; `Correct` unless another word fits better. */
  label?: string;
  /** Whether the payload was changed: nothing is said of one that stands as it is. */
  isChanged?: boolean;
}

/** Strikes an entry and says why, or puts other words or another time in its place: the old text stays in the book. */
export function Correct<S extends z.ZodType>({
  entry: id,
  kind,
  what,
  instead,
  children,
  onOpen,
  label = 'Correct',
  isChanged = true,
}: Props<S>) {
  const { append, entries, round, consequencesOf } = useRound();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const { busy, run, at, say, forget } = useAction();
  const field = useId();
  const entry = entries.find((one) => one.id === id);
  const [moment, setMoment] = useState<number | null>(null);
  if (!entry) return null;
  const written = Date.parse(entry.at.utc);
  const isMoved = moment !== null && moment !== written;
  const mayReplace = kind.correction === 'replace';

  const payloadOf = (replacing: boolean) => {
    const payload = replacing && isChanged ? instead?.() : undefined;
    const change = {
      ...(payload === undefined ? {} : { payload, version: kind.version }),
      ...(replacing && isMoved ? { at: instantAt(moment, entry.at.offset) } : {}),
    };
    return { entry: id, kind: kind.kind, reason, ...(replacing ? { instead: change } : {}) };
  };
  const write = (replacing: boolean) =>
    run(async () => {
      await append(struck, payloadOf(replacing), { at: entry.visit });
      setOpen(false);
      setReason('');
    });
  return (
    <>
      <Button
        type="text"
        size="small"
        aria-label={`${label} ${what}`}
        onClick={() => {
          forget();
          setMoment(written);
          onOpen?.();
          setOpen(true);
        }}
      >
        {label}
      </Button>
      <Modal
        open={open}
        onCancel={() => setOpen(false)}
        title={what.startsWith(kind.title.toLowerCase()) ? kind.title + what.slice(kind.title.length) : `${kind.title}: ${what}`}
        destroyOnHidden
        footer={null}
      >
        {open && (
          <div className="stack">
            {children}
            {mayReplace && <MomentField label="When it was" value={moment ?? written} zone={round.plan.zone} onChange={setMoment} />}
            <div className="typed">
              <label htmlFor={field}>Why</label>
              <Input
                id={field}
                value={reason}
                maxLength={500}
                onChange={(event) => setReason(event.target.value)}
                placeholder="misread, typing slip, wrong well …"
              />
              {at('reason') && <p className="field-error">{at('reason')}</p>}
            </div>
            <Consequences
              entry={entry}
              payloadOf={payloadOf}
              mayReplace={mayReplace && (isMoved || instead !== undefined)}
              of={consequencesOf}
            />
            <p className="soft small">The old entry stays in the book, struck through, with your initials.</p>
            <Said say={at('reason') ? null : say} />
            <div className="row">
              {mayReplace && (
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
        )}
      </Modal>
    </>
  );
}

interface ConsequencesProps {
  entry: Entry;
  payloadOf: (replacing: boolean) => z.input<typeof struck.payload>;
  mayReplace: boolean;
  of: ReturnType<typeof useRound>['consequencesOf'];
}

/** What each of the two acts would change beside the entry itself, before one of them is chosen. */
function Consequences({ entry, payloadOf, mayReplace, of }: ConsequencesProps) {
  const { round } = useRound();
  const sentences = (replacing: boolean) => {
    // The reason does not matter for what follows.
    const payload = { ...payloadOf(replacing), reason: 'what would follow' };
    return of(struck, payload, { at: entry.visit }).map((one) => sayConsequence(one, round.plan.zone));
  };
  const [corrected, gone] = [mayReplace ? sentences(true) : [], sentences(false)];
  if (corrected.length + gone.length === 0) return null;
  const list = (title: string, said: string[]) =>
    said.length > 0 && (
      <>
        <p className="strong">{title}</p>
        <ul>
          {said.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      </>
    );
  return (
    <div className="finding question small" role="status">
      <Mark kind="question" />
      {list('Corrected so:', corrected)}
      {list('Struck:', gone)}
    </div>
  );
}
