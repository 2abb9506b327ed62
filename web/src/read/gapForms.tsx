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
  parameter: ParameterId;
  what: 'found' | 'number';
  result: Typed;
  moment: number;
  by: string;
}

/** A result that was told by telephone: what must be done is due from then on. */
export function Told({ bottle, parameters, close }: OfBottle) {
  const { append, round } = useRound();
  const { zone } = round.plan;
  const [first] = parameters;
  const form = useEntryForm<ToldDraft, z.output<typeof resultTold.payload>>({
    keep: `told.${bottle}`,
    initial: { parameter: first!, what: 'found', result: { text: '', unit: parameter(first!).unit }, moment: now(), by: '' },
    schema: resultTold.payload,
    read: ({ parameter: id, what, result, moment, by }) => {
      const said = { ...result, unit: parameter(id).unit };
      const payload = { bottle, parameter: id, told: instantAt(moment, offsetIn(moment, zone)), by };
      const typed = asTyped({ ...payload, ...(what === 'number' ? { result: said } : {}) }, resultTold.payload);
      return what === 'number' ? typed : { ...typed, value: { ...(typed.value as object), result: null } };
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
        <Select size="large" options={parameters.map((one) => ({ value: one, label: parameter(one).name }))} />
      </Field>
      <Field name="what" label="What was said">
        <Segmented
          options={[
            { value: 'found', label: 'It was found' },
            { value: 'number', label: 'A number' },
          ]}
        />
      </Field>
      {what === 'number' && (
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
