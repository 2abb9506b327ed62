import { cultureBegun, cultureMethod, cultureMethodIds, cultureWords, type CultureMethod } from '@fonte/core/culture';
import { readField } from '../units/decimal.ts';
import { shownSource } from '@fonte/core/editions';
import { say } from '@fonte/core/findings';
import type { BottleState } from '@fonte/core/round';
import { base, type Typed } from '@fonte/core/units';
import { Checkbox, Radio } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped, type FieldProblem } from '../form/values.ts';
import { Mark } from '../theme/Mark.tsx';
import { DayInput } from '../time/DayInput.tsx';

interface Draft {
  method?: CultureMethod;
  bottles: string[];
  hasBlank: boolean;
  hasControl: boolean;
  filtered: Typed;
  medium: { lot: string; expires: string };
  warmth: Typed;
  departure: string;
}

/** What of a batch departs from its method: it is asked why. */
function departing({ method, warmth, medium }: Draft, today: string): string[] {
  const isRead = method && readField(warmth.text).ok;
  const [cold, hot] = method ? cultureMethod(method).warmth : [0, 0];
  const at = isRead ? base(warmth) : cold;
  return [
    ...(at < cold || at > hot ? ['culture-warmth'] : []),
    ...(medium.expires !== '' && medium.expires < today ? ['culture-medium'] : []),
  ];
}

/** Bottles into the incubator, with a blank and a control. */
export function BeginCulture({ bottles }: { bottles: readonly BottleState[] }) {
  const { round, append } = useRound();
  const today = round.plan.date;
  const form = useEntryForm<Draft, z.output<typeof cultureBegun.payload>>({
    keep: `culture.${round.plan.code}`,
    initial: {
      bottles: [],
      hasBlank: true,
      hasControl: true,
      filtered: { text: '100', unit: 'mL' },
      medium: { lot: '', expires: '' },
      warmth: { text: '', unit: 'degC' },
      departure: '',
    },
    schema: cultureBegun.payload,
    read: (draft) => {
      const { filtered, departure, ...rest } = draft;
      const isFiltered = draft.method !== undefined && cultureMethod(draft.method).counts.of === 'colonies';
      const volume = readField(filtered.text);
      const isDeparting = departing(draft, today).length > 0;
      const read = asTyped(
        { ...rest, ...(isFiltered && volume.ok ? { filtered: volume.value } : {}), ...(isDeparting ? { departure } : {}) },
        cultureBegun.payload,
      );
      const problems: FieldProblem[] = [
        ...(draft.method ? [] : [{ path: 'method', message: 'Say by which method.' }]),
        ...(isFiltered && !volume.ok ? [{ path: 'filtered', message: 'Say how much was filtered.' }] : []),
        ...(isDeparting && departure.trim().length < 3 ? [{ path: 'departure', message: 'Say why, in a few words.' }] : []),
      ];
      return { value: read.value, problems: [...problems, ...read.problems] };
    },
    write: (payload, { id, kept }) => append(cultureBegun, payload, { id, kept }),
  });
  const { method } = form.values;
  const row = method && cultureMethod(method);
  const departs = departing(form.values, today);
  return (
    <EntryForm of={form} submit="They are in: start the clock" enter="nothing" className="stack">
      <Field name="method" label="How they are grown">
        <Radio.Group
          className="decisions"
          aria-label="How they are grown"
          options={cultureMethodIds.map((value) => ({ value, label: cultureMethod(value).name }))}
        />
      </Field>
      {row && (
        <p className="soft small">
          {row.least / 3600} to {row.most / 3600} h at {row.warmth[0]} to {row.warmth[1]} °C. {shownSource(row.source)}.
        </p>
      )}
      <Field name="bottles" label="Which bottles">
        <Checkbox.Group className="bench-bottles" options={bottles.map(({ id }) => ({ value: id, label: id }))} />
      </Field>
      <div className="row">
        <Field name="hasBlank" label="" isTicked>
          <Checkbox>A blank of sterile water</Checkbox>
        </Field>
        <Field name="hasControl" label="" isTicked>
          <Checkbox>A positive control</Checkbox>
        </Field>
      </div>
      <div className="form-grid">
        {row?.counts.of === 'colonies' && <Field name={['filtered', 'text']} label="Filtered of each, in mL" />}
        <Field name={['medium', 'lot']} />
        <Field name={['medium', 'expires']}>
          <DayInput />
        </Field>
        <Field name="warmth" />
      </div>
      {departs.length > 0 && (
        <>
          {departs.map((code) => (
            <p key={code} className="finding question">
              <Mark kind="question" />
              {say(cultureWords, { code })}
            </p>
          ))}
          <Field name="departure" />
        </>
      )}
    </EntryForm>
  );
}
