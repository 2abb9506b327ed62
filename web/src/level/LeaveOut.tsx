import { atRest, leftOutNames, leftOutWhys, levelLeftOut, levelRecord, questionDry, type LevelState } from '@fonte/core/level';
import type { VisitState } from '@fonte/core/round';
import { base, showTyped, type Typed } from '@fonte/core/units';
import { Radio } from 'antd';
import type { z } from 'zod';
import { useAnswer } from '../api/useAnswer.ts';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { Mark } from '../theme/Mark.tsx';
import { useUnitSystem } from '../units/system.ts';

interface Draft {
  why: '' | (typeof leftOutWhys)[number];
  reached: Typed;
  reason: string;
}

/** Where no level can be read: the well is dry, the tape does not get past something. The work goes on without it. */
export function LeaveOut({ visit, level: { agreed, leftOut } }: { visit: VisitState; level: LevelState }) {
  if (agreed && !leftOut) return null;
  if (leftOut)
    return (
      <div className="finding question">
        <Mark kind="question" />
        <p>
          <span className="strong">
            {leftOut.why === 'dry' ? 'No sample: dry.' : `Left out: ${leftOutNames[leftOut.why].toLowerCase()}.`}
          </span>{' '}
          {leftOut.reached && `The tape came down to ${showTyped(leftOut.reached)}. `}
          {leftOut.reason}
          {leftOut.why === 'dry' && visit.analyses.length > 0 && ' What was to be sampled here is still owed.'}
        </p>
        <div>
          <Correct entry={leftOut.entry} kind={levelLeftOut} what="leaving the level out" label="Take it back" />
        </div>
      </div>
    );
  return (
    <div>
      <FormDialog type="text" by={levelLeftOut.by} open="The level cannot be read" title="Leave the level out">
        {(close) => <LeaveOutForm visit={visit} close={close} />}
      </FormDialog>
    </div>
  );
}

function LeaveOutForm({ visit, close }: { visit: VisitState; close: () => void }) {
  const { append } = useRound();
  const { system } = useUnitSystem();
  const { data: history = [] } = useAnswer(levelRecord, { in: { point: visit.point.id } });
  const record = atRest(history);
  const point = visit.point.type === 'well' ? visit.point : null;
  const form = useEntryForm<Draft, z.output<typeof levelLeftOut.payload>>({
    keep: `level-left-out.${visit.id}`,
    initial: { why: '', reached: { text: '', unit: system === 'us' ? 'ft' : 'm' }, reason: '' },
    schema: levelLeftOut.payload,
    ask: ({ why, reached }) =>
      why === 'dry' && reached && point ? questionDry(base(reached), point.well.measuringPoints[0]!, point.well, record) : [],
    write: async (payload, { id, kept }) => {
      await append(levelLeftOut, payload, { at: visit.id, id, kept });
      close();
    },
  });
  const { why } = form.values;
  return (
    <EntryForm of={form} submit="Leave the level out" tone="danger" enter="nothing" className="stack" leave={{ says: 'Back', by: close }}>
      <Field name="why">
        <Radio.Group
          className="decisions"
          aria-label="What is it"
          options={leftOutWhys.map((value) => ({ value, label: leftOutNames[value] }))}
        />
      </Field>
      {(why === 'dry' || why === 'obstructed') && <Field name="reached" hint="Below the mark" />}
      <Field name="reason" />
    </EntryForm>
  );
}
