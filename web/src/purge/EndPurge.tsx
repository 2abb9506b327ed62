import { purgeEnded, type PurgeState } from '@fonte/core/purge';
import type { VisitState } from '@fonte/core/round';
import { Button, Checkbox, Input } from 'antd';
import { useId, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Correct } from '../book/Correct.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { roomPath } from '../visit/paths.ts';
import { showTime } from '../time/show.ts';
import { useDraft } from '../units/useDraft.ts';

export function End({ visit, purge }: { visit: VisitState; purge: PurgeState }) {
  const { id, append } = useRound();
  const navigate = useNavigate();
  const [detached, setDetached] = useState(false);
  const [reason, setReason, forget, entryId] = useDraft(`purge-end.${visit.id}`, '');
  const { busy, run, at, say } = useAction();
  const why = useId();
  if (purge.count === 0) return null;
  const end = () =>
    run(async () => {
      await append(
        purgeEnded,
        { flowCellDetached: detached as true, ...(purge.ready ? {} : reason.trim() ? { reason } : {}) },
        { at: visit.id, id: entryId, kept: forget },
      );
      await navigate(roomPath(id, 'fill', visit.id));
    });
  const Around = purge.ready ? 'section' : 'details';
  return (
    <Around className="panel" aria-label="End the purge">
      {purge.ready ? <h2>End the purge</h2> : <summary>End it here all the same</summary>}
      {!purge.ready && (
        <div className="typed">
          <label htmlFor={why}>Why</label>
          <Input
            id={why}
            size="large"
            value={reason}
            maxLength={300}
            onChange={(event) => setReason(event.target.value)}
            placeholder="ran dry, still drifting at five volumes …"
          />
          {at('reason') && <p className="field-error">{at('reason')}</p>}
        </div>
      )}
      <Checkbox checked={detached} onChange={(event) => setDetached(event.target.checked)}>
        The flow cell is detached, the flow is down to 100–200 mL/min
      </Checkbox>
      {at('flowCellDetached') && <p className="field-error">{at('flowCellDetached')}</p>}
      <Said say={(at('reason') ?? at('flowCellDetached')) ? null : say} />
      <div>
        <Button type={purge.ready ? 'primary' : 'default'} size="large" loading={busy} onClick={() => void end()}>
          End and fill
        </Button>
      </div>
    </Around>
  );
}

export function Ended({ visit, purge }: { visit: VisitState; purge: PurgeState }) {
  const { id, round } = useRound();
  const { entry } = purge.ended!;
  return (
    <section className="panel">
      <h2>Ended at {showTime(purge.ended!.at, round.plan.zone)}</h2>
      {purge.ended!.reason && <p>Departure: {purge.ended!.reason}</p>}
      <div className="row">
        <Link className="strong" to={roomPath(id, 'fill', visit.id)}>
          Fill the bottles
        </Link>
        <Correct entry={entry} kind={purgeEnded} what="the end of the purge" />
      </div>
    </section>
  );
}
