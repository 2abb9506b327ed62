import { parameter, type ParameterId } from '@fonte/core/parameters';
import {
  Box,
  boxRegistered,
  Instrument,
  instrumentKind,
  instrumentKindIds,
  type InstrumentKind,
  instrumentRegistered,
  Lot,
  lotRegistered,
  questionSerial,
  registerLists,
} from '@fonte/core/registers';
import { unitLabel, type Typed } from '@fonte/core/units';
import { Input, Segmented, Select } from 'antd';
import { useAnswer } from '../../api/useAnswer.ts';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field } from '../../form/Field.tsx';
import { ParameterSelect } from '../../form/ParameterSelect.tsx';
import { RowList } from '../../form/RowList.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { asTyped, inBase, typedOf, type Read } from '../../form/values.ts';
import { DayInput } from '../../time/DayInput.tsx';
import { thingPage } from '../ThingPage.tsx';
import { freshId, useRegister } from '../useRegister.ts';
import { numberReader } from './numbers.ts';
import { Drift } from './Drift.tsx';
import '../registers.css';

const submitOf = (thing: object | null) => (thing ? 'Write the change' : 'Register it');

interface RangeValues {
  parameter?: ParameterId | undefined;
  from: string;
  to: string;
}
interface InstrumentValues {
  id: string;
  name: string;
  kind?: InstrumentKind | undefined;
  serial: string;
  outOfUse: string;
  ranges: RangeValues[];
}

function readInstrument({ ranges = [], ...said }: InstrumentValues): Read {
  const { problems, number } = numberReader();
  const rows = ranges.map(({ parameter: of, from, to }, row) => ({
    parameter: of,
    ...number('from', `ranges.${row}.from`, from),
    ...number('to', `ranges.${row}.to`, to),
  }));
  const { value } = asTyped(said, Instrument);
  return { value: { ...(value as object), ...(rows.length > 0 ? { ranges: rows } : {}) }, problems };
}

/** An instrument with what it measures and between which values, and below it how its checks went through time. */
function InstrumentForm({ thing }: { thing: Instrument | null }) {
  const { data: known = [] } = useAnswer(registerLists.instruments, { query: { limit: 500 } });
  const form = useEntryForm<InstrumentValues, Instrument>({
    keep: `instrument.${thing?.id ?? 'new'}`,
    initial: {
      id: thing?.id ?? freshId(),
      name: thing?.name ?? '',
      kind: thing?.kind,
      serial: thing?.serial ?? '',
      outOfUse: thing?.outOfUse ?? '',
      ranges: (thing?.ranges ?? []).map(({ parameter: of, from, to }) => ({ parameter: of, from: String(from), to: String(to) })),
    },
    schema: Instrument,
    read: readInstrument,
    ask: (instrument) => questionSerial(instrument, known),
    write: useRegister('instruments', instrumentRegistered),
  });
  const { ranges = [] } = form.values;
  const unitIn = (row: number) => {
    const of = ranges[row]?.parameter;
    return of ? `, ${unitLabel(parameter(of).unit)}` : '';
  };
  return (
    <>
      <h1>{thing ? thing.name : 'Register an instrument'}</h1>
      <EntryForm of={form} submit={submitOf(thing)}>
        <div className="form-grid">
          <Field name="name" placeholder="Blue photometer" />
          <Field name="kind">
            <Select
              size="large"
              placeholder="Choose"
              disabled={thing !== null}
              options={instrumentKindIds.map((id) => ({ value: id, label: instrumentKind(id).name }))}
            />
          </Field>
          <Field name="serial" />
          <Field name="outOfUse" placeholder="at the maker for repair" />
        </div>
        <section className="stack">
          <h2>What it measures</h2>
          <RowList name={['ranges']} one="range" add="One more range" fresh={() => ({ from: '', to: '' })}>
            {(row) => (
              <>
                <Field name={[row, 'parameter']}>
                  <ParameterSelect style={{ minWidth: 180 }} />
                </Field>
                <Field name={[row, 'from']} label={`From${unitIn(row)}`}>
                  <Input size="large" inputMode="decimal" autoComplete="off" />
                </Field>
                <Field name={[row, 'to']} label={`To${unitIn(row)}`}>
                  <Input size="large" inputMode="decimal" autoComplete="off" />
                </Field>
              </>
            )}
          </RowList>
        </section>
      </EntryForm>
      {thing && <Drift instrument={thing} />}
    </>
  );
}

