import { Lab, labRegistered } from '@fonte/core/registers';
import { bottleTables, cardOf, type RuleId } from '@fonte/core/bottles';
import { Checkbox, Input, Select } from 'antd';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { RowList } from '../form/RowList.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { inBase, typedOf } from '../form/values.ts';
import type { Typed } from '@fonte/core/units';
import { freshId, useRegister } from './useRegister.ts';
import { thingPage } from './ThingPage.tsx';
import { DayInput } from '../time/DayInput.tsx';
import { TimeInput } from './TimeInput.tsx';
import { weekdays } from './weekdays.ts';
import { Holidays } from './Holidays.tsx';
import { withHolidays } from './holidays.ts';
import { ZoneSelect } from './ZoneSelect.tsx';
import './registers.css';
import { deviceZone } from '../time/show.ts';

/** Temperature classes of bottles that a lab has a band for. */
const classes = { bacteria: 'Bacteria', chilled: 'Chemistry, chilled', cool: 'Legionella, without ice' } as const;
type TemperatureClass = keyof typeof classes;

interface Band {
  least: Typed;
  most: Typed;
}
interface Values extends Omit<Lab, 'temperature' | 'bacteriaCloses' | 'holding' | 'position'> {
  position: { latitude: Typed; longitude: Typed };
  temperature: Record<TemperatureClass, Band>;
  /** Days on which bacteria are taken for a shorter time, or not at all where there is no time. */
  bacteria: { weekday: number; closes: string | null }[];
  holding: { rule: string; hours: string }[];
}

const degrees = (value: number | undefined): Typed => ({ text: value === undefined ? '' : String(value), unit: 'degC' });

function valuesOf(lab: Lab | null): Values {
  const known = lab ?? {
    id: freshId(),
    name: '',
    zone: deviceZone(),
    source: '',
    asksForSeal: false,
    intake: [1, 2, 3, 4, 5].map((weekday) => ({ weekday, opens: '', closes: '' })),
    temperature: {} as Lab['temperature'],
    bacteriaCloses: {},
    holding: {},
    closedDays: [],
  };
  const { temperature, bacteriaCloses, holding, position, ...rest } = known;
  const band = (name: TemperatureClass): Band => ({ least: degrees(temperature[name]?.least), most: degrees(temperature[name]?.most) });
  return {
    ...rest,
    position: { latitude: typedOf(position?.latitude, 'deg'), longitude: typedOf(position?.longitude, 'deg') },
    temperature: { bacteria: band('bacteria'), chilled: band('chilled'), cool: band('cool') },
    bacteria: Object.entries(bacteriaCloses).map(([weekday, closes]) => ({ weekday: Number(weekday), closes })),
    holding: Object.entries(holding).map(([rule, hours]) => ({ rule, hours: String(hours) })),
  };
}

/** The lab as the register has it. Bands of classes that this form does not show stay as they were. */
export function labOf(values: object, before: Lab | null): object {
  const {
    bacteria = [],
    holding = [],
    temperature = {},
    intake = [],
    position = {},
    closedDays = [],
    ...rest
  } = values as {
    position?: object;
    closedDays?: { date: string }[];
    bacteria?: { weekday?: number; closes?: string | null }[];
    holding?: { rule?: string; hours?: string }[];
    temperature?: Record<string, { least?: number; most?: number }>;
    intake?: { opens?: string; closes?: string }[];
  };
  const bands = Object.entries(temperature).filter(([, { least, most }]) => least !== undefined || most !== undefined);
  return {
    ...rest,
    ...(Object.keys(position).length > 0 ? { position } : {}),
    closedDays: [...closedDays].sort((a, b) => (a.date < b.date ? -1 : 1)),
    // A day without hours is a day on which the lab is shut.
    intake: intake.filter(({ opens, closes }) => opens || closes),
    temperature: { ...before?.temperature, ...Object.fromEntries(bands) },
    bacteriaCloses: Object.fromEntries(bacteria.map(({ weekday, closes }) => [String(weekday), closes ?? null])),
    holding: Object.fromEntries(holding.map(({ rule, hours }) => [rule, Number(String(hours ?? '').replace(',', '.'))])),
  };
}

/** A lab with what it takes in, when, how warm and how old: its own rules, never constants of the product. */
function LabForm({ thing }: { thing: Lab | null }) {
  const form = useEntryForm<Values, Lab>({
    keep: `lab.${thing?.id ?? 'new'}`,
    initial: valuesOf(thing),
    schema: Lab,
    read: (values) => {
      const { value, problems } = inBase(values);
      return { value: labOf(value as object, thing), problems };
    },
    write: useRegister('labs', labRegistered),
  });
  const table = bottleTables.newest[0]!;
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
          <h2>Bacteria on some days</h2>
          <p className="soft small">Days on which bacteria are taken for a shorter time. Without a time, none are taken that day.</p>
          <RowList name={['bacteria']} one="day" add="One more day" fresh={() => ({ weekday: 5, closes: null })}>
            {(row) => (
              <>
                <Field name={[row, 'weekday']} label="Day">
                  <Select size="large" options={weekdays} />
                </Field>
                <Field name={[row, 'closes']} label="Until">
                  <TimeInput />
                </Field>
              </>
            )}
          </RowList>
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
        <section className="stack">
          <h2>Holding times that are shorter here</h2>
          <RowList name={['holding']} one="holding" add="One more bottle" fresh={() => ({ rule: 'bacteria', hours: '' })}>
            {(row) => (
              <>
                <Field name={[row, 'rule']} label="Bottle">
                  <Select
                    size="large"
                    options={(Object.keys(table.rules) as RuleId[]).map((rule) => ({ value: rule, label: cardOf(table, rule).name }))}
                  />
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
