import { cardOf, type RuleId } from '@fonte/core/bottles';
import { labAdded } from '@fonte/core/plan';
import { registerLists, type Lab } from '@fonte/core/registers';
import { Checkbox, Select } from 'antd';
import type { z } from 'zod';
import { useAnswer } from '../api/useAnswer.ts';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { ManySelect } from '../form/ManySelect.tsx';

/** The labs that bottles of this round go to beside its own, and one more. */
export function OtherLabs() {
  const { round } = useRound();
  const table = round.tables.bottles;
  if (!table || round.bottles.length === 0) return null;
  const kinds = [...new Set(round.bottles.map(({ rule }) => rule))];
  return (
    <div className="stack">
      {round.labs.map(({ entry, lab, bottles, splits }) => (
        <p key={entry}>
          To <span className="strong">{lab.name}</span>:{' '}
          {[...bottles.map((rule) => cardOf(table, rule).name), ...(splits ? ['splits'] : [])].join(', ')}.{' '}
          <Correct entry={entry} kind={labAdded} what={`that bottles go to ${lab.name}`} label="Take away" />
        </p>
      ))}
      <div>
        <FormDialog by={labAdded.by} open="Some bottles go to another lab" title="Another lab">
          {(close) => <Choose kinds={kinds} close={close} />}
        </FormDialog>
      </div>
    </div>
  );
}

interface Draft {
  lab: string;
  bottles: RuleId[];
  splits: boolean;
}

function Choose({ kinds, close }: { kinds: readonly RuleId[]; close: () => void }) {
  const { id: book, round, append } = useRound();
  const table = round.tables.bottles!;
  const { data: known } = useAnswer(registerLists.labs, { query: { limit: 200 } });
  const labs = (known ?? []).filter(({ id }) => id !== round.plan.lab?.id);
  const form = useEntryForm<Draft, z.output<typeof labAdded.payload>>({
    keep: `lab.${book}`,
    initial: { lab: '', bottles: [], splits: false },
    schema: labAdded.payload,
    read: ({ lab, ...rest }) => ({ value: { ...rest, lab: labs.find(({ id }) => id === lab) as Lab | undefined }, problems: [] }),
    at: (path) => (path.startsWith('lab') ? 'lab' : path),
    write: async (payload, { id, kept }) => {
      await append(labAdded, payload, { id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="They go there" className="stack" leave={{ says: 'Not now', by: close }}>
      <Field name="lab" label="Which lab">
        <Select size="large" options={labs.map(({ id, name }) => ({ value: id, label: name }))} />
      </Field>
      <Field name="bottles" label="All bottles of these kinds">
        <ManySelect options={kinds.map((rule) => ({ value: rule, label: cardOf(table, rule).name }))} />
      </Field>
      <Field name="splits" label="" isTicked>
        <Checkbox>Splits, of whatever kind</Checkbox>
      </Field>
    </EntryForm>
  );
}