interface LotValues {
  id: string;
  name: string;
  use: Lot['use'];
  lot: string;
  expires: string;
  parameter?: Lot['parameter'] | undefined;
  nominal: string;
  left: string;
}

function readLot({ nominal, left, ...said }: LotValues): Read {
  const { problems, number } = numberReader();
  const numbers = { ...number('nominal', 'nominal', nominal), ...number('left', 'left', left) };
  const { value } = asTyped(said, Lot);
  return { value: { ...(value as object), ...numbers }, problems };
}

/** A standard or a reagent, by its lot. */
function LotForm({ thing }: { thing: Lot | null }) {
  const form = useEntryForm<LotValues, Lot>({
    keep: `lot.${thing?.id ?? 'new'}`,
    initial: {
      id: thing?.id ?? freshId(),
      name: thing?.name ?? '',
      use: thing?.use ?? 'standard',
      lot: thing?.lot ?? '',
      expires: thing?.expires ?? '',
      parameter: thing?.parameter,
      nominal: thing?.nominal === undefined ? '' : String(thing.nominal),
      left: thing?.left === undefined ? '' : String(thing.left),
    },
    schema: Lot,
    read: readLot,
    check: ({ use, nominal, parameter: of }) =>
      use === 'standard' && of !== undefined && nominal === undefined ? [{ path: 'nominal', message: 'A standard has a value.' }] : [],
    write: useRegister('lots', lotRegistered),
  });
  const { parameter: of, use } = form.values;
  return (
    <>
      <h1>{thing ? thing.name : 'Register a standard or reagent'}</h1>
      <EntryForm of={form} submit={submitOf(thing)}>
        <Field name="use">
          <Segmented
            aria-label="What it is"
            size="large"
            options={[
              { value: 'standard', label: 'Standard' },
              { value: 'reagent', label: 'Reagent' },
            ]}
          />
        </Field>
        <div className="form-grid">
          <Field name="name" placeholder="Buffer pH 7" />
          <Field name="lot" />
          <Field name="expires">
            <DayInput />
          </Field>
          <Field name="parameter">
            <ParameterSelect allowClear placeholder="Nothing that is measured" />
          </Field>
          {use === 'standard' && of && (
            <Field name="nominal" label={`Nominal value, ${unitLabel(parameter(of).unit)}`}>
              <Input size="large" inputMode="decimal" autoComplete="off" />
            </Field>
          )}
          <Field name="left">
            <Input size="large" inputMode="numeric" autoComplete="off" />
          </Field>
        </div>
      </EntryForm>
    </>
  );
}

/** A cool box, and the vehicle it rides in. */
function BoxForm({ thing }: { thing: Box | null }) {
  const form = useEntryForm<{ id: string; name: string; holds: Typed; vehicle: string }, Box>({
    keep: `box.${thing?.id ?? 'new'}`,
    initial: { id: thing?.id ?? freshId(), name: thing?.name ?? '', holds: typedOf(thing?.holds, 'L'), vehicle: thing?.vehicle ?? '' },
    schema: Box,
    read: inBase,
    write: useRegister('boxes', boxRegistered),
  });
  return (
    <>
      <h1>{thing ? thing.name : 'Register a box'}</h1>
      <EntryForm of={form} submit={submitOf(thing)}>
        <div className="form-grid">
          <Field name="name" placeholder="Big blue cool box" />
          <Field name="holds" />
          <Field name="vehicle" />
        </div>
      </EntryForm>
    </>
  );
}

export const InstrumentPage = thingPage('instruments', InstrumentForm);
export const LotPage = thingPage('lots', LotForm);
export const BoxPage = thingPage('boxes', BoxForm);
export { CriterionPage } from './CriterionForm.tsx';
export { ProgrammePage } from './ProgrammeForm.tsx';
