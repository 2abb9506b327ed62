import { pipe, pipeIds, questionBuilt } from '@fonte/core/purge';
import {
  disinfections,
  hazard,
  hazardIds,
  Point,
  pointKind,
  pointKindIds,
  pointRegistered,
  questionPosition,
  registerLists,
  sources,
  waters,
} from '@fonte/core/registers';
import { Checkbox, Input, Segmented, Select } from 'antd';
import { useAnswer } from '../api/useAnswer.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { RowList } from '../form/RowList.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { inBase, type Read } from '../form/values.ts';
import { emptyContact, emptyMark, fieldOfPoint, pointOf, valuesOf, type PointValues } from './pointValues.ts';
import { DayInput } from '../time/DayInput.tsx';
import { TimeInput } from './TimeInput.tsx';
import { weekdaysInShort } from './weekdays.ts';
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
      <Field name={['tap', 'isChlorinated']} label="Chlorine" isTicked>
        <Checkbox>The water is chlorinated</Checkbox>
      </Field>
      {isChlorinated && <Field name={['tap', 'residualMinimum']} />}
    </div>
  );
}

const options = (table: Record<string, string>) => Object.entries(table).map(([value, label]) => ({ value, label }));

/** What kind of water it is and where it belongs. */
function WaterFields() {
  return (
    <section className="stack">
      <h2>Its water</h2>
      <p className="soft">What is not said here is asked for where it decides something.</p>
      <div className="form-grid">
        <Field name="water">
          <Select size="large" allowClear options={options(waters)} />
        </Field>
        <Field name="source">
          <Select size="large" allowClear options={options(sources)} />
        </Field>
        <Field name="disinfection">
          <Select size="large" allowClear options={options(disinfections)} />
        </Field>
        <Field name="system" />
        <Field name="zone" />
      </div>
    </section>
  );
}

/** Where it is, to the step. */
function PlaceFields() {
  return (
    <section className="stack">
      <h2>Where it is</h2>
      <div className="form-grid">
        <Field name={['position', 'latitude']} hint="South is negative" />
        <Field name={['position', 'longitude']} hint="West is negative" />
        <Field name="walk" />
        <Field name="building" />
        <Field name="floor" />
        <Field name="room" hint="Taps of one room are flushed together" />
      </div>
      <Field name="hazards">
        <Select size="large" mode="multiple" options={hazardIds.map((id) => ({ value: id, label: hazard(id).name }))} />
      </Field>
    </section>
  );
}

/** Whom to call before a visit, and when they let one in. */
function ContactFields() {
  return (
    <section className="stack">
      <h2>Whom to ask</h2>
      <RowList name={['contacts']} one="contact" add="Somebody to ask" fresh={emptyContact}>
        {(row) => (
          <>
            <Field name={[row, 'name']} />
            <Field name={[row, 'call']} />
            <Field name={[row, 'weekdays']} label="Days, if not every day">
              <Select size="large" mode="multiple" options={weekdaysInShort} />
            </Field>
            <Field name={[row, 'from']} label="There from">
              <TimeInput />
            </Field>
            <Field name={[row, 'to']} label="There until">
              <TimeInput />
            </Field>
          </>
        )}
      </RowList>
    </section>
  );
}

/** What the siting list says of it, what stands in for it, and whether it is used at all. */
function UseFields({ self, isOut }: { self: string; isOut: boolean }) {
  const { data: points = [] } = useAnswer(registerLists.points, { query: { limit: 500 } });
  const others = points.filter(({ id }) => id !== self).map(({ id, name, code }) => ({ value: id, label: `${name}, ${code}` }));
  return (
    <section className="stack">
      <h2>Whether it may be sampled</h2>
      <div className="form-grid">
        <Field name={['siting', 'says']} label="Siting list">
          <Select
            size="large"
            options={[
              { value: 'nothing', label: 'It is on none' },
              { value: 'routine', label: 'May give routine samples' },
              { value: 'not-routine', label: 'Not for routine samples' },
            ]}
          />
        </Field>
        <Field name={['siting', 'number']} />
        <Field name="alternatives">
          <Select size="large" mode="multiple" options={others} optionFilterProp="label" />
        </Field>
        <Field name={['outOfUse', 'is']} label="State" isTicked>
          <Checkbox>Out of use now</Checkbox>
        </Field>
        {isOut && (
          <>
            <Field name={['outOfUse', 'reason']}>
              <Input size="large" maxLength={300} autoComplete="off" />
            </Field>
            <Field name={['outOfUse', 'lookAgain']}>
              <DayInput />
            </Field>
          </>
        )}
      </div>
    </section>
  );
}

function readPoint(values: PointValues): Read {
  const { value, problems } = inBase(values);
  return { value: pointOf(value as object), problems };
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
        {entry.values.type === 'well' ? <WellFields /> : <TapFields isChlorinated={entry.values.tap.isChlorinated} />}
        <WaterFields />
        <PlaceFields />
        <ContactFields />
        <UseFields self={entry.values.id} isOut={entry.values.outOfUse.is} />
      </EntryForm>
    </>
  );
}

export const PointPage = thingPage('points', PointForm);
