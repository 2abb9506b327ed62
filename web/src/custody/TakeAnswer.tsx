import { answerTaken, answerWays, type HandOver } from '@fonte/core/custody';
import { Input, Segmented } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';

type Word = 'taken' | 'refused' | 'open';
interface Draft {
  reference: string;
  how: keyof typeof answerWays;
  whom: string;
  said: Record<string, { word: Word; reason: string }>;
}

/** Takes down what a lab said that has no desk to be asked, or what it said afterwards: a sample broke. */
export function TakeAnswer({ handOver }: { handOver: HandOver }) {
  return (
    <FormDialog by={answerTaken.by} open={handOver.answer ? 'The lab called' : 'It answered otherwise'} title="What the lab said">
      {(close) => <Taking handOver={handOver} close={close} />}
    </FormDialog>
  );
}

function Taking({ handOver: { entry, form: handed, answer }, close }: { handOver: HandOver; close: () => void }) {
  const { append, refresh } = useRound();
  const bottles = handed.bottles.map(({ bottle }) => bottle);
  const form = useEntryForm<Draft, z.output<typeof answerTaken.payload>>({
    keep: `answer.${entry}`,
    initial: {
      reference: answer?.reference ?? '',
      how: answer ? 'phone' : 'mail',
      whom: '',
      // Of what nothing is said yet, nothing is presumed.
      said: Object.fromEntries(bottles.map((bottle) => [bottle, { word: 'open' as const, reason: '' }])),
    },
    schema: answerTaken.payload,
    read: ({ said, ...rest }) =>
      asTyped(
        {
          ...rest,
          handOver: entry,
          bottles: bottles.flatMap((bottle) => {
            const { word = 'open', reason = '' } = said[bottle] ?? {};
            return word === 'open' ? [] : [{ bottle, accepted: word === 'taken', ...(reason.trim() ? { reason } : {}) }];
          }),
        },
        answerTaken.payload,
      ),
    check: ({ bottles: said }) =>
      said.flatMap(({ bottle, accepted, reason }) =>
        accepted || reason ? [] : [{ path: `said.${bottle}.reason`, message: 'Why is it refused?' }],
      ),
    write: async (payload, { id, kept }) => {
      await append(answerTaken, payload, { id, kept });
      await refresh();
      close();
    },
  });
  const all = (word: Word) => form.set({ said: Object.fromEntries(bottles.map((bottle) => [bottle, { word, reason: '' }])) });
  return (
    <EntryForm of={form} submit="Write it down" className="stack" enter="nothing" leave={{ says: 'Not now', by: close }}>
      <Field name="how">
        <Segmented aria-label="How it came" options={Object.entries(answerWays).map(([value, label]) => ({ value, label }))} />
      </Field>
      <Field name="whom" />
      <Field name="reference" />
      {bottles.length > 1 && !answer && (
        <p>
          <button type="button" className="as-link" onClick={() => all('taken')}>
            All {bottles.length} were taken
          </button>
        </p>
      )}
      {bottles.map((bottle) => (
        <div key={bottle} className="answer-line">
          <Field name={['said', bottle, 'word']} label={bottle}>
            <Segmented
              aria-label={bottle}
              options={[
                { value: 'open', label: 'Not said' },
                { value: 'taken', label: 'Taken' },
                { value: 'refused', label: 'Refused' },
              ]}
            />
          </Field>
          {form.values.said[bottle]?.word === 'refused' && (
            <Field name={['said', bottle, 'reason']} label="Why">
              <Input size="large" maxLength={300} />
            </Field>
          )}
        </div>
      ))}
    </EntryForm>
  );
}
