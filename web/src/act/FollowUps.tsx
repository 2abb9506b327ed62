import { actionDone, sayTask, type FollowUp } from '@fonte/core/act';
import { Button, Input } from 'antd';
import { useId, useState } from 'react';
import { Correct } from '../book/Correct.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';
import { Deadline } from '../time/Countdown.tsx';
import { showMoment } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
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
  const { round, append } = useRound();
  const [open, setOpen] = useState(false);
  const [note, setNote] = useState('');
  const { busy, run, at, say } = useAction();
  const time = useNow(15_000);
  const id = useId();
  const done = () =>
    run(async () => {
      await append(actionDone, { action: action.id, note });
      setOpen(false);
    });
  return (
    <li className={action.done ? 'done' : ''}>
      <span>
        <span className="do">{sayTask(action.task).do}</span>
        <br />
        <span className="soft small">
          {action.pointName}: {sayTask(action.task).because}. {action.source}.
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
      {!action.done && !open && (
        <span>
          <Button onClick={() => setOpen(true)}>Done …</Button>
        </span>
      )}
      {!action.done && open && (
        <form
          className="stack"
          onSubmit={(event) => {
            event.preventDefault();
            void done();
          }}
        >
          <div className="typed">
            <label htmlFor={id}>What was done</label>
            <Input id={id} autoFocus value={note} maxLength={500} onChange={(event) => setNote(event.target.value)} />
            {at('note') && <p className="field-error">{at('note')}</p>}
          </div>
          <Said say={at('note') ? null : say} />
          <div className="row">
            <Button type="primary" htmlType="submit" loading={busy}>
              Write it down
            </Button>
            <Button onClick={() => setOpen(false)}>Not yet</Button>
          </div>
        </form>
      )}
    </li>
  );
}
