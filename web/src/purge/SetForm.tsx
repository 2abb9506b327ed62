import { parameter } from '@fonte/core/parameters';
import { purgeReading, questionSet, type ProbeParameter, type PurgeSetUp } from '@fonte/core/purge';
import type { VisitState } from '@fonte/core/round';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { now } from '../time/clock.ts';
import { useUnitSystem } from '../units/system.ts';
import { TypedInput } from '../units/TypedField.tsx';
import { unitsFor, type SetDraft } from './setDraft.ts';

/** The numbers of one set. */
export function SetFields({ parameters, within = [] }: { parameters: readonly ProbeParameter[]; within?: readonly string[] }) {
  return (
    <div className="set-fields">
      <Field name={[...within, 'pumped']} />
      {parameters.map((id) => (
        <Field key={id} name={[...within, 'values', id]} label={parameter(id).name}>
          <TypedInput units={unitsFor(id)} label={parameter(id).name} />
        </Field>
      ))}
      <Field name={[...within, 'level']} hint="Leave empty if not read" />
    </div>
  );
}

/** One set of readings with the pumped total. Enter moves on to the next number; on the last it writes the set down. */
export function SetForm({ visit, setUp: { parameters } }: { visit: VisitState; setUp: PurgeSetUp }) {
  const { append } = useRound();
  const { system } = useUnitSystem();
  const form = useEntryForm<SetDraft, z.output<typeof purgeReading.payload>>({
    keep: `set.${visit.id}`,
    initial: {
      pumped: { text: '', unit: system === 'us' ? 'gal' : 'L' },
      values: Object.fromEntries(parameters.map((id) => [id, { text: '', unit: unitsFor(id)[0]! }])),
      level: { text: '', unit: system === 'us' ? 'ft' : 'm' },
      note: '',
    },
    schema: purgeReading.payload,
    ask: (payload) => (visit.purge ? questionSet(payload, visit.purge, visit.level?.agreed ?? null, now()) : []),
    write: (payload, { id, kept }) => append(purgeReading, payload, { at: visit.id, id, kept }),
    // The next set is typed in the units of this one.
    next: ({ pumped, values, level }) => ({
      pumped: { ...pumped, text: '' },
      values: Object.fromEntries(parameters.map((id) => [id, { text: '', unit: values[id]?.unit ?? unitsFor(id)[0]! }])),
      level: { ...level, text: '' },
      note: '',
    }),
    first: 'pumped',
  });
  return (
    <EntryForm of={form} submit="Write the set down" tone={visit.purge?.ready ? 'default' : 'primary'} enter="moves-on" className="stack">
      <h2>Set {(visit.purge?.count ?? 0) + 1}</h2>
      <SetFields parameters={parameters} />
      <Field name="note" />
    </EntryForm>
  );
}
