import { purgeEnded, type PurgeState } from '@fonte/core/purge';
import type { VisitState } from '@fonte/core/round';
import { Checkbox } from 'antd';
import { Link, useNavigate } from 'react-router';
import type { z } from 'zod';
import { Correct } from '../book/Correct.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { useRound } from '../book/useRound.ts';
import { roomPath } from '../visit/paths.ts';
import { showTime } from '../time/show.ts';

export function End({ visit, purge }: { visit: VisitState; purge: PurgeState }) {
  const { id, append } = useRound();
  const navigate = useNavigate();
  const form = useEntryForm<{ flowCellDetached: boolean; reason: string }, z.output<typeof purgeEnded.payload>>({
    keep: `purge-end.${visit.id}`,
    initial: { flowCellDetached: false, reason: '' },
    schema: purgeEnded.payload,
    // A purge that is ready departs from nothing.
    read: (values) => asTyped(purge.ready ? { ...values, reason: '' } : values, purgeEnded.payload),
    write: async (payload, { id: own, kept }) => {
      await append(purgeEnded, payload, { at: visit.id, id: own, kept });
      await navigate(roomPath(id, 'fill', visit.id));
    },
  });
  if (purge.count === 0) return null;
  const Around = purge.ready ? 'section' : 'details';
  return (
    <Around className="panel" aria-label="End the purge">
      {purge.ready ? <h2>End the purge</h2> : <summary>End it here all the same</summary>}
      <EntryForm of={form} submit="End and fill" tone={purge.ready ? 'primary' : 'default'} enter="nothing" className="stack">
        {!purge.ready && <Field name="reason" placeholder="ran dry, still drifting at five volumes …" />}
        <Field name="flowCellDetached" isTicked>
          <Checkbox>The flow cell is detached, the flow is down to 100–200 mL/min</Checkbox>
        </Field>
      </EntryForm>
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
