import { longestHours } from '@fonte/core/custody';
import { Lab, labelParts, labRegistered, usualPattern } from '@fonte/core/registers';
import { bottleTables, cardOf, type RuleId } from '@fonte/core/bottles';
import { Checkbox, Input, Select } from 'antd';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field } from '../../form/Field.tsx';
import { RowList } from '../../form/RowList.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { offered } from '../../editions/analyses.ts';
import { classes, emptyCutOff, emptyDropOff, fieldOfLab, labValues, readLab, type LabValues, type TemperatureClass } from './labValues.ts';
import { useRegister } from '../useRegister.ts';
import { thingPage } from '../ThingPage.tsx';
import { DayInput } from '../../time/DayInput.tsx';
import { TimeInput } from '../../time/TimeInput.tsx';
import { weekdays, weekdaysInShort } from '../weekdays.ts';
import { Holidays } from './Holidays.tsx';
import { withHolidays } from './holidays.ts';
import { Refusals } from './Refusals.tsx';
import { ZoneSelect } from './ZoneSelect.tsx';
import '../registers.css';
import { ManySelect } from '../../form/ManySelect.tsx';

/** A lab with what it takes in, when, how warm and how old: its own rules, never constants of the product. */
function LabForm({ thing }: { thing: Lab | null }) {
  const form = useEntryForm<LabValues, Lab>({
    keep: `lab.${thing?.id ?? 'new'}`,
    initial: labValues(thing),
    schema: Lab,
    read: (values) => readLab(values, thing),
    write: useRegister('labs', labRegistered),
    at: fieldOfLab,
  });
  const table = bottleTables.newest[0]!;
  const bottles = (Object.keys(table.rules) as RuleId[]).map((rule) => ({ value: rule, label: cardOf(table, rule).name }));
  return (
    <>
      <h1>{thing ? thing.name : 'Register a lab'}</h1>
      <EntryForm of={form} submit={thing ? 'Write the change' : 'Register it'}>
        <div className="form-grid">
          <Field name="name" />
          <Field name="zone">
            <ZoneSelect />
          </Field>
          <Field name="source" />
          <Field name={['position', 'latitude']} hint="Of its door. South is negative" />
          <Field name={['position', 'longitude']} hint="West is negative" />
          <Field name="asksForSeal" label="Custody" isTicked>
            <Checkbox>It asks for a seal number</Checkbox>
          </Field>
        </div>
        <section className="stack">
          <h2>Intake hours</h2>
          <RowList name={['intake']} one="intake" add="More hours" fresh={() => ({ weekday: 1, opens: '', closes: '' })}>
            {(row) => (
              <>
                <Field name={[row, 'weekday']}>
                  <Select size="large" options={weekdays} />
                </Field>
                <Field name={[row, 'opens']}>
                  <TimeInput />
                </Field>
                <Field name={[row, 'closes']}>
                  <TimeInput />
                </Field>
              </>
            )}
          </RowList>
        </section>
        <section className="stack">
          <h2>Days on which it is shut</h2>
          <p className="soft small">Holidays and days of its own. On the other days the hours above hold.</p>
          <Holidays add={(holidays) => form.set({ closedDays: withHolidays(form.values.closedDays, holidays) })} />
          <RowList name={['closedDays']} one="closed day" add="One more closed day" fresh={() => ({ date: '', name: '' })}>
            {(row) => (
              <>
                <Field name={[row, 'date']}>
                  <DayInput />
                </Field>
                <Field name={[row, 'name']} />
              </>
            )}
          </RowList>
        </section>
        <section className="stack">
          <h2>Some bottles for a shorter time</h2>
          <p className="soft small">Until a time, on some days or on every day. Without a time they are not taken in then.</p>
          <RowList name={['cutOffs']} one="cut-off" add="One more cut-off" fresh={emptyCutOff}>
            {(row) => (
              <>
                <Field name={[row, 'bottles']}>
                  <ManySelect options={bottles} />
                </Field>
                <Field name={[row, 'weekdays']}>
                  <ManySelect options={weekdaysInShort} />
                </Field>
                <Field name={[row, 'closes']}>
                  <TimeInput />
                </Field>
              </>
            )}
          </RowList>
        </section>
        <section className="stack">
          <h2>Places where bottles are left for it</h2>
          <p className="soft small">
            A depot, or where a courier calls: by the lab’s clock. What lies there is fetched when the hours end.
          </p>
          <RowList name={['dropOffs']} one="place" add="One more place" fresh={emptyDropOff}>
            {(row) => (
              <>
                <Field name={[row, 'name']} />
                <Field name={[row, 'weekdays']} label="Days">
                  <ManySelect options={weekdaysInShort} />
                </Field>
                <Field name={[row, 'opens']} label="From">
                  <TimeInput />
                </Field>
                <Field name={[row, 'closes']} label="Fetched at">
                  <TimeInput />
                </Field>
                <Field name={[row, 'toLab']} />
                <Field name={[row, 'position', 'latitude']} />
                <Field name={[row, 'position', 'longitude']} />
              </>
            )}
          </RowList>
        </section>
        <section className="stack">
          <h2>What it wants</h2>
          <div className="form-grid">
            <Field name="takes" hint="Empty: it is not known, and nothing is said">
              <ManySelect options={offered(table)} />
            </Field>
            <Field
              name="labels"
              placeholder={usualPattern}
              hint={Object.keys(labelParts)
                .map((name) => `{${name}}`)
                .join(' ')}
            />
            <Field name="paper" />
          </div>
        </section>
        <section className="stack">
          <h2>Temperature on arrival</h2>
          {(Object.keys(classes) as TemperatureClass[]).map((name) => (
            <div key={name} className="register-row">
              <span className="strong">{classes[name]}</span>
              <Field name={['temperature', name, 'least']} label={`${classes[name]}: coldest`} />
              <Field name={['temperature', name, 'most']} label={`${classes[name]}: warmest`} />
            </div>
          ))}
        </section>
        <Refusals bottles={bottles} analyses={offered(table)} />
        <section className="stack">
          <h2>Holding times of this lab</h2>
          <p className="soft small">
            Shorter than the rule; for bacteria also longer, up to {longestHours.bacteria} h, where your regulation allows it (40 CFR
            141.852).
          </p>
          <RowList name={['holding']} one="holding" add="One more bottle" fresh={() => ({ rule: 'bacteria', hours: '' })}>
            {(row) => (
              <>
                <Field name={[row, 'rule']} label="Bottle">
                  <Select size="large" options={bottles} />
                </Field>
                <Field name={[row, 'hours']} label="Hours to receipt">
                  <Input size="large" inputMode="decimal" />
                </Field>
              </>
            )}
          </RowList>
        </section>
      </EntryForm>
    </>
  );
}

export const LabPage = thingPage('labs', LabForm);
