import { inText, parameter } from '@fonte/core/parameters';
import {
  asksTotal,
  purgeReading,
  questionSet,
  type ParameterVerdict,
  type ProbeParameter,
  type PurgeSetUp,
  type PurgeState,
} from '@fonte/core/purge';
import type { VisitState } from '@fonte/core/round';
import type { Typed } from '@fonte/core/units';
import type { Probe, ProbeReading } from '@fonte/core/devices';
import { Button } from 'antd';
import { useState } from 'react';
import type { z } from 'zod';
import { useRound } from '../../book/useRound.ts';
import { useHeard } from '../../devices/index.ts';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field } from '../../form/Field.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { Mark } from '../../theme/Mark.tsx';
import { now } from '../../time/clock.ts';
import { useUnitSystem } from '../../units/system.ts';
import { TypedInput } from '../../units/TypedField.tsx';
import { UnitSwitch } from '../../units/UnitSwitch.tsx';
import { NumberRow } from './NumberRow.tsx';
import { Pad } from './Pad.tsx';
import { put, textAt, typedAt, unitsFor, withText, type SetDraft, type SetField } from './setDraft.ts';
import { usePad } from './usePad.ts';

/** The numbers of one set, each with its unit: for a correction. */
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

/** The numbers of a set in the order in which they are typed: those that are asked for first, what may stay empty after them. */
function fieldsOf(purge: PurgeState, { parameters, method }: PurgeSetUp): { asked: SetField[]; free: SetField[] } {
  const isTotalAsked = asksTotal(purge, now());
  const isLevelAsked = method.id === 'low-flow' || method.id === 'steady-level';
  return {
    asked: [...(isTotalAsked ? (['pumped'] as const) : []), ...parameters, ...(isLevelAsked ? (['level'] as const) : [])],
    free: [...(isLevelAsked ? [] : (['level'] as const)), ...(isTotalAsked ? [] : (['pumped'] as const))],
  };
}

const nameOf = (field: SetField): string =>
  field === 'pumped' ? 'Pumped so far' : field === 'level' ? 'Level while pumping' : parameter(field).name;

const marks: Partial<Record<ParameterVerdict['state'], 'good' | 'question'>> = { holding: 'good', moving: 'question', coarse: 'question' };

