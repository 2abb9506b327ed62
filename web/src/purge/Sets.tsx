import { parameter } from '@fonte/core/parameters';
import { purgeReading, type ProbeParameter, type PurgeSet, type PurgeState } from '@fonte/core/purge';
import { showTyped, unitLabel, type Typed } from '@fonte/core/units';
import { Grid, Table, type TableColumnsType } from 'antd';
import { useState } from 'react';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { showTime } from '../time/show.ts';
import { draftOf, setErrors, setPayload, type SetDraft } from './setDraft.ts';
import { SetFields } from './SetForm.tsx';

interface Read {
  label: string;
  of: (set: PurgeSet) => Typed | undefined;
}

/** What is read at each set, in the order of the form. */
function readAt(parameters: readonly ProbeParameter[]): Read[] {
  return [
    { label: 'Pumped', of: (set) => set.pumpedTyped },
    ...parameters.map((id): Read => ({ label: parameter(id).name.replace(/ at 25.*/, ''), of: (set) => set.values[id] })),
  ];
}

/** The unit that a column has throughout, or null where it changes: then each number carries its own. */
function unitOf(sets: readonly PurgeSet[], { of }: Read): string | null {
  const used = new Set(sets.flatMap((set) => of(set)?.unit ?? []));
  const [only] = used;
  return used.size === 1 && only ? unitLabel(only) : null;
}

function CorrectSet({ set, number, parameters }: { set: PurgeSet; number: number; parameters: readonly ProbeParameter[] }) {
  const [instead, setInstead] = useState<SetDraft | null>(null);
  return (
    <Correct
      entry={set.entry}
      kind={purgeReading}
      what={`set ${number}`}
      onOpen={() => setInstead(draftOf(set))}
      isChanged={instead !== null && JSON.stringify(instead) !== JSON.stringify(draftOf(set))}
      instead={() => setPayload(instead ?? draftOf(set), parameters)}
    >
      {instead && (
        <SetFields
          draft={instead}
          parameters={parameters}
          errors={setErrors(instead, parameters)}
          onChange={setInstead}
          onLast={() => undefined}
        />
      )}
    </Correct>
  );
}

/** The sets so far: a table at a desk, a card each on a phone. */
export function Sets({ purge }: { purge: PurgeState }) {
  const { round } = useRound();
  const { parameters } = purge.setUp!;
  const isDesk = Grid.useBreakpoint().md !== false;
  if (purge.count === 0) return null;
  const { sets } = purge;
  const reads = readAt(parameters);
  const numbered = sets.map((set, index) => ({ ...set, number: index + 1 }));
  const columns: TableColumnsType<(typeof numbered)[number]> = [
    { title: 'Set', dataIndex: 'number', align: 'right' },
    { title: 'Time', render: (_, { at }) => showTime(at, round.plan.zone) },
    ...reads.map((read) => {
      const unit = unitOf(sets, read);
      // pH is its own unit: once is enough.
      const isSaid = unit === read.label;
      const shown = (typed: Typed | undefined) => (typed ? (unit === null ? showTyped(typed) : typed.text.trim()) : '–');
      return {
        title: (
          <>
            {read.label}
            {unit && !isSaid && <span className="soft"> {unit}</span>}
          </>
        ),
        key: read.label,
        align: 'right' as const,
        render: (_: unknown, set: PurgeSet) => shown(read.of(set)),
      };
    }),
    { title: 'Note', dataIndex: 'note' },
    { title: '', key: 'act', render: (_, set) => <CorrectSet set={set} number={set.number} parameters={parameters} /> },
  ];
  return (
    <section className="stack">
      <h2>Sets</h2>
      {isDesk && <Table dataSource={numbered} rowKey="entry" columns={columns} pagination={false} size="small" />}
      <ul className="plain set-cards">
        {(isDesk ? [] : numbered.toReversed()).map((set) => (
          <li key={set.entry}>
            <span className="row between">
              <span className="strong">
                Set {set.number}, {showTime(set.at, round.plan.zone)}
              </span>
              <CorrectSet set={set} number={set.number} parameters={parameters} />
            </span>
            <dl>
              {reads.map((read) => {
                const typed = read.of(set);
                return (
                  typed && (
                    <div key={read.label}>
                      <dt className="soft small">{read.label}</dt>
                      <dd>{showTyped(typed)}</dd>
                    </div>
                  )
                );
              })}
            </dl>
            {set.note && <p className="small">{set.note}</p>}
          </li>
        ))}
      </ul>
    </section>
  );
}
