import { shownSource } from '@fonte/core/editions';
import { purgeDecided, trouble, troubleIds, type PurgeDecision, type PurgeState, type TroubleId } from '@fonte/core/purge';
import type { VisitState } from '@fonte/core/round';
import { Radio, Select } from 'antd';
import type { z } from 'zod';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { showTime } from '../time/show.ts';

const makesWords = { noted: 'Noted', special: 'Special: not for compliance', invalid: 'Spoilt: to be taken again' } as const;

interface Draft {
  trouble: TroubleId | undefined;
  choice: string;
  reason: string;
}

function DecisionForm({ visit, about, close }: { visit: VisitState; about: TroubleId | undefined; close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<Draft, z.output<typeof purgeDecided.payload>>({
    keep: `purge-decided.${visit.id}`,
    initial: { trouble: about, choice: '', reason: '' },
    schema: purgeDecided.payload,
    read: (draft) => asTyped({ ...draft, trouble: draft.trouble ?? '' }, purgeDecided.payload),
    write: async (payload, { id, kept }) => {
      await append(purgeDecided, payload, { at: visit.id, id, kept });
      close();
    },
  });
  const { trouble: id } = form.values;
  const row = id ? trouble(id) : null;
  return (
    <EntryForm of={form} submit="Write the decision down" enter="nothing" className="stack">
      <Field name="trouble" hint={row?.seen}>
        <Select<TroubleId>
          size="large"
          placeholder="Choose"
          options={troubleIds.map((value) => ({ value, label: trouble(value).name }))}
          onChange={() => form.set({ choice: '' })}
        />
      </Field>
      {row && (
        <>
          <Field name="choice" hint={`${shownSource(row.source)}. Your plan and your employer’s rules come first.`}>
            <Radio.Group
              className="decisions"
              aria-label="What is done"
              options={Object.entries(row.choices).map(([value, choice]) => ({
                value,
                label: (
                  <span>
                    {choice.do}
                    <br />
                    <span className="small soft">
                      {makesWords[choice.makes]}. {choice.because}
                    </span>
                  </span>
                ),
              }))}
            />
          </Field>
          <Field name="reason" placeholder="what was seen, and why so" />
        </>
      )}
    </EntryForm>
  );
}

/** Something is wrong: what it is, the ways on from it, and what each makes of the sample. */
export function Trouble({ visit, about, open = 'Something is wrong' }: { visit: VisitState; about?: TroubleId; open?: string }) {
  return (
    <FormDialog open={open} title="What is wrong, and what is done" by={purgeDecided.by}>
      {(close) => <DecisionForm visit={visit} about={about} close={close} />}
    </FormDialog>
  );
}

function Decided({ decision: { entry, at, trouble: id, choice, reason } }: { decision: PurgeDecision }) {
  const { round } = useRound();
  const row = trouble(id).choices[choice];
  return (
    <li>
      <span className="strong">{trouble(id).name}</span>, {showTime(at, round.plan.zone)}: {row?.do ?? choice}. {reason}{' '}
      {row && <span className="soft small">{makesWords[row.makes]}.</span>}{' '}
      <Correct entry={entry} kind={purgeDecided} what="the decision" />
    </li>
  );
}

/** What was decided so far, and why. */
export function Decisions({ purge }: { purge: PurgeState }) {
  const { decisions } = purge;
  if (decisions.length === 0) return null;
  return (
    <section className="stack">
      <h2>Decided</h2>
      <ul className="plain stack">
        {decisions.map((one) => (
          <Decided key={one.entry} decision={one} />
        ))}
      </ul>
    </section>
  );
}