/** One set of readings, one number after the other. Enter and the pad move on to the next, and write the set down on the last. */
export function SetForm({
  visit,
  purge,
  setUp,
  probe,
}: {
  visit: VisitState;
  purge: PurgeState;
  setUp: PurgeSetUp;
  /** A probe that is connected, or null. */
  probe: Probe | null;
}) {
  const { append } = useRound();
  const { system } = useUnitSystem();
  const isByPad = usePad();
  const { parameters } = setUp;
  // The order stays for a whole set, also where a timed flow makes the total known meanwhile: no number moves under the hand.
  const place = `${setUp.entry} ${purge.count}`;
  const [order, setOrder] = useState(() => ({ place, ...fieldsOf(purge, setUp) }));
  if (order.place !== place) setOrder({ place, ...fieldsOf(purge, setUp) });
  const { asked, free } = order;
  // Each set begins at its first number, as soon as the one before stands.
  const [at, setAt] = useState<{ set: number; field: SetField }>({ set: purge.count, field: asked[0]! });
  const active = at.set === purge.count ? at.field : asked[0]!;
  const setActive = (field: SetField) => setAt({ set: purge.count, field });
  const [lastSet] = purge.setsFrom(purge.count - 1);
  const form = useEntryForm<SetDraft, z.output<typeof purgeReading.payload>>({
    keep: `set.${visit.id}`,
    initial: {
      pumped: { text: '', unit: lastSet?.pumpedTyped?.unit ?? (system === 'us' ? 'gal' : 'L') },
      values: Object.fromEntries(parameters.map((id) => [id, { text: '', unit: lastSet?.values[id]?.unit ?? unitsFor(id)[0]! }])),
      level: { text: '', unit: lastSet?.levelTyped?.unit ?? (system === 'us' ? 'ft' : 'm') },
      note: '',
    },
    schema: purgeReading.payload,
    check: ({ pumped }) => (asksTotal(purge, now()) && !pumped ? [{ path: 'pumped', message: 'Say how much was pumped so far.' }] : []),
    ask: (payload) => questionSet(payload, purge, visit.level?.agreed ?? null, now(), elevationOf(visit)),
    write: (payload, { id, kept }) => append(purgeReading, payload, { at: visit.id, id, kept }),
    // The next set is typed in the units of this one.
    next: ({ pumped, values, level }) => ({
      pumped: { ...pumped, text: '' },
      values: Object.fromEntries(parameters.map((id) => [id, { text: '', unit: values[id]?.unit ?? unitsFor(id)[0]! }])),
      level: { ...level, text: '' },
      note: '',
    }),
    first: pathOf(asked[0]!).join('.'),
  });
  const draft = form.values;
  const go = (field: SetField) => {
    setActive(field);
    form.form.getFieldInstance(pathOf(field))?.focus?.();
    document.getElementById(`set-${visit.id}_${pathOf(field).join('_')}`.replace(/[^\w-]/g, '-'))?.focus();
  };
  const following = asked[asked.indexOf(active) + 1];
  const last = (field: SetField): Typed | null | undefined =>
    field === 'pumped' ? lastSet?.pumpedTyped : field === 'level' ? lastSet?.levelTyped : lastSet?.values[field];
  const markOf = (field: SetField) => {
    const verdict = purge.stability?.parameters.find(({ parameter: id }) => id === field);
    const kind = verdict && marks[verdict.state];
    return kind ? <Mark kind={kind} size={15} /> : null;
  };
  const row = (field: SetField) => (
    <Field key={field} name={pathOf(field)} label={nameOf(field).replace(/ at 25.*/, '')}>
      <NumberRow last={last(field)} isByPad={isByPad} isActive={field === active} onFocus={() => setActive(field)} mark={markOf(field)} />
    </Field>
  );
  return (
    <EntryForm
      of={form}
      {...(isByPad ? {} : { submit: 'Write the set down' })}
      tone={purge.ready ? 'default' : 'primary'}
      enter="moves-on"
      className="set-form"
    >
      <div className="row between">
        <h2>
          Set {purge.count + 1} {lastSet && <span className="soft small">the last value beside each</span>}
        </h2>
        {probe && (
          <TakeOver
            probe={probe}
            take={(values) => {
              const taken = parameters.flatMap((id) => (values[id] ? [[id, values[id]] as const] : []));
              form.set({ values: { ...draft.values, ...Object.fromEntries(taken) } });
            }}
          />
        )}
      </div>
      <div className="number-rows">
        {asked.map(row)}
        {free.map(row)}
      </div>
      {isByPad && (
        <Pad
          text={textAt(draft, active)}
          onText={(text) => form.set(withText(draft, active, text))}
          next={following ? () => go(following) : null}
          write={form.form.submit}
          busy={form.busy}
        />
      )}
      <details className="small">
        <summary>Units, a note</summary>
        <div className="stack">
          {parameters
            .filter((id) => unitsFor(id).length > 1)
            .map((id) => (
              <div key={id} className="row">
                <span>Unit of {inText(id)}</span>
                <UnitSwitch
                  label={parameter(id).name}
                  value={typedAt(draft, id)}
                  units={unitsFor(id)}
                  onChange={(value) => form.set(put(draft, id, value))}
                />
              </div>
            ))}
          {(['pumped', 'level'] as const).map((field) => (
            <div key={field} className="row">
              <span>Unit of {nameOf(field).toLowerCase()}</span>
              <UnitSwitch
                label={nameOf(field)}
                value={draft[field]}
                units={field === 'pumped' ? ['L', 'gal'] : ['m', 'ft']}
                onChange={(value) => form.set(put(draft, field, value))}
              />
            </div>
          ))}
          <Field name="note" />
        </div>
      </details>
    </EntryForm>
  );
}

/** What a connected probe shows, into the form: a person still writes it down. */
function TakeOver({ probe, take }: { probe: Probe; take: (values: ProbeReading['values']) => void }) {
  const heard = useHeard(probe);
  return (
    <Button size="small" disabled={heard === null} onClick={() => heard && take(heard.values)}>
      Take over from the probe
    </Button>
  );
}

/** The elevation of a well's first mark in m, where it is known: the air presses less in the mountains. */
const elevationOf = ({ point }: VisitState) => (point.type === 'well' ? point.well.measuringPoints[0]?.elevation : undefined);

const pathOf = (field: SetField): string[] => (field === 'pumped' || field === 'level' ? [field] : ['values', field]);
