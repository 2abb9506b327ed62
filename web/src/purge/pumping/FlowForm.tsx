import { flowOf, flowTimed, questionFlow, type PurgeSetUp } from '@fonte/core/purge';
import { readField } from '../../units/decimal.ts';
import { second, showDuration } from '@fonte/core/time';
import { base, show, showTyped, type Typed } from '@fonte/core/units';
import { Button } from 'antd';
import type { z } from 'zod';
import { useRound } from '../../book/useRound.ts';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field, NoControl } from '../../form/Field.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { now } from '../../time/clock.ts';
import { useNow } from '../../time/useNow.ts';
import { TypedInput } from '../../units/TypedField.tsx';

interface Draft {
  caught: Typed;
  /** Typed where it was timed by another watch. */
  took: Typed;
  /** When the watch was started (ms); null while it stands. */
  since: number | null;
  timings: { caught: Typed; took: Typed }[];
}

const isMore = ({ text }: Typed) => {
  const reading = readField(text);
  return reading.ok && reading.value > 0;
};

/** A flow with a bucket and the watch on the screen, timed as often as one likes. */
export function FlowForm({ visit, setUp, close }: { visit: string; setUp: PurgeSetUp; close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm<Draft, z.output<typeof flowTimed.payload>>({
    keep: `flow.${visit}`,
    initial: {
      caught: { text: '', unit: setUp.method.id === 'low-flow' ? 'mL' : 'L' },
      took: { text: '', unit: 's' },
      since: null,
      timings: [],
    },
    schema: flowTimed.payload,
    read: ({ timings }) => ({ value: { timings }, problems: [] }),
    ask: ({ timings }) => {
      const { flow, spread } = flowOf(timings.map((one) => ({ volume: base(one.caught), seconds: base(one.took) })));
      return questionFlow(flow.value, spread, setUp.chosen);
    },
    write: async (payload, { id, kept }) => {
      await append(flowTimed, payload, { at: visit, id, kept });
      close();
    },
  });
  const { caught, took, since, timings } = form.values;
  const time = useNow(100);
  const add = (seconds: Typed) =>
    form.set({ timings: [...timings, { caught, took: seconds }], since: null, took: { text: '', unit: 's' } });
  const stop = () => add({ text: (Math.max(500, now() - since!) / second).toFixed(1), unit: 's' });
  const flow = timings.length > 0 ? flowOf(timings.map((one) => ({ volume: base(one.caught), seconds: base(one.took) }))) : null;
  const isSmall = flow !== null && flow.flow.value < 1e-3 / 60;
  return (
    <EntryForm of={form} submit="Write the flow down" tone={timings.length > 0 ? 'primary' : 'default'} enter="nothing" className="stack">
      <div className="typed">
        <label htmlFor="caught">Volume that is caught</label>
        <TypedInput
          id="caught"
          label="Volume that is caught"
          units={['mL', 'L', 'gal']}
          value={caught}
          onChange={(value) => form.set({ caught: value })}
          autoFocus
        />
      </div>
      <div className="stopwatch">
        <span className="time" role="timer" aria-label="Stopwatch">
          {since === null ? showDuration(0) : showDuration(Math.max(0, time - since))}
        </span>
        {since === null ? (
          <Button
            size="large"
            type={timings.length === 0 ? 'primary' : 'default'}
            disabled={!isMore(caught)}
            onClick={() => form.set({ since: now() })}
          >
            Start the watch
          </Button>
        ) : (
          <Button size="large" type="primary" onClick={stop}>
            Full: stop
          </Button>
        )}
      </div>
      <details className="small">
        <summary>Timed by another watch</summary>
        <div className="row">
          <TypedInput
            label="Time it took"
            aria-label="Time it took"
            units={['s', 'min']}
            value={took}
            onChange={(value) => form.set({ took: value })}
          />
          <Button disabled={!isMore(caught) || !isMore(took)} onClick={() => add(took)}>
            Add it
          </Button>
        </div>
      </details>
      <Field name="timings" label="">
        <NoControl />
      </Field>
      {timings.length > 0 && (
        <ul className="plain stack">
          {timings.map((one, place) => (
            <li key={`${place} ${one.took.text}`} className="row between">
              <span>
                {showTyped(one.caught)} in {showTyped(one.took)}
              </span>
              <Button size="small" type="text" onClick={() => form.set({ timings: timings.filter((_, other) => other !== place) })}>
                Leave it out
              </Button>
            </li>
          ))}
        </ul>
      )}
      {flow && (
        <p>
          <span className="strong">{isSmall ? show(flow.flow.value, 'mL/min', 0) : show(flow.flow.value, 'L/min', 2)}</span>
          {timings.length > 1
            ? `, ${Math.round(flow.spread * 100)} % between the timings`
            : '. Time it once more to see whether it is steady.'}
        </p>
      )}
    </EntryForm>
  );
}
