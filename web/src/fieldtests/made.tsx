import { method, usedOf, type FieldTest, type MethodId } from '@fonte/core/fieldtests';
import { registerLists, type Instrument, type Lot } from '@fonte/core/registers';
import { showDate } from '@fonte/core/time';
import { Select } from 'antd';
import { useAnswer } from '../api/useAnswer.ts';
import { Field } from '../form/Field.tsx';
import { DayInput } from '../time/DayInput.tsx';

const all = { query: { limit: 500 } } as const;

/** The instruments of the register that a method is read with. */
export function useInstruments(id: MethodId): Instrument[] {
  const kind = method(id).instrument;
  const { data = [] } = useAnswer(registerLists.instruments, kind ? all : null);
  return data.filter((one) => one.kind === kind && !one.outOfUse);
}

/** The reagents of the register for a method. */
export function useLots(id: MethodId): Lot[] {
  const { data = [] } = useAnswer(registerLists.lots, method(id).reagent ? all : null);
  return data.filter((one) => one.use === 'reagent' && one.parameter === method(id).parameter);
}

/** Where one instrument is all there is, it is that one; of several a person says which. */
export const theOnly = (instruments: readonly Instrument[], chosen: string): Instrument | null =>
  instruments.find(({ id }) => id === chosen) ?? (instruments.length === 1 ? instruments[0]! : null);

export const asMade = (instrument: Instrument | null) =>
  instrument
    ? { instrument: { id: instrument.id, name: instrument.name, ...(instrument.serial ? { serial: instrument.serial } : {}) } }
    : {};

/** Which instrument it is read with. */
export function InstrumentField({ instruments }: { instruments: readonly Instrument[] }) {
  if (instruments.length === 0) return null;
  if (instruments.length === 1)
    return (
      <p className="soft small">
        With {instruments[0]!.name}
        {instruments[0]!.serial ? `, ${instruments[0]!.serial}` : ''}
      </p>
    );
  return (
    <Field name="instrument" label="With">
      <Select size="large" options={instruments.map(({ id, name, serial = '' }) => ({ value: id, label: `${name} ${serial}`.trim() }))} />
    </Field>
  );
}

const other = 'other';

/** The reagent that goes in, with what is left of it; or one that the register does not know. */
export function LotField({ lots, tests, chosen }: { lots: readonly Lot[]; tests: readonly FieldTest[]; chosen: string }) {
  const left = ({ id, left: registered }: Lot) => (registered === undefined ? null : registered - usedOf(tests, id));
  const says = (lot: Lot) => {
    const still = left(lot);
    const count = still === null ? '' : still > 0 ? `, ${still} left` : ', none left by the count';
    return `${lot.lot}${count}: ${lot.name}, until ${showDate(lot.expires)}`;
  };
  return (
    <>
      <Field name="lotOf" label="Reagent">
        <Select
          size="large"
          allowClear
          placeholder="Not said"
          options={[...lots.map((lot) => ({ value: lot.id, label: says(lot) })), { value: other, label: 'Another lot: type it' }]}
        />
      </Field>
      {chosen === other && (
        <div className="form-grid">
          <Field name={['lot', 'lot']} />
          <Field name={['lot', 'expires']}>
            <DayInput />
          </Field>
        </div>
      )}
    </>
  );
}

/** The lot as the book keeps it. */
export function lotOf(lots: readonly Lot[], chosen: string | undefined, typed: { lot: string; expires: string }): object {
  if (chosen === other) return { lot: { name: '', ...typed } };
  const lot = lots.find(({ id }) => id === chosen);
  return lot ? { lot: { id: lot.id, name: lot.name, lot: lot.lot, expires: lot.expires } } : {};
}
