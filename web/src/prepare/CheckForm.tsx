import { allowed, checkRow, instrumentChecked, judgeCheck, outcomeNames, unitOf, type Check, type CheckId } from '@fonte/core/prepare';
import { readField } from '../units/decimal.ts';
import { inOwnUnit, parameter } from '@fonte/core/parameters';
import { registerLists, type Instrument } from '@fonte/core/registers';
import { showDate } from '@fonte/core/time';
import { showNumber, unitLabel, type Typed } from '@fonte/core/units';
import { Button, Checkbox, Radio, Select } from 'antd';
import type { z } from 'zod';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { useSession } from '../session/session.ts';
import { Mark } from '../theme/Mark.tsx';
import { now } from '../time/clock.ts';
import { DayInput } from '../time/DayInput.tsx';
import { TypedInput } from '../units/TypedField.tsx';
import { simulatedMeter } from './meters.ts';

interface Values {
  standard: { name: string; lot: string; expires: string };
  nominal: Typed;
  reading: Typed;
  isGood: boolean | null;
  isAdjusted: boolean;
}

interface Props {
  id: CheckId;
  instrument: Instrument;
  before: Check | null;
  close: () => void;
}

/** One check of one instrument: what to do, the standard with its lot, what it reads, and what comes of it before it is written. */
export function CheckForm({ id, instrument, before, close }: Props) {
  const { round, append } = useRound();
  const { demo } = useSession();
  const row = checkRow(id);
  const unit = unitOf(id) ?? '1';
  const { data: lots = [] } = useAnswer(registerLists.lots, row.isOfLot ? { query: { limit: 500 } } : null);
  const own = lots.filter((lot) => lot.use === 'standard' && lot.parameter === row.parameter);
  const empty: Typed = { text: '', unit };
  const form = useEntryForm<Values, z.output<typeof instrumentChecked.payload>>({
    keep: `check.${instrument.id}.${id}`,
    initial: {
      standard: { name: before?.standard ? row.name : '', lot: before?.standard?.lot ?? '', expires: before?.standard?.expires ?? '' },
      nominal: before?.nominal ?? (row.nominal === undefined ? empty : { text: String(row.nominal), unit }),
      reading: empty,
      isGood: null,
      isAdjusted: false,
    },
    schema: instrumentChecked.payload,
    read: ({ standard, nominal, reading, isGood, isAdjusted }) =>
      asTyped(
        {
          instrument: {
            id: instrument.id,
            name: instrument.name,
            kind: instrument.kind,
            ...(instrument.serial ? { serial: instrument.serial } : {}),
          },
          check: id,
          isAdjusted,
          ...(row.parameter ? { nominal, reading } : isGood === null ? {} : { isGood }),
          ...(row.isOfLot ? { standard: { ...standard, name: standard.name || row.name } } : {}),
        },
        instrumentChecked.payload,
      ),
    check: ({ reading, nominal, isGood }) => [
      ...(row.parameter && !reading ? [{ path: 'reading', message: 'Write down what it reads.' }] : []),
      ...(row.parameter && !nominal ? [{ path: 'nominal', message: 'Write down what it should read.' }] : []),
      ...(!row.parameter && isGood === undefined ? [{ path: 'isGood', message: 'Say whether it is so.' }] : []),
    ],
    write: async (payload, { id: entry, kept }) => {
      await append(instrumentChecked, payload, { id: entry, kept });
      close();
    },
  });
  const { standard, nominal, reading } = form.values;
  const isNumber = ({ text }: Typed) => readField(text).ok;
  const isRead = row.parameter !== undefined && isNumber(reading) && isNumber(nominal);
  const outcome = isRead ? judgeCheck({ check: id, nominal, reading, ...(row.isOfLot ? { standard } : {}) }, round.plan.date) : null;
  const fill = async () => form.set({ reading: await simulatedMeter.read(id, isNumber(nominal) ? nominal : null, now()) });
  return (
    <EntryForm of={form} submit="Write it down" className="stack check-form" leave={{ says: 'Not now', by: close }}>
      <p>
        <span className="strong">{row.do}.</span> <span className="soft">{row.why}</span>
      </p>
      {row.isOfLot && (
        <>
          {own.length > 0 && (
            <Select
              size="large"
              aria-label="Standard of the register"
              placeholder="Standard of the register"
              value={own.find(({ lot }) => lot === standard.lot)?.id ?? null}
              options={own.map((lot) => ({ value: lot.id, label: `${lot.name}, lot ${lot.lot}, until ${showDate(lot.expires)}` }))}
              onChange={(chosen: string | null) => {
                const lot = own.find((one) => one.id === chosen);
                if (lot)
                  form.set({
                    standard: { name: lot.name, lot: lot.lot, expires: lot.expires },
                    ...(lot.nominal === undefined ? {} : { nominal: { text: String(lot.nominal), unit } }),
                  });
              }}
            />
          )}
          <div className="form-grid">
            <Field name={['standard', 'lot']} />
            <Field name={['standard', 'expires']}>
              <DayInput />
            </Field>
          </div>
        </>
      )}
      {row.parameter ? (
        <>
          {row.nominal === undefined && (
            <Field name="nominal">
              <TypedInput units={[unit]} label="Should read" />
            </Field>
          )}
          <Field name="reading">
            <TypedInput units={[unit]} label="Reads" big autoFocus />
          </Field>
          {demo && (
            <div>
              <Button onClick={() => void fill()}>Read from the simulated instrument</Button>
            </div>
          )}
        </>
      ) : (
        <Field name="isGood">
          <Radio.Group
            options={[
              { value: true, label: 'Yes' },
              { value: false, label: 'No' },
            ]}
          />
        </Field>
      )}
      {before && (
        <Field name="isAdjusted" label="" isTicked>
          <Checkbox>It was adjusted since the check before</Checkbox>
        </Field>
      )}
      {outcome && (
        <p className={`word tone-${outcome === 'pass' ? 'good' : 'stop'}`}>
          <Mark kind={outcome === 'pass' ? 'good' : 'stop'} />
          {outcomeNames[outcome]}
          {outcome === 'expired' || outcome === 'wrong-standard'
            ? ''
            : `: ±${showNumber(allowed(row.tolerance!, inOwnUnit(row.parameter!, nominal)), parameter(row.parameter!).decimals)} ${unitLabel(unit)}`}
        </p>
      )}
    </EntryForm>
  );
}
