import {
  disinfections,
  hazard,
  hazardIds,
  layerWaters,
  registerLists,
  sources,
  surrounding,
  surroundingIds,
  trait,
  traitIds,
  waters,
  type Point,
} from '@fonte/core/registers';
import { usualResidualMinimum } from '@fonte/core/tap';
import { pipe, pipeIds, pump, pumpIds } from '@fonte/core/purge';
import { Checkbox, Input, Select } from 'antd';
import { useAnswer } from '../../api/useAnswer.ts';
import { Field } from '../../form/Field.tsx';
import { RowList } from '../../form/RowList.tsx';
import { DayInput } from '../../time/DayInput.tsx';
import { FromPhone } from './FromPhone.tsx';
import { emptyContact, emptyLayer, emptyMark, emptyNarrower, type PointValues } from './pointValues.ts';
import { TimeInput } from '../../time/TimeInput.tsx';
import { weekdaysInShort } from '../weekdays.ts';
import { ManySelect } from '../../form/ManySelect.tsx';

export function WellFields() {
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
              <Field name={[row, 'datum']} />
              <Field name={[row, 'until']}>
                <DayInput />
              </Field>
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
          <Field name={['well', 'ownPump', 'name']} hint="A pump that stays in the well" />
          <Field name={['well', 'ownPump', 'kind']}>
            <Select size="large" allowClear options={pumpIds.map((id) => ({ value: id, label: pump(id).name }))} />
          </Field>
          <Field name={['well', 'bore']} />
        </div>
      </section>
      <section className="stack">
        <h2>Where it becomes narrower</h2>
        <RowList name={['well', 'narrower']} one="narrower casing" add="A narrower casing below" fresh={emptyNarrower}>
          {(row) => (
            <>
              <Field name={[row, 'from']} />
              <Field name={[row, 'insideDiameter']} />
            </>
          )}
        </RowList>
      </section>
      <section className="stack">
        <h2>Around the casing</h2>
        <div className="form-grid">
          <Field name={['well', 'pack', 'from']} label="Filter pack from, below ground" />
          <Field name={['well', 'pack', 'to']} label="Filter pack to, below ground" />
          <Field name={['well', 'pack', 'porosity']} />
          <Field name={['well', 'seal', 'from']} label="Seal from, below ground" />
          <Field name={['well', 'seal', 'to']} label="Seal to, below ground" />
          <Field name={['well', 'seal', 'of']} />
        </div>
      </section>
      <section className="stack">
        <h2>What was drilled through</h2>
        <RowList name={['well', 'layers']} one="layer" add="A layer below" fresh={emptyLayer}>
          {(row) => (
            <>
              <Field name={[row, 'of']} placeholder="clay, gravel, sandstone …" />
              <Field name={[row, 'to']} />
              <Field name={[row, 'water']}>
                <Select
                  size="large"
                  allowClear
                  placeholder="Not said"
                  options={Object.entries(layerWaters).map(([value, label]) => ({ value, label }))}
                  style={{ minWidth: 160 }}
                />
              </Field>
            </>
          )}
        </RowList>
      </section>
    </>
  );
}

const options = (table: Record<string, string>) => Object.entries(table).map(([value, label]) => ({ value, label }));

const DisinfectionField = () => (
  <Field name="disinfection">
    <Select size="large" allowClear placeholder="Choose" options={options(disinfections)} />
  </Field>
);

/** The outlet, and what is in its water against germs: one field says whether it is disinfected, and the residual goes with it. */
export function TapFields({ disinfection }: { disinfection: Point['disinfection'] }) {
  return (
    <div className="form-grid">
      <Field name={['tap', 'outlet']} />
      <DisinfectionField />
      {disinfection !== undefined && disinfection !== 'none' && (
        <Field
          name={['tap', 'residualMinimum']}
          label={disinfection === 'chloramine' ? 'Least total chlorine' : 'Least free chlorine'}
          hint={`What the operator keeps here; WHO: ${usualResidualMinimum} mg/L at delivery`}
        />
      )}
    </div>
  );
}

/** What kind of water it is and where it belongs. */
export function WaterFields({ type }: { type: Point['type'] }) {
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
        {type === 'well' && <DisinfectionField />}
        <Field name="system" />
        <Field name="zone" />
      </div>
      <Field name="traits" hint="It decides how a sample is taken there">
        <ManySelect options={traitIds.map((id) => ({ value: id, label: trait(id).name }))} />
      </Field>
      <Field name="surroundings" hint="It suggests what to test for">
        <ManySelect options={surroundingIds.map((id) => ({ value: id, label: surrounding(id).name }))} />
      </Field>
    </section>
  );
}

/** Where it is, to the step. */
export function PlaceFields({ set }: { set: (change: Pick<PointValues, 'position'>) => void }) {
  return (
    <section className="stack">
      <h2>Where it is</h2>
      <FromPhone take={(position) => set({ position })} />
      <div className="form-grid">
        <Field name={['position', 'latitude']} hint="South is negative" />
        <Field name={['position', 'longitude']} hint="West is negative" />
        <Field name="walk" />
        <Field name="building" />
        <Field name="floor" />
        <Field name="room" hint="Taps of one room are flushed together" />
      </div>
      <Field name="hazards">
        <ManySelect options={hazardIds.map((id) => ({ value: id, label: hazard(id).name }))} />
      </Field>
    </section>
  );
}

/** Whom to call before a visit, and when they let one in. */
export function ContactFields() {
  return (
    <section className="stack">
      <h2>Whom to ask</h2>
      <RowList name={['contacts']} one="contact" add="Somebody to ask" fresh={emptyContact}>
        {(row) => (
          <>
            <Field name={[row, 'name']} />
            <Field name={[row, 'call']} />
            <Field name={[row, 'weekdays']} label="Days, if not every day">
              <ManySelect options={weekdaysInShort} />
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
export function UseFields({ self, isOut }: { self: string; isOut: boolean }) {
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
          <ManySelect options={others} />
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
