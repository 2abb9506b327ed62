import { questionBuilt } from '@fonte/core/purge';
import { Point, pointKind, pointKindIds, pointRegistered, questionPosition, registerLists } from '@fonte/core/registers';
import { Segmented, Select } from 'antd';
import { useAnswer } from '../../api/useAnswer.ts';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field } from '../../form/Field.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { inBase, type Read } from '../../form/values.ts';
import { ContactFields, PlaceFields, TapFields, UseFields, WaterFields, WellFields } from './PointFields.tsx';
import { fieldOfPoint, pointOf, valuesOf, type PointValues } from './pointValues.ts';
import { freshId, useRegister } from '../useRegister.ts';
import { thingPage } from '../ThingPage.tsx';
import '../registers.css';

function readPoint(values: PointValues): Read {
  const { value, problems } = inBase(values);
  // What a residual has to be hangs on it: it is said, and follows from no kind of point.
  const unsaid =
    values.type === 'tap' && values.disinfection === undefined
      ? [{ path: 'disinfection', message: 'Say how the water is disinfected, or that it is not.' }]
      : [];
  return { value: pointOf(value as object), problems: [...problems, ...unsaid] };
}

/** A point with everything that its work needs: where, the way in, how it is built. */
function PointForm({ thing }: { thing: Point | null }) {
  const { data: known = [] } = useAnswer(registerLists.points, { query: { limit: 500 } });
  const others = known.flatMap(({ id, position }) => (position && id !== thing?.id ? [position] : []));
  const entry = useEntryForm<PointValues, Point>({
    keep: `point.${thing?.id ?? 'new'}`,
    initial: valuesOf(thing, freshId),
    schema: Point,
    read: readPoint,
    ask: (point) => [
      ...(point.type === 'well' ? questionBuilt(point.well) : []),
      ...(point.position ? questionPosition(point.position, others) : []),
    ],
    at: fieldOfPoint,
    write: useRegister('points', pointRegistered),
  });
  return (
    <>
      <h1>{thing ? thing.name : 'Register a point'}</h1>
      {thing && <p className="soft">Rounds that are planned already keep the point as it was.</p>}
      <EntryForm of={entry} submit={thing ? 'Write the change' : 'Register it'}>
        <div className="row">
          <Field name="type" label="Kind">
            <Segmented
              aria-label="Kind"
              size="large"
              disabled={thing !== null}
              options={[
                { value: 'well', label: 'Well' },
                { value: 'tap', label: 'Tap' },
              ]}
              onChange={(type) => {
                entry.set({ kind: undefined, ...(type === 'tap' ? { use: 'supply' } : {}) });
              }}
            />
          </Field>
          <Field name="kind">
            <Select
              size="large"
              placeholder="Choose"
              listHeight={520}
              options={pointKindIds
                .filter((id) => pointKind(id).type === entry.values.type)
                .map((id) => ({ value: id, label: pointKind(id).name }))}
            />
          </Field>
          <Field name="use">
            <Segmented
              aria-label="Use"
              size="large"
              options={[
                { value: 'monitoring', label: 'Monitoring' },
                { value: 'supply', label: 'Supply: people drink it' },
              ]}
            />
          </Field>
        </div>
        <div className="form-grid">
          <Field name="name" />
          <Field name="code" normalize={(code) => code.toUpperCase()} />
          <Field name="place" />
          <Field name="access" />
        </div>
        {entry.values.type === 'well' ? <WellFields /> : <TapFields disinfection={entry.values.disinfection} />}
        <WaterFields type={entry.values.type} />
        <PlaceFields set={entry.set} />
        <ContactFields />
        <UseFields self={entry.values.id} isOut={entry.values.outOfUse.is} />
      </EntryForm>
    </>
  );
}

export const PointPage = thingPage('points', PointForm);
