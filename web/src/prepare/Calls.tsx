import { callAnswerNames, callAnswers, callMade, callsToMake, type CallToMake } from '@fonte/core/prepare';
import { Radio } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { Mark, type MarkKind } from '../theme/Mark.tsx';
import { showTime } from '../time/show.ts';

const marks: Record<(typeof callAnswers)[number], MarkKind> = { yes: 'good', no: 'stop', nobody: 'open' };

/** Who is to be called before leaving, and what they said. */
export function Calls() {
  const { round } = useRound();
  const calls = callsToMake(round.plan.visits, round.plan.lab);
  if (calls.length === 0) return null;
  return (
    <section className="stack">
      <h2>Calls</h2>
      <ul className="plain calls">
        {calls.map((call) => (
          <Line key={`${call.point} ${call.whom}`} call={call} />
        ))}
      </ul>
    </section>
  );
}

function Line({ call }: { call: CallToMake }) {
  const { round } = useRound();
  const made = round.prepare.calls.findLast(({ point, whom }) => point === call.point && whom === call.whom);
  const where = round.visits.find(({ point }) => point.id === call.point)?.name;
  return (
    <li>
      <div>
        <p>
          <span className="strong">{call.whom}</span>
          {where ? `, ${where}` : ''} {call.call && <span className="soft">{call.call}</span>}
        </p>
        <p className="small soft">
          {call.ask ??
            (call.about === 'lab'
              ? 'Do they take these samples that day, and are bottles and form there?'
              : 'Does somebody let us in, and is no water used before where it must stand?')}
        </p>
        {made && (
          <p className={`word tone-${marks[made.answer]} small`}>
            <Mark kind={marks[made.answer]} />
            {callAnswerNames[made.answer]}, {showTime(made.at, round.plan.zone)}
            {made.words ? `: ${made.words}` : ''}
          </p>
        )}
      </div>
      <FormDialog
        open={made ? 'Called again' : 'Called'}
        by={callMade.by}
        title={`${call.whom}, called`}
        aria-label={`Called: ${call.whom}`}
      >
        {(close) => <Called call={call} close={close} />}
      </FormDialog>
    </li>
  );
}

function Called({ call: { point, whom }, close }: { call: CallToMake; close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<{ answer: (typeof callAnswers)[number] | null; words: string }, z.output<typeof callMade.payload>>({
    keep: `call.${point ?? 'lab'}.${whom}`,
    initial: { answer: null, words: '' },
    schema: callMade.payload,
    read: (values) => asTyped({ ...values, whom, ...(point ? { point } : {}) }, callMade.payload),
    write: async (payload, { id, kept }) => {
      await append(callMade, payload, { id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Write it down" className="stack" leave={{ says: 'Not yet', by: close }}>
      <Field name="answer">
        <Radio.Group options={callAnswers.map((value) => ({ value, label: callAnswerNames[value] }))} />
      </Field>
      <Field name="words" placeholder="after ten, ring at the side door" />
    </EntryForm>
  );
}
