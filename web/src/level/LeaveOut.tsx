import { levelLeftOut, type LevelState } from '@fonte/core/level';
import type { VisitState } from '@fonte/core/round';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { Labelled } from '../form/Labelled.tsx';
import { Correct } from '../book/Correct.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';
import { useDraft } from '../units/useDraft.ts';

/** Where no tape gets in: the level is left out with a reason, and the work goes on without it. */
export function LeaveOut({ visit, level }: { visit: VisitState; level: LevelState }) {
  const { append } = useRound();
  const [open, setOpen] = useState(false);
  const [reason, setReason, clear, entryId] = useDraft(`level-left-out.${visit.id}`, '');
  const { busy, run, at, say } = useAction();
  if (level.leftOut)
    return (
      <div className="finding question">
        <Mark kind="question" />
        <p>
          <span className="strong">Left out.</span> {level.leftOut.reason}
        </p>
        <div>
          <Correct entry={level.leftOut.entry} kind={levelLeftOut} what="leaving the level out" label="Take it back" />
        </div>
      </div>
    );
  if (level.agreed) return null;
  if (!open)
    return (
      <div>
        <Button type="text" onClick={() => setOpen(true)}>
          The level cannot be read
        </Button>
      </div>
    );
  return (
    <section className="stack">
      <Labelled label="Why it cannot be read" error={at('reason')}>
        {(field) => <Input id={field} size="large" value={reason} maxLength={300} onChange={(event) => setReason(event.target.value)} />}
      </Labelled>
      <Said say={at('reason') ? null : say} />
      <div className="row">
        <Button loading={busy} onClick={() => void run(() => append(levelLeftOut, { reason }, { at: visit.id, id: entryId, kept: clear }))}>
          Leave the level out
        </Button>
        <Button onClick={() => setOpen(false)}>Back</Button>
      </div>
    </section>
  );
}
