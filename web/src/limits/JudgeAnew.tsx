import { judgedAnew } from '@fonte/core/plan';
import { limitSets } from '@fonte/core/limits';
import { Button, Input, Modal } from 'antd';
import { useId, useState } from 'react';
import { useMe } from '../session/session.ts';
import { Said } from '../feedback/Said.tsx';
import { sayConsequence } from '../book/consequences.ts';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { LimitSets } from '../editions/LimitSets.tsx';

/** Has the round judged by other sets of limits: an act of the coordinator, with a reason, that stands in the book. */
export function JudgeAnew() {
  const { round, append, consequencesOf } = useRound();
  const me = useMe();
  const [open, setOpen] = useState(false);
  const [limits, setLimits] = useState<string[]>([]);
  const [reason, setReason] = useState('');
  const { busy, run, at, say, forget } = useAction();
  const [sets, why] = [useId(), useId()];
  if (!judgedAnew.by.includes(me.role)) return null;
  const show = () => {
    forget();
    setLimits(round.editions.limits);
    setReason('');
    setOpen(true);
  };
  const isSame = limits.join() === round.editions.limits.join();
  const follows = open && !isSame && limits.length > 0 ? consequencesOf(judgedAnew, { limits, reason: 'what would follow' }) : [];
  const write = () =>
    run(async () => {
      await append(judgedAnew, { limits, reason });
      setOpen(false);
    });
  return (
    <>
      <Button onClick={show}>Judge by other limits</Button>
      <Modal open={open} title="Judge this round by other limits" onCancel={() => setOpen(false)} footer={null} destroyOnHidden>
        <div className="stack">
          <div className="typed">
            <label htmlFor={sets}>Limits, the first one leads</label>
            <LimitSets id={sets} value={limits} onChange={setLimits} sets={limitSets.all} />
            {at('limits') && <p className="field-error">{at('limits')}</p>}
          </div>
          <div className="typed">
            <label htmlFor={why}>Why</label>
            <Input id={why} value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} />
            {at('reason') && <p className="field-error">{at('reason')}</p>}
          </div>
          {follows.length > 0 && (
            <ul className="small" aria-label="What would follow">
              {follows
                .map((one) => sayConsequence(one, round.plan.zone))
                .map((sentence) => (
                  <li key={sentence}>{sentence}</li>
                ))}
            </ul>
          )}
          <p className="soft small">Follow-ups come of the set that leads. What was judged before stays in the book.</p>
          <Said say={at('limits') || at('reason') ? null : say} />
          <div className="row">
            <Button type="primary" loading={busy} disabled={isSame} onClick={() => void write()}>
              Judge anew
            </Button>
            <Button onClick={() => setOpen(false)}>Leave it</Button>
          </div>
        </div>
      </Modal>
    </>
  );
}
