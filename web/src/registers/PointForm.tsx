import { pipe, pipeIds, questionBuilt } from '@fonte/core/purge';
import { Point, pointRegistered } from '@fonte/core/registers';
import { Checkbox, Segmented, Select } from 'antd';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { RowList } from '../form/RowList.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { inBase, type Read } from '../form/values.ts';
import { emptyMark, pointOf, valuesOf, type PointValues } from './pointValues.ts';
import { freshId, useRegister } from './useRegister.ts';
import { thingPage } from './ThingPage.tsx';
import './registers.css';

function WellFields() {
  return (
    <>
      <section className="stack">
        <h2>Measuring points</h2>
        <p className="soft">Elevation and height may stay empty where they are not known.</p>
        <RowList name={['well', 'measuringPoints']} one="mark" add="One more mark" fresh={emptyMark} least={1}>
          {(row) => (
            <>
              <Field name={[row, 'name']} />
              <Field name={[row, 'elevation']} />
              <Field name={[row, 'stickUp']} />
            </>
          )}
        </RowList>
      </section>
      <section className="stack">
        <h2>How it is built</h2>
        <p className="soft">Leave empty what is not known. It is asked for where it is needed.</p>
        <div className="form-grid">
          <Field name={['well', 'bottom']} />
          <Field name={['well', 'screenTop']} />
          <Field name={['well', 'screenBottom']} />
          <Field name={['well', 'pipe']}>
            <Select size="large" allowClear options={pipeIds.map((id) => ({ value: id, label: pipe(id).name }))} />
          </Field>
          <Field name={['well', 'insideDiameter']} />
          <Field name={['well', 'intake']} />
        </div>
      </section>
    </>
  );
}

function TapFields({ isChlorinated }: { isChlorinated: boolean }) {
  return (
    <div className="form-grid">
      <Field name={['tap', 'outlet']} />
      <Field name={['tap', 'isChlorinated']} label="Disinfection" isTicked>
        <Checkbox>The water is chlorinated</Checkbox>
      </Field>
      {isChlorinated && <Field name={['tap', 'residualMinimum']} />}
    </div>
  );
}

const askBuilt = (point: Point) => (point.type === 'well' ? questionBuilt(point.well) : []);

function readPoint(values: PointValues): Read {
  const { value, problems } = inBase(values);
  return { value: pointOf(value as object), problems };
}

/** A point with everything that its work needs: where, the way in, how it is built. */
function PointForm({ thing }: { thing: Point | null }) {
  const entry = useEntryForm<PointValues, Point>({
    keep: `point.${thing?.id ?? 'new'}`,
    initial: valuesOf(thing, freshId),
    schema: Point,
    read: readPoint,
    ask: askBuilt,
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
                if (type === 'tap') entry.set({ use: 'supply' });
              }}
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
        {entry.values.type === 'well' ? <WellFields /> : <TapFields isChlorinated={entry.values.tap.isChlorinated} />}
      </EntryForm>
    </>
  );
}

export const PointPage = thingPage('points', PointForm);
