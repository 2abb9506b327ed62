import { riskChecked, stopping } from '@fonte/core/arrive';
import { hazard, hazardIds, type HazardId } from '@fonte/core/registers';
import { lookBeside, type LookBeside, type VisitState } from '@fonte/core/round';
import { Button, Checkbox } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { useAction } from '../feedback/useAction.ts';
import { Said } from '../feedback/Said.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { Mark } from '../theme/Mark.tsx';
import { now } from '../time/clock.ts';
import { showTime } from '../time/show.ts';

/** What was seen next door a while ago, with what the register knows of this point. */
const asBeside = ({ hazards, permit }: LookBeside, known: readonly HazardId[]) => ({
  hazards: [...new Set([...hazards, ...known])],
  ...(permit ? { permit } : {}),
});

/** What may hurt here today: what the register knows is ticked, the rest is one touch each. */
export function LookRound({ visit, done }: { visit: VisitState; done: () => void }) {
  const { round, append } = useRound();
  const leaving = useAction();
  const taking = useAction();
  const known = visit.point.hazards ?? [];
  const form = useEntryForm<{ hazards: HazardId[]; permit: string }, z.output<typeof riskChecked.payload>>({
    keep: `risk.${visit.id}`,
    initial: { hazards: [...known], permit: '' },
    schema: riskChecked.payload,
    read: (values) => asTyped(values, riskChecked.payload),
    write: async (payload, { id, kept }) => {
      await append(riskChecked, payload, { at: visit.id, id, kept });
      done();
    },
  });
  const { hazards } = form.values;
  const beside = lookBeside(round, visit, now());
  const stops = stopping(hazards);
  const leave = () =>
    void leaving.run(async () => {
      await append(riskChecked, { hazards, left: true }, { at: visit.id });
      form.clear();
      done();
    });
  const others = hazards.filter((id) => !stops.includes(id));
  return (
    <section className="stack">
      <EntryForm
        of={form}
        submit={stops.length > 0 ? 'Go on by this leave' : hazards.length > 0 ? 'I looked round: that is all' : 'I looked round: nothing'}
        tone={stops.length > 0 ? 'danger' : 'primary'}
        enter="nothing"
        className="stack"
        beside={
          <Button size="large" loading={leaving.busy} onClick={leave}>
            Not safe: I leave
          </Button>
        }
      >
        <h2>What may hurt you here?</h2>
        {beside && (
          <p>
            <Button
              size="large"
              loading={taking.busy}
              onClick={() =>
                void taking.run(async () => {
                  await append(riskChecked, asBeside(beside, known), { at: visit.id });
                  form.clear();
                  done();
                })
              }
            >
              Same as at {beside.name}, {showTime(beside.at, round.plan.zone)}
            </Button>{' '}
            <span className="soft small">
              {[...new Set([...beside.hazards, ...known])].map((id) => hazard(id).name).join(', ') || 'No hazards seen'}
            </span>
            <Said say={taking.say} />
          </p>
        )}
        <Field name="hazards" label="" isBare>
          <Checkbox.Group
            className="hazards"
            aria-label="What may hurt here"
            options={hazardIds.map((id) => ({
              value: id,
              label: known.includes(id) ? `${hazard(id).name}, known here` : hazard(id).name,
            }))}
          />
        </Field>
        {stops.length > 0 && (
          <div className="finding stop" role="alert">
            <Mark kind="stop" />
            <div className="stack">
              <p className="strong">Stop. {stops.map((id) => hazard(id).caution).join(' ')}</p>
              <Field name="permit" placeholder="permit number, who stays outside" />
            </div>
          </div>
        )}
        <Said say={leaving.say} />
      </EntryForm>
      <ul className="plain small">
        {others.map((id) => (
          <li key={id}>
            <span className="strong">{hazard(id).name}.</span> {hazard(id).caution}
          </li>
        ))}
        <li className="soft">Local codes and your employer’s rules come first. In doubt, leave and call.</li>
      </ul>
    </section>
  );
}
