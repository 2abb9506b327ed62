import { comparedByHand, handOutcomeNames, handOutcomes, type HandOutcome } from '@fonte/core/read';
import type { HandSample } from '@fonte/core/round';
import { Input, Radio } from 'antd';
import type { z } from 'zod';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { Mark, type MarkKind } from '../theme/Mark.tsx';

const marks: Record<HandOutcome, MarkKind> = { meets: 'good', over: 'stop', 'cannot-tell': 'open' };

/** Samples of which Fonte has no values: a person reads the report, compares it with the limits and writes down what came of it. */
export function ByHand() {
  const { round } = useRound();
  if (round.handSamples.length === 0) return null;
  return (
    <section className="stack">
      <h2>To be compared by hand</h2>
      <p className="soft small">Fonte has no values for these. Nothing it says of this round covers them.</p>
      <ul className="plain stack">
        {round.handSamples.map((one) => (
          <Sample key={one.set} sample={one} />
        ))}
      </ul>
    </section>
  );
}

function Sample({ sample: { set, pointName, measures, given } }: { sample: HandSample }) {
  return (
    <li className="row between">
      <span className={`word tone-${given ? marks[given.outcome] : 'open'}`}>
        <Mark kind={given ? marks[given.outcome] : 'open'} />
        <span>
          {pointName}, {set}: {measures}. {given ? `${handOutcomeNames[given.outcome]}: ${given.words}` : 'Not compared yet'}
        </span>
      </span>
      {given ? (
        <Correct entry={given.entry} kind={comparedByHand} what={`what was compared of ${set}`} label="Take it back" />
      ) : (
        <FormDialog open="Compared" by={comparedByHand.by} title={`${set}: ${measures}`} aria-label={`Compared: ${set}`}>
          {(close) => <Compare set={set} close={close} />}
        </FormDialog>
      )}
    </li>
  );
}

function Compare({ set, close }: { set: string; close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<{ outcome: HandOutcome | null; words: string }, z.output<typeof comparedByHand.payload>>({
    keep: `by-hand.${set}`,
    initial: { outcome: null, words: '' },
    schema: comparedByHand.payload,
    read: (values) => asTyped({ set, ...values }, comparedByHand.payload),
    write: async (payload, { id, kept }) => {
      await append(comparedByHand, payload, { id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Write it down" enter="nothing" className="stack" leave={{ says: 'Later', by: close }}>
      <p>Compare every value with its limit, unit by unit. One over is over; one not given is not told.</p>
      <Field name="outcome">
        <Radio.Group options={handOutcomes.map((value) => ({ value, label: handOutcomeNames[value] }))} />
      </Field>
      <Field name="words" placeholder="mercury 0.02 µg/L, limit 1.0 …">
        <Input.TextArea rows={3} />
      </Field>
    </EntryForm>
  );
}
