import {
  fault,
  faultGroups,
  faultsAt,
  fitnessJudged,
  fitnessNames,
  judgeFitness,
  testKindNames,
  testKindsOf,
  type FaultId,
  type FitnessFor,
  type FoundFault,
} from '@fonte/core/arrive';
import { foundBeside, type VisitState } from '@fonte/core/round';
import { Button, Checkbox, Grid } from 'antd';
import { useState } from 'react';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field, NoControl } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { now } from '../time/clock.ts';
import { showTime } from '../time/show.ts';
import { Verdicts } from './Verdicts.tsx';

interface Values {
  found: FoundFault[];
  odd: string;
}

/** One fault: seen or not, what it means for what is planned, and what was done about it. */
function FaultLine({
  id,
  found,
  kinds,
  set,
}: {
  id: FaultId;
  found: FoundFault | undefined;
  kinds: FitnessFor['kind'][];
  set: (now: FoundFault | null) => void;
}) {
  const { seen, why, advice, can } = fault(id);
  const minding = judgeFitness([{ fault: id, isDone: found?.isDone ?? false }], kinds).filter(({ fitness }) => fitness !== 'fit');
  return (
    <li className={found ? 'seen' : ''}>
      <Checkbox checked={found !== undefined} onChange={(event) => set(event.target.checked ? { fault: id, isDone: false } : null)}>
        {seen}
      </Checkbox>
      {found && (
        <div className="about small">
          <p>
            {minding.length === 0
              ? 'Nothing is left of it.'
              : minding.map(({ kind, fitness }) => `${testKindNames[kind]}: ${fitnessNames[fitness].toLowerCase()}`).join('. ')}
            {minding.length > 0 ? '. ' : ' '}
            <span className="soft">
              {why} {advice}
            </span>
          </p>
          {can && (
            <Checkbox checked={found.isDone} onChange={(event) => set({ fault: id, isDone: event.target.checked })}>
              {can.do}
            </Checkbox>
          )}
        </div>
      )}
    </li>
  );
}

/** Is this place fit for what is planned? One touch where nothing is wrong; else what is seen is ticked, and judged at once. */
export function Place({ visit, done }: { visit: VisitState; done: () => void }) {
  const { round, append } = useRound();
  const isDesk = Grid.useBreakpoint().md !== false;
  const kinds = testKindsOf(visit.table, visit.analyses);
  const ids = faultsAt(visit.point, kinds);
  const before = visit.arrival.fitness;
  const [beside] = useState(() => (before ? null : foundBeside(round, visit, now())));
  const form = useEntryForm<Values, z.output<typeof fitnessJudged.payload>>({
    keep: `place.${visit.id}`,
    initial: { found: [...(before?.found ?? beside?.found.filter(({ fault: id }) => ids.includes(id)) ?? [])], odd: before?.odd ?? '' },
    schema: fitnessJudged.payload,
    read: (values) => asTyped(values, fitnessJudged.payload),
    write: async (payload, { id, kept }) => {
      await append(fitnessJudged, payload, { at: visit.id, id, kept });
      done();
    },
  });
  const { found } = form.values;
  const set = (id: FaultId) => (now: FoundFault | null) =>
    form.set({ found: now ? [...found.filter((one) => one.fault !== id), now] : found.filter((one) => one.fault !== id) });
  const isClean = found.length === 0;
  return (
    <EntryForm
      of={form}
      submit={isClean ? 'Nothing wrong: it is fit' : 'Write it down'}
      enter="nothing"
      className="stack"
      {...(before ? { leave: { says: 'Leave it as it was', by: done } } : {})}
    >
      <h2>Is this place fit?</h2>
      <div className="row between">
        <p className="soft">Tick what you see. {kinds.map((kind) => testKindNames[kind]).join(', ')} will be taken here.</p>
        {isClean && !isDesk && (
          <Button type="primary" size="large" loading={form.busy} onClick={form.form.submit}>
            Nothing wrong
          </Button>
        )}
      </div>
      {beside && beside.found.length > 0 && (
        <p className="finding note small">
          Ticked from {beside.name}, {showTime(beside.at, round.plan.zone)}: conditions of the whole building. Check this outlet yourself.
        </p>
      )}
      <div className="faults">
        {faultGroups.map((group) => {
          const own = ids.filter((id) => fault(id).group === group);
          if (own.length === 0) return null;
          const count = found.filter((one) => fault(one.fault).group === group).length;
          return (
            <details key={group} open={isDesk || count > 0}>
              <summary>
                {group} <span className="soft small">{count > 0 ? `${count} seen` : own.length}</span>
              </summary>
              <ul className="plain">
                {own.map((id) => (
                  <FaultLine key={id} id={id} kinds={kinds} found={found.find((one) => one.fault === id)} set={set(id)} />
                ))}
              </ul>
            </details>
          );
        })}
      </div>
      <Field name="odd" placeholder="the key hangs behind the meter, dog at number 4 …" />
      <Field name="found" label="">
        <NoControl />
      </Field>
      {!isClean && <Verdicts of={judgeFitness(found, kinds)} />}
    </EntryForm>
  );
}
