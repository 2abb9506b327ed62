import { struck, type Entry, type EntryKind } from '@fonte/core/book';
import type { Finding } from '@fonte/core/findings';
import { questionMoment } from '@fonte/core/round';
import { instantAt } from '@fonte/core/time';
import { Button } from 'antd';
import { useRef, type ReactNode } from 'react';
import { z } from 'zod';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { Mark } from '../theme/Mark.tsx';
import { now } from '../time/clock.ts';
import { MomentInput } from '../time/MomentInput.tsx';
import { sayConsequence } from './consequences.ts';
import { useRound } from './useRound.ts';

interface Props<S extends z.ZodType, V extends object> {
  entry: string;
  kind: Omit<EntryKind<string, S>, 'files'>;
  /** What is struck, in a few words, for the button's name and the dialog. */
  what: string;
  /** What stands, as the form has it; without it only the time can be another. */
  stands?: V;
  /** Fields for what should stand, each below `instead`. */
  children?: (instead: V) => ReactNode;
  /** What should stand, where it is not just what the form has. */
  as?: (instead: V) => object;
  /** What is odd about what should stand: it is asked about as at first. */
  ask?: (instead: z.output<S>) => Finding[];
  /** What the button says; `Correct` unless another word fits better. */
  label?: string;
}

/** Strikes an entry and says why, or puts other words or another time in its place: the old text stays in the book. */
export function Correct<S extends z.ZodType, V extends object>({ what, label = 'Correct', ...props }: Props<S, V>) {
  const { entries } = useRound();
  const { title } = props.kind;
  const entry = entries.find((one) => one.id === props.entry);
  if (!entry) return null;
  return (
    <FormDialog
      type="text"
      size="small"
      by={struck.by.filter((writer) => props.kind.by.includes(writer))}
      open={label}
      aria-label={`${label} ${what}`}
      title={what.startsWith(title.toLowerCase()) ? title + what.slice(title.length) : `${title}: ${what}`}
    >
      {(close) => <Correction {...props} entry={entry} close={close} />}
    </FormDialog>
  );
}

interface Draft<V> {
  instead: V | null;
  /** When it was: ms since 1970 in UTC. */
  moment: number;
  reason: string;
}

type CorrectionProps<S extends z.ZodType, V extends object> = Pick<Props<S, V>, 'kind' | 'stands' | 'children' | 'as' | 'ask'> & {
  entry: Entry;
  close: () => void;
};

function Correction<S extends z.ZodType, V extends object>({
  entry,
  kind,
  stands,
  children,
  as = (instead) => instead,
  ask,
  close,
}: CorrectionProps<S, V>) {
  const { append, round, consequencesOf } = useRound();
  const written = Date.parse(entry.at.utc);
  const mayReplace = kind.correction === 'replace';
  const isReplacing = useRef(mayReplace);
  const schema = z.object({ reason: struck.payload.shape.reason.meta({ title: 'Why' }), instead: kind.payload.optional() });

  const read = ({ instead, reason }: Pick<Draft<V>, 'instead' | 'reason'>, replacing: boolean) => {
    // Nothing is said of a payload that stands as it is.
    const isChanged = instead !== null && JSON.stringify(instead) !== JSON.stringify(stands);
    return asTyped({ reason, ...(replacing && isChanged ? { instead: as(instead) } : {}) }, schema);
  };
  const payloadOf = ({ reason, instead }: z.infer<typeof schema>, moment: number, replacing: boolean): z.input<typeof struck.payload> => {
    const change = {
      ...(instead === undefined ? {} : { payload: instead, version: kind.version }),
      ...(moment === written ? {} : { at: instantAt(moment, entry.at.offset) }),
    };
    return { entry: entry.id, kind: kind.kind, reason, ...(replacing ? { instead: change } : {}) };
  };
  const form = useEntryForm<Draft<V>, z.infer<typeof schema>>({
    keep: `correction.${entry.id}`,
    initial: { instead: stands ?? null, moment: written, reason: '' },
    schema,
    read: (draft) => read(draft, isReplacing.current),
    at: (path) => path.replace(/^instead\.payload\b/, 'instead'),
    ask: ({ instead }, { moment: said }) => [
      ...(isReplacing.current ? questionMoment(round, entry, said, now()) : []),
      ...(ask && isReplacing.current && instead !== undefined ? ask(instead) : []),
    ],
    write: async (said, { id, kept }) => {
      await append(struck, payloadOf(said, form.values.moment, isReplacing.current), { at: entry.visit, id, kept });
      close();
    },
  });
  const { instead, moment } = form.values;
  const writeAs = (replacing: boolean) => () => {
    isReplacing.current = replacing;
    form.form.submit();
  };
  const leave = () => {
    form.clear();
    close();
  };
  const consequences = (replacing: boolean) => {
    // The reason does not matter for what follows.
    const parsed = schema.safeParse(read({ instead, reason: 'what would follow' }, replacing).value);
    if (!parsed.success) return [];
    return consequencesOf(struck, payloadOf(parsed.data, moment, replacing), { at: entry.visit }).map((one) =>
      sayConsequence(one, round.plan.zone),
    );
  };
  return (
    <EntryForm
      of={form}
      submit={mayReplace ? 'Write the correction' : 'Strike it'}
      tone={mayReplace ? 'primary' : 'danger'}
      enter="nothing"
      onSubmit={writeAs(mayReplace)}
      className="stack"
      leave={{ says: 'Leave it', by: leave }}
      beside={
        mayReplace && (
          <Button size="large" danger loading={form.busy} onClick={writeAs(false)}>
            Strike it
          </Button>
        )
      }
    >
      {instead && children?.(instead)}
      {mayReplace && (
        <Field name="moment" label="When it was">
          <MomentInput zone={round.plan.zone} />
        </Field>
      )}
      <Field name="reason" placeholder="misread, typing slip, wrong well …" />
      <Consequences corrected={mayReplace && (moment !== written || stands) ? consequences(true) : []} gone={consequences(false)} />
      <p className="soft small">The old entry stays in the book, struck through, with your initials.</p>
    </EntryForm>
  );
}

/** What each of the two acts would change beside the entry itself, before one of them is chosen. */
function Consequences({ corrected, gone }: { corrected: string[]; gone: string[] }) {
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
