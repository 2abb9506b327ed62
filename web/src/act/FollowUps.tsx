import { shownSource } from '@fonte/core/editions';
import { actionDone, sayTask, type FollowUp } from '@fonte/core/act';
import { Button } from 'antd';
import { useState } from 'react';
import type { z } from 'zod';
import { Correct } from '../book/Correct.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { useRound } from '../book/useRound.ts';
import { May } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';
import { Deadline } from '../time/Countdown.tsx';
import { showMoment } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { PlanSample } from './PlanSample.tsx';
import './act.css';

/** What must be done, by when, and what was done about it. */
export function FollowUps() {
  const { round } = useRound();
  return (
    <section className="stack" id="follow-up">
      <h2>What must be done</h2>
      <ul className="follow-up plain">
        {round.followUps.map((action) => (
          <Line key={action.id} action={action} />
        ))}
      </ul>
    </section>
  );
}

function Line({ action }: { action: FollowUp }) {
  const { round } = useRound();
  const [open, setOpen] = useState(false);
  const time = useNow(15_000);
  return (
    <li className={action.done ? 'done' : ''}>
      <span>
        <span className="do">{sayTask(action.task).do}</span>
        <br />
        <span className="soft small">
          {action.pointName}: {sayTask(action.task).because}. {shownSource(action.source)}.
        </span>
      </span>
      {action.done ? (
        <span className="word tone-good">
          <Mark kind="good" />
          Done
        </span>
      ) : (
        <span className="stack" style={{ justifyItems: 'end', gap: 4 }}>
          <Deadline at={action.due} now={time} />
          <span className="small soft">by {showMoment(action.due, round.plan.zone)}</span>
        </span>
      )}
      {action.done && (
        <span className="small">
          {showMoment(action.done.at, round.plan.zone)}: {action.done.note}{' '}
          <Correct entry={action.done.entry} kind={actionDone} what="this follow-up" />
        </span>
      )}
      <PlanSample action={action} />
      {!action.done && !open && (
        <span>
          <May do={actionDone}>
            <Button onClick={() => setOpen(true)}>Done …</Button>
          </May>
        </span>
      )}
      {!action.done && open && <Done action={action} close={() => setOpen(false)} />}
    </li>
  );
}

function Done({ action, close }: { action: FollowUp; close: () => void }) {
  const { id: round, append } = useRound();
  const form = useEntryForm<{ note: string }, z.output<typeof actionDone.payload>>({
    keep: `done.${round}.${action.id}`,
    initial: { note: '' },
    schema: actionDone.payload,
    read: (values) => asTyped({ ...values, action: action.id }, actionDone.payload),
    write: async (payload, { id, kept }) => {
      await append(actionDone, payload, { id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Write it down" className="stack" leave={{ says: 'Not yet', by: close }}>
      <Field name="note" autoFocus />
    </EntryForm>
  );
}
