import { refOfOwnSet } from '@fonte/core/registers';
import { judgedAnew } from '@fonte/core/plan';
import type { z } from 'zod';
import { useMe } from '../session/session.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { sayConsequence } from '../book/consequences.ts';
import { useRound } from '../book/useRound.ts';
import { LimitSets, ownAmong, setsOffered } from '../editions/LimitSets.tsx';
import { useOwnSets } from '../editions/useOwnSets.ts';

/** Has the round judged by other sets of limits: an act of the coordinator, with a reason, that stands in the book. */
export function JudgeAnew() {
  const me = useMe();
  if (!judgedAnew.by.includes(me.role)) return null;
  return (
    <FormDialog open="Judge by other limits" title="Judge this round by other limits">
      {(close) => <Judge close={close} />}
    </FormDialog>
  );
}

function Judge({ close }: { close: () => void }) {
  const { id: book, round, append, consequencesOf } = useRound();
  // What came with the book, and what the register has: a set that was changed since is another edition.
  const registered = useOwnSets();
  const refs = new Set(registered.map(refOfOwnSet));
  const brought = round.ownLimits.filter((one) => round.editions.limits.includes(refOfOwnSet(one)) && !refs.has(refOfOwnSet(one)));
  const own = [...registered, ...brought];
  const form = useEntryForm<{ limits: string[]; reason: string }, z.output<typeof judgedAnew.payload>>({
    keep: `judge-anew.${book}`,
    initial: { limits: round.editions.limits, reason: '' },
    schema: judgedAnew.payload,
    read: (said) => ({ value: { ...said, ...ownAmong(said.limits, own) }, problems: [] }),
    write: async (payload, { id, kept }) => {
      await append(judgedAnew, payload, { id, kept });
      close();
    },
  });
  const { limits } = form.values;
  const isSame = limits.join() === round.editions.limits.join();
  const follows =
    !isSame && limits.length > 0 ? consequencesOf(judgedAnew, { limits, ...ownAmong(limits, own), reason: 'what would follow' }) : [];
  return (
    <EntryForm
      of={form}
      submit="Judge anew"
      enter="nothing"
      disabled={isSame}
      className="stack"
      leave={{
        says: 'Leave it',
        by: () => {
          form.clear();
          close();
        },
      }}
    >
      <Field name="limits">
        <LimitSets sets={setsOffered(round.plan.date, own, round.editions.limits)} />
      </Field>
      <Field name="reason" />
      {follows.length > 0 && (
        <ul className="small" aria-label="What would follow">
          {follows
            .map((one) => sayConsequence(one, round.plan.zone))
            .map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
        </ul>
      )}
      <p className="soft small">Follow-ups come of the set that leads. What was judged before stays in the book.</p>
    </EntryForm>
  );
}
