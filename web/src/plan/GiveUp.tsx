import { roundGivenUp } from '@fonte/core/plan';
import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { Labelled } from '../form/Labelled.tsx';
import { Correct } from '../book/Correct.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';
import { useDraft } from '../units/useDraft.ts';

/** Gives the rest of a round up, with a reason; says so where it was. */
export function GiveUp() {
  const { id, round, append } = useRound();
  const [open, setOpen] = useState(false);
  const [reason, setReason, clear, entryId] = useDraft(`give-up.${id}`, '');
  const { busy, run, at, say } = useAction();
  if (round.givenUp)
    return (
      <div className="finding question">
        <Mark kind="question" />
        <p>
          <span className="strong">Given up.</span> {round.givenUp.reason}
        </p>
        <div>
          <Correct entry={round.givenUp.entry} kind={roundGivenUp} what="giving the round up" label="Take it back" />
        </div>
      </div>
    );
  const write = () =>
    run(async () => {
      await append(roundGivenUp, { reason }, { id: entryId, kept: clear });
      setOpen(false);
    });
  return (
    <div>
      <Button type="text" onClick={() => setOpen(true)}>
        Give this round up
      </Button>
      <Modal open={open} title="Give the rest of this round up" onCancel={() => setOpen(false)} footer={null} destroyOnHidden>
        <div className="stack">
          <p>Nothing more is asked for in the field. Bottles that are filled stay, with their clocks.</p>
          <Labelled label="Why" error={at('reason')}>
            {(field) => <Input id={field} value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} />}
          </Labelled>
          <Said say={at('reason') ? null : say} />
          <div className="row">
            <Button danger loading={busy} onClick={() => void write()}>
              Give it up
            </Button>
            <Button onClick={() => setOpen(false)}>Go on with it</Button>
          </div>
        </div>
      </Modal>
    </div>
  );
}
