import { fillingFlow, purgeEnded, purgeReasons, questionEnd, type PurgeState } from '@fonte/core/purge';
import type { VisitState } from '@fonte/core/round';
import { base, show, type Typed } from '@fonte/core/units';
import { Segmented } from 'antd';
import { Link, useNavigate } from 'react-router';
import type { z } from 'zod';
import { Correct } from '../book/Correct.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { useRound } from '../book/useRound.ts';
import { roomPath } from '../visit/paths.ts';
import { Mark } from '../theme/Mark.tsx';
import { showTime } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { isVolatileAt } from './setup/SetUpForm.tsx';

interface Draft {
  flowCell: '' | 'detached' | 'none';
  filling: { how: '' | 'slowed' | 'split' | 'as-it-is'; rate: Typed };
  reason: string;
}

/** Before bottles are filled: is the flow cell off, and how is the flow brought down? Two facts, asked one by one. */
export function End({ visit, purge }: { visit: VisitState; purge: PurgeState }) {
  const { id, append } = useRound();
  const navigate = useNavigate();
  const decided = purge.decisions.at(-1);
  const time = useNow(10_000);
  const form = useEntryForm<Draft, z.output<typeof purgeEnded.payload>>({
    keep: `purge-end.${visit.id}`,
    initial: { flowCell: '', filling: { how: '', rate: { text: '', unit: 'mL/min' } }, reason: decided?.reason ?? '' },
    schema: purgeEnded.payload,
    // A purge that is ready departs from nothing; only a flow that was slowed has a rate.
    read: ({ flowCell, filling: { how, rate }, reason }) =>
      asTyped(
        { flowCell, filling: how === 'slowed' ? { how, rate } : how ? { how } : undefined, reason: purge.ready ? '' : reason },
        purgeEnded.payload,
      ),
    ask: (payload) => questionEnd(payload, purge, { isVolatile: isVolatileAt(visit) }),
    write: async (payload, { id: own, kept }) => {
      await append(purgeEnded, payload, { at: visit.id, id: own, kept });
      await navigate(roomPath(id, 'fill', visit.id));
    },
  });
  // By the function that judges the samples afterwards: ended as it stands, with bottles that are filled from it.
  const asEnded = { at: time, entry: '', reason: form.values.reason, filling: { how: 'as-it-is' as const } };
  const isLess = purgeReasons({ ...purge, ended: asEnded }, time).some(({ makes }) => makes === 'special');
  const needsSets = purge.setUp?.method.judges ?? false;
  if (purge.count === 0 && needsSets && purge.decisions.length === 0) return null;
  const Around = purge.ready ? 'section' : 'details';
  return (
    <Around className="panel" aria-label="End the purge">
      {purge.ready ? <h2>End the purge</h2> : <summary>End it here all the same</summary>}
      <EntryForm of={form} submit="End and fill" tone={purge.ready ? 'primary' : 'default'} enter="nothing" className="stack">
        {isLess && (
          <p className="finding question">
            <Mark kind="question" />
            <span>Bottles filled after this are special samples, not for compliance.</span>
          </p>
        )}
        {!purge.ready && <Field name="reason" placeholder="ran dry, still drifting at five volumes …" />}
        <Field name="flowCell">
          <Segmented
            aria-label="The flow cell is"
            size="large"
            options={[
              { value: 'detached', label: 'Detached' },
              { value: 'none', label: 'None was used' },
            ]}
          />
        </Field>
        <Field name={['filling', 'how']} hint="100–200 mL/min: the pump slowed, not the valve closed; or split at a manifold.">
          <Segmented
            aria-label="The flow for the bottles"
            size="large"
            options={[
              { value: 'slowed', label: 'Slowed' },
              { value: 'split', label: 'Split' },
              { value: 'as-it-is', label: 'As it is' },
            ]}
          />
        </Field>
        {form.values.filling.how === 'slowed' && <Field name={['filling', 'rate']} />}
      </EntryForm>
    </Around>
  );
}

export function Ended({ visit, purge }: { visit: VisitState; purge: PurgeState }) {
  const { id, round } = useRound();
  const { entry } = purge.ended!;
  const isLess = purgeReasons(purge, useNow(60_000)).some(({ makes }) => makes === 'special');
  return (
    <section className="panel">
      <h2>Ended at {showTime(purge.ended!.at, round.plan.zone)}</h2>
      {purge.ended!.reason && <p>Departure: {purge.ended!.reason}</p>}
      {isLess && (
        <p className="finding question">
          <Mark kind="question" />
          <span>Bottles filled now are special samples, not for compliance.</span>
        </p>
      )}
      <FillOrder visit={visit} purge={purge} />
      <div className="row">
        <Link className="strong" to={roomPath(id, 'fill', visit.id)}>
          Fill the bottles
        </Link>
        <Correct entry={entry} kind={purgeEnded} what="the end of the purge" />
      </div>
    </section>
  );
}

/** What is filled in which order, and how long each bottle takes at the flow that was set. */
function FillOrder({ visit, purge }: { visit: VisitState; purge: PurgeState }) {
  const filling = purge.ended!.filling;
  const rate = filling?.how === 'slowed' ? base(filling.rate) : fillingFlow.most;
  const bottles = visit.bottles.filter(({ state }) => state === 'empty');
  if (bottles.length === 0) return null;
  const seconds = (millilitres: number) => (millilitres * 1e-6) / rate;
  const said = (time: number) => (time < 90 ? `${Math.ceil(time / 5) * 5} s` : `${Math.ceil(time / 60)} min`);
  return (
    <div>
      <p className="small soft">In this order, at {show(rate, 'mL/min', 0)}:</p>
      <ol className="fill-order">
        {bottles.map(({ id: bottle, card }) => (
          <li key={bottle}>
            <span className="strong">{card.name}</span>, {card.volume} mL: {said(seconds(card.volume))}
            {card.filter && <span className="small soft">. {card.filter}</span>}
          </li>
        ))}
      </ol>
    </div>
  );
}
