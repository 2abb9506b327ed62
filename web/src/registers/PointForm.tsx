import { pipe, pipeIds, questionBuilt } from '@fonte/core/purge';
import { Point, pointRegistered } from '@fonte/core/registers';
import { Checkbox, Form, Input, Segmented, Select } from 'antd';
import { EntryForm } from '../form/EntryForm.tsx';
import { RowList } from '../form/RowList.tsx';
import { TypedInput } from '../units/TypedField.tsx';
import { emptyMark, pointOf, valuesOf, type PointValues } from './pointValues.ts';
import { freshId, useRegister } from './useRegister.ts';
import { thingPage } from './ThingPage.tsx';
import './registers.css';

const lengths = ['m', 'ft'] as const;

function Length({
  name,
  label,
  units = lengths,
}: {
  name: (string | number)[];
  label: string;
  units?: readonly ('m' | 'ft' | 'mm' | 'in')[];
}) {
  return (
    <Form.Item name={name} label={label}>
      <TypedInput units={units} label={label} />
    </Form.Item>
  );
}

function WellFields() {
  return (
    <>
      <section className="stack">
        <h2>Measuring points</h2>
        <p className="soft">Elevation and height may stay empty where they are not known.</p>
        <RowList name={['well', 'measuringPoints']} one="mark" add="One more mark" fresh={emptyMark} least={1}>
          {(row) => (
            <>
              <Form.Item name={[row, 'name']} label="Measuring point">
                <Input size="large" maxLength={80} />
              </Form.Item>
              <Length name={[row, 'elevation']} label="Elevation of the mark" />
              <Length name={[row, 'stickUp']} label="Mark above ground" />
            </>
          )}
        </RowList>
      </section>
      <section className="stack">
        <h2>How it is built</h2>
        <p className="soft">Leave empty what is not known. It is asked for where it is needed.</p>
        <div className="form-grid">
          <Length name={['well', 'bottom']} label="Bottom, below ground" />
          <Length name={['well', 'screenTop']} label="Screen from, below ground" />
          <Length name={['well', 'screenBottom']} label="Screen to, below ground" />
          <Form.Item name={['well', 'pipe']} label="Pipe, where it is known">
            <Select size="large" allowClear options={pipeIds.map((id) => ({ value: id, label: pipe(id).name }))} />
          </Form.Item>
          <Length name={['well', 'insideDiameter']} label="True inside diameter" units={['mm', 'in']} />
          <Length name={['well', 'intake']} label="Pump intake, below ground, if any" />
        </div>
      </section>
    </>
  );
}

function TapFields({ isChlorinated }: { isChlorinated: boolean }) {
  return (
    <div className="form-grid">
      <Form.Item name={['tap', 'outlet']} label="Which outlet exactly">
        <Input size="large" maxLength={120} />
      </Form.Item>
      <Form.Item name={['tap', 'isChlorinated']} valuePropName="checked" label="Disinfection">
        <Checkbox>The water is chlorinated</Checkbox>
      </Form.Item>
      {isChlorinated && (
        <Form.Item name={['tap', 'residualMinimum']} label="Least free chlorine">
          <TypedInput units={['mg/L']} label="Least free chlorine" />
        </Form.Item>
      )}
    </div>
  );
}

const askBuilt = (payload: unknown) => {
  const point = payload as Point;
  return point.type === 'well' ? questionBuilt(point.well) : [];
};

/** A point with everything that its work needs: where, the way in, how it is built. */
function PointForm({ thing }: { thing: Point | null }) {
  const write = useRegister('points', pointRegistered);
  return (
    <>
      <h1>{thing ? thing.name : 'Register a point'}</h1>
      {thing && <p className="soft">Rounds that are planned already keep the point as it was.</p>}
      <EntryForm<PointValues>
        keep={`point.${thing?.id ?? 'new'}`}
        initial={valuesOf(thing, freshId)}
        schema={Point}
        payloadOf={pointOf}
        ask={askBuilt}
        write={write}
        submit={thing ? 'Write the change' : 'Register it'}
      >
        {(form, values) => (
          <>
            <Form.Item name="id" hidden>
              <Input />
            </Form.Item>
            <div className="row">
              <Form.Item name="type" label="Kind">
                <Segmented
                  aria-label="Kind"
                  size="large"
                  disabled={thing !== null}
                  options={[
                    { value: 'well', label: 'Well' },
                    { value: 'tap', label: 'Tap' },
                  ]}
                  onChange={(type) => {
                    if (type === 'tap') form.setFieldValue('use', 'supply');
                  }}
                />
              </Form.Item>
              <Form.Item name="use" label="Use">
                <Segmented
                  aria-label="Use"
                  size="large"
                  options={[
                    { value: 'monitoring', label: 'Monitoring' },
                    { value: 'supply', label: 'Supply: people drink it' },
                  ]}
                />
              </Form.Item>
            </div>
            <div className="form-grid">
              <Form.Item name="name" label="Name">
                <Input size="large" maxLength={120} autoComplete="off" />
              </Form.Item>
              <Form.Item name="code" label="Code for labels" normalize={(code: string) => code.toUpperCase()}>
                <Input size="large" maxLength={8} autoComplete="off" />
              </Form.Item>
              <Form.Item name="place" label="Place">
                <Input size="large" maxLength={120} />
              </Form.Item>
              <Form.Item name="access" label="The way in, what to bring">
                <Input size="large" maxLength={500} />
              </Form.Item>
            </div>
            {values.type === 'well' ? <WellFields /> : <TapFields isChlorinated={values.tap.isChlorinated} />}
          </>
        )}
      </EntryForm>
    </>
  );
}

export const PointPage = thingPage('points', PointForm);
