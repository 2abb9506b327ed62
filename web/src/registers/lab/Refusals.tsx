import { formField, formFieldIds } from '@fonte/core/registers';
import { Input, Select, type SelectProps } from 'antd';
import { Field } from '../../form/Field.tsx';
import { ParameterSelect } from '../../form/ParameterSelect.tsx';
import { RowList } from '../../form/RowList.tsx';
import { typedOf } from '../../form/values.ts';
import { ManySelect } from '../../form/ManySelect.tsx';

interface Props {
  bottles: NonNullable<SelectProps['options']>;
  analyses: NonNullable<SelectProps['options']>;
}

const fields = formFieldIds.map((value) => ({ value, label: formField(value).name }));

/** Hours from receipt, bottle by bottle. */
function HoursRows({ name, one, bottles }: { name: 'startsAfter' | 'resultsAfter'; one: string } & Pick<Props, 'bottles'>) {
  return (
    <RowList name={[name]} one={one} add="One more bottle" fresh={() => ({ rule: 'bacteria', hours: '' })}>
      {(row) => (
        <>
          <Field name={[row, 'rule']} label="Bottle">
            <Select size="large" options={bottles} showSearch={{ optionFilterProp: 'label' }} />
          </Field>
          <Field name={[row, 'hours']} label="Hours from receipt">
            <Input size="large" inputMode="decimal" />
          </Field>
        </>
      )}
    </RowList>
  );
}

/** What a lab refuses beside the door, the cold and the time, and what stands on its form. */
export function Refusals({ bottles, analyses }: Props) {
  return (
    <>
      <section className="stack">
        <h2>What it refuses</h2>
        <p className="soft small">What is left empty is not known, and nothing is said of it.</p>
        <div className="form-grid">
          <Field name="coolingWithin" label="Takes bottles still warm, on ice, if filled within so many hours">
            <Input size="large" inputMode="decimal" />
          </Field>
          <Field name="residualMost" />
          <Field name="asksForBlanks">
            <ManySelect options={bottles} />
          </Field>
          <Field name="accredited">
            <ManySelect options={analyses} />
          </Field>
        </div>
        <h3>How long water of standing samples may have stood</h3>
        <RowList
          name={['stagnation']}
          one="time"
          add="One more time"
          fresh={() => ({ least: typedOf(undefined, 'min'), most: typedOf(undefined, 'min') })}
        >
          {(row) => (
            <>
              <Field name={[row, 'least']} />
              <Field name={[row, 'most']} />
            </>
          )}
        </RowList>
        <h3>How long after receipt it starts</h3>
        <HoursRows name="startsAfter" one="start" bottles={bottles} />
        <h3>How long after receipt it reports</h3>
        <HoursRows name="resultsAfter" one="report" bottles={bottles} />
        <h3>Down to what it reports</h3>
        <RowList name={['reportsFrom']} one="reporting limit" add="One more parameter" fresh={() => ({ parameter: 'arsenic', from: '' })}>
          {(row) => (
            <>
              <Field name={[row, 'parameter']} label="Parameter">
                <ParameterSelect withUnit />
              </Field>
              <Field name={[row, 'from']} label="Reports from">
                <Input size="large" inputMode="decimal" />
              </Field>
            </>
          )}
        </RowList>
      </section>
      <section className="stack">
        <h2>Its form</h2>
        <p className="soft small">In its order. What always says the same is written once, here.</p>
        <RowList name={['form']} one="field" add="One more field" fresh={() => ({ field: 'quote' })}>
          {(row) => (
            <>
              <Field name={[row, 'field']}>
                <Select size="large" options={fields} showSearch={{ optionFilterProp: 'label' }} />
              </Field>
              <Field name={[row, 'always']} />
            </>
          )}
        </RowList>
        <h3>Its own codes of bottles</h3>
        <RowList name={['codes']} one="code" add="One more code" fresh={() => ({ rule: 'bacteria', code: '' })}>
          {(row) => (
            <>
              <Field name={[row, 'rule']} label="Bottle">
                <Select size="large" options={bottles} showSearch={{ optionFilterProp: 'label' }} />
              </Field>
              <Field name={[row, 'code']} label="Code">
                <Input size="large" maxLength={40} />
              </Field>
            </>
          )}
        </RowList>
      </section>
    </>
  );
}
