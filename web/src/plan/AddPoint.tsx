import { newId } from '@fonte/core/book';
import { questionOutOfUse, visitAdded } from '@fonte/core/plan';
import { registerLists, type Point } from '@fonte/core/registers';
import { Select } from 'antd';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import type { z } from 'zod';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { now } from '../time/clock.ts';
import { usualVisit } from './VisitChoice.tsx';

/** A point that the plan did not have: one that was forgotten, or found on the way. */
export function AddPoint() {
  return (
    <FormDialog open="Add a point" title="A point that the plan does not have" by={visitAdded.by}>
      {(close) => <Add close={close} />}
    </FormDialog>
  );
}

function Add({ close }: { close: () => void }) {
  const { id: round, append, round: plan } = useRound();
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search.trim());
  const { data = [] } = useAnswer(
    registerLists.points,
    { query: { limit: 50, ...(asked === '' ? {} : { search: asked }) } },
    { keepPreviousData: true },
  );
  const [known, setKnown] = useState<Point | null>(null);
  const form = useEntryForm<{ id: string; point: string }, z.output<typeof visitAdded.payload>>({
    keep: `add-point.${round}`,
    initial: { id: newId(now()), point: '' },
    schema: visitAdded.payload,
    read: ({ id, point: chosen }) => {
      const point = known?.id === chosen ? known : data.find((one) => one.id === chosen);
      return point
        ? { value: usualVisit(id, point, plan.plan.date), problems: [] }
        : { value: {}, problems: [{ path: 'point', message: 'Choose a point.' }] };
    },
    write: async (payload, { id, kept }) => {
      await append(visitAdded, payload, { id, kept });
      close();
    },
  });
  const points = known && !data.some(({ id }) => id === known.id) ? [known, ...data] : data;
  return (
    <EntryForm of={form} submit="Add it" leave={{ says: 'Leave the plan as it is', by: close }}>
      <Field name="point" label="Point" hint="What is usually taken there is planned with it, and can be changed.">
        <Select
          size="large"
          showSearch={{ onSearch: setSearch, filterOption: false }}
          placeholder="Name or code"
          onSelect={(id: unknown) => setKnown(data.find((one) => one.id === id) ?? null)}
          options={points.map(({ id, name, code, place }) => ({ value: id, label: `${name}, ${code}, ${place}` }))}
        />
      </Field>
      {known && <Findings of={questionOutOfUse([known])} />}
      <p className="small soft">
        It is in no register yet? <Link to="/points/new">Register it first</Link>; that works without a signal, too.
      </p>
    </EntryForm>
  );
}
