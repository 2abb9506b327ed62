import { parameter, type ParameterId } from '@fonte/core/parameters';
import { resultsGivenUp, resultTold, rowsSettled } from '@fonte/core/read';
import { instantAt, offsetIn } from '@fonte/core/time';
import type { Typed } from '@fonte/core/units';
import { Checkbox, Segmented, Select } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { now } from '../time/clock.ts';
import { MomentInput } from '../time/MomentInput.tsx';
import { TypedInput } from '../units/TypedField.tsx';

interface OfBottle {
  bottle: string;
  parameters: readonly ParameterId[];
  close: () => void;
}

interface ToldDraft {
  parameter: ParameterId | null;
  what: 'found' | 'number' | '';
  result: Typed;
  moment: number;
  by: string;
}

/** A result that was told by telephone: what must be done is due from then on. */
export function Told({ bottle, parameters, close }: OfBottle) {
  const { append, round } = useRound();
  const { zone } = round.plan;
  // Nothing is taken for said: of one that is left only, it can be no other.
  const only = parameters.length === 1 ? parameters[0]! : null;
  const form = useEntryForm<ToldDraft, z.output<typeof resultTold.payload>>({
    keep: `told.${bottle}`,
    initial: { parameter: only, what: '', result: { text: '', unit: 'mg/L' }, moment: now(), by: '' },
    schema: resultTold.payload,
    read: ({ parameter: id, what, result, moment, by }) => {
      const problems = [
        ...(id === null ? [{ path: 'parameter', message: 'Choose what was measured.' }] : []),
        ...(what === '' ? [{ path: 'what', message: 'Choose what was said.' }] : []),
      ];
      const payload = { bottle, parameter: id, told: instantAt(moment, offsetIn(moment, zone)), by };
      if (id === null || what === '') return { value: payload, problems };
      if (what === 'found') return { value: { ...payload, result: null }, problems };
      return asTyped({ ...payload, result: { ...result, unit: parameter(id).unit } }, resultTold.payload);
    },
    check: ({ told }) => (Date.parse(told.utc) > now() + 60_000 ? [{ path: 'moment', message: 'This is in the future.' }] : []),
    at: (path) => (path.startsWith('told') ? 'moment' : path),
    write: async (payload, { id, kept }) => {
      await append(resultTold, payload, { id, kept });
      close();
    },
  });
  const { parameter: id, what } = form.values;
  return (
    <EntryForm of={form} submit="Write it down" className="stack" leave={{ says: 'Not now', by: close }}>
      <Field name="parameter" label="What was measured">
        <Select size="large" placeholder="Choose" options={parameters.map((one) => ({ value: one, label: parameter(one).name }))} />
      </Field>
      <Field name="what" label="What was said">
        <Segmented
          aria-label="What was said"
          options={[
            { value: 'found', label: 'It was found' },
            { value: 'number', label: 'A number' },
          ]}
        />
      </Field>
      {what === 'number' && id !== null && (
        <Field name="result" label="The number">
          <TypedInput units={[parameter(id).unit]} label="The number" />
        </Field>
      )}
      <Field name="moment" label="When it was told">
        <MomentInput zone={zone} />
      </Field>
      <Field name="by" placeholder="the lab, by telephone" />
    </EntryForm>
  );
}

/** Results that the lab will not report: which of them, and why. */
export function GiveUpResults({ bottle, parameters, close }: OfBottle) {
  const { append } = useRound();
  const form = useEntryForm<{ parameters: ParameterId[]; reason: string }, z.output<typeof resultsGivenUp.payload>>({
    keep: `without.${bottle}`,
    initial: { parameters: [...parameters], reason: '' },
    schema: resultsGivenUp.payload,
    read: (values) => asTyped({ bottle, ...values }, resultsGivenUp.payload),
    write: async (payload, { id, kept }) => {
      await append(resultsGivenUp, payload, { id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="They will not come" tone="danger" enter="nothing" className="stack" leave={{ says: 'Wait on', by: close }}>
      <Field name="parameters" label="Which">
        <Checkbox.Group options={parameters.map((one) => ({ value: one, label: parameter(one).name }))} />
      </Field>
      <Field name="reason" placeholder="the bottle broke at the lab, not analysed there …" />
    </EntryForm>
  );
}

/** Rows that were not understood, and that a person has looked at. */
export function SettleRows({ sha256, close }: { sha256: string; close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<{ reason: string }, z.output<typeof rowsSettled.payload>>({
    keep: `settle.${sha256}`,
    initial: { reason: '' },
    schema: rowsSettled.payload,
    read: ({ reason }) => asTyped({ sha256, reason }, rowsSettled.payload),
    write: async (payload, { id, kept }) => {
      await append(rowsSettled, payload, { id, kept });
      close();
    },
  });
  return (
    <EntryForm
      of={form}
      submit="They do not matter here"
      tone="danger"
      enter="nothing"
      className="stack"
      leave={{ says: 'Leave it open', by: close }}
    >
      <p>You looked at each of them in the report, and none says anything about this round’s water.</p>
      <Field name="reason" />
    </EntryForm>
  );
}
