import { parameter, type ParameterId } from '@fonte/core/parameters';
import { readField } from '../../units/decimal.ts';
import { probeParameters } from '@fonte/core/purge';
import { criterionRegistered, OwnCriterion } from '@fonte/core/registers';
import { toBase, unitLabel, type Typed } from '@fonte/core/units';
import { Input, Select } from 'antd';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field } from '../../form/Field.tsx';
import { RowList } from '../../form/RowList.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { asTyped, typedOf, type Read } from '../../form/values.ts';
import { thingPage } from '../ThingPage.tsx';
import { freshId, useRegister } from '../useRegister.ts';
import { numberReader } from './numbers.ts';

interface Row {
  parameter?: ParameterId | undefined;
  absolute: string;
  percent: string;
  floor: string;
}

interface Values {
  id: string;
  name: string;
  sets: string;
  against: OwnCriterion['against'];
  seconds: Typed;
  volumes: string;
  tolerances: Row[];
  source: string;
  outOfUse: string;
}

const text = (value: number | undefined) => (value === undefined ? '' : String(value));

function readCriterion({ sets, volumes, seconds, tolerances = [], ...said }: Values): Read {
  const { problems, number } = numberReader();
  const { value } = asTyped(said, OwnCriterion);
  const time = readField(seconds.text);
  const rows = tolerances.map((row, place) => ({
    parameter: row.parameter,
    ...number('absolute', `tolerances.${place}.absolute`, row.absolute),
    ...number('percent', `tolerances.${place}.percent`, row.percent),
    ...number('floor', `tolerances.${place}.floor`, row.floor),
  }));
  return {
    value: {
      ...(value as object),
      ...number('sets', 'sets', sets),
      ...number('volumes', 'volumes', volumes),
      ...(time.ok ? { seconds: toBase(time.value, seconds.unit) } : {}),
      tolerances: rows,
    },
    problems,
  };
}

const against = [
  { value: 'previous', label: 'The set before' },
  { value: 'median', label: 'The median' },
  { value: 'spread', label: 'One another' },
] as const;

/** A stability criterion of the house: how many sets, how far apart, and how far each parameter may move. */
function CriterionForm({ thing }: { thing: OwnCriterion | null }) {
  const form = useEntryForm<Values, OwnCriterion>({
    keep: `criterion.${thing?.id ?? 'new'}`,
    initial: {
      id: thing?.id ?? freshId(),
      name: thing?.name ?? '',
      sets: text(thing?.sets ?? 3),
      against: thing?.against ?? 'previous',
      seconds: typedOf(thing?.seconds ?? 180, 'min'),
      volumes: text(thing?.volumes),
      tolerances: (thing?.tolerances ?? [{ parameter: 'ph', absolute: undefined, percent: undefined, floor: undefined }]).map((row) => ({
        parameter: row.parameter,
        absolute: text(row.absolute),
        percent: text(row.percent),
        floor: text(row.floor),
      })),
      source: thing?.source ?? '',
      outOfUse: thing?.outOfUse ?? '',
    },
    schema: OwnCriterion,
    read: readCriterion,
    write: useRegister('criteria', criterionRegistered),
  });
  const { tolerances = [] } = form.values;
  const unitIn = (row: number) => {
    const id = tolerances[row]?.parameter;
    return id ? unitLabel(parameter(id).unit) : 'its unit';
  };
  const number = <Input size="large" inputMode="decimal" autoComplete="off" style={{ width: 110 }} />;
  return (
    <>
      <h1>{thing ? thing.name : 'Register a stability criterion'}</h1>
      <EntryForm of={form} submit={thing ? 'Write the change' : 'Register it'}>
        <div className="form-grid">
          <Field name="name" placeholder="Network plan, three sets" />
          <Field name="source" placeholder="your sampling plan, chapter and date" />
          <Field name="sets">
            <Input size="large" inputMode="numeric" autoComplete="off" />
          </Field>
          <Field name="against" hint="What each set must agree with">
            <Select aria-label="Held against" size="large" options={[...against]} />
          </Field>
          <Field name="seconds" />
          <Field name="volumes" hint="Empty: the time alone counts">
            {number}
          </Field>
          <Field name="outOfUse" />
        </div>
        <section className="stack">
          <h2>How far readings may differ</h2>
          <RowList
            name={['tolerances']}
            one="parameter"
            add="One more parameter"
            least={1}
            fresh={() => ({ absolute: '', percent: '', floor: '' })}
          >
            {(row) => (
              <>
                <Field name={[row, 'parameter']}>
                  <Select
                    size="large"
                    placeholder="Choose"
                    options={probeParameters.map((id) => ({ value: id, label: parameter(id).name }))}
                    style={{ minWidth: 190 }}
                  />
                </Field>
                <Field name={[row, 'absolute']} label={`± ${unitIn(row)}`}>
                  {number}
                </Field>
                <Field name={[row, 'percent']} label="or ± %, the larger">
                  {number}
                </Field>
                <Field name={[row, 'floor']} label={`Free at or below, ${unitIn(row)}`}>
                  {number}
                </Field>
              </>
            )}
          </RowList>
        </section>
      </EntryForm>
    </>
  );
}

export const CriterionPage = thingPage('criteria', CriterionForm);
