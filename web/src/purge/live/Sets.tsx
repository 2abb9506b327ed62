import type { AgreedLevel } from '@fonte/core/level';
import { parameter } from '@fonte/core/parameters';
import { countingSets, purgeReading, questionSet, type ProbeParameter, type PurgeSet, type PurgeState } from '@fonte/core/purge';
import { fromBase, showNumber, showTyped, unitLabel, type Typed } from '@fonte/core/units';
import { Correct } from '../../book/Correct.tsx';
import { useRound } from '../../book/useRound.ts';
import { DataTable, type Column } from '../../feedback/DataTable.tsx';
import { showTime } from '../../time/show.ts';
import { draftOf } from './setDraft.ts';
import { SetFields } from './SetForm.tsx';

interface Read {
  label: string;
  of: (set: PurgeSet) => Typed | undefined;
}

/** What is read at each set, in the order of the form. */
function readAt(parameters: readonly ProbeParameter[]): Read[] {
  return [
    // By flow and time where nobody typed it.
    { label: 'Pumped', of: ({ pumped, pumpedTyped }) => pumpedTyped ?? { text: showNumber(fromBase(pumped, 'L'), 1), unit: 'L' } },
    ...parameters.map((id): Read => ({ label: parameter(id).name.replace(/ at 25.*/, ''), of: (set) => set.values[id] })),
  ];
}

/** The unit that a column has throughout, or null where it changes: then each number carries its own. */
function unitOf(sets: readonly PurgeSet[], { of }: Read): string | null {
  const used = new Set(sets.flatMap((set) => of(set)?.unit ?? []));
  const [only] = used;
  return used.size === 1 && only ? unitLabel(only) : null;
}

function CorrectSet({ set, number, purge, atRest }: { set: PurgeSet; number: number; purge: PurgeState; atRest: AgreedLevel | null }) {
  const { parameters } = purge.setUp!;
  const sets = purge.sets.slice(0, number - 1);
  const proving = purge.proving.filter(({ at }) => at < set.at);
  const counts = purge.spacing ? countingSets(purge.spacing, proving) : [];
  const lastCounting = proving[counts.lastIndexOf(true)] ?? null;
  const before = { ...purge, sets, lastCounting, count: sets.length, setsFrom: (place: number) => sets.slice(Math.max(0, place)) };
  return (
    <Correct
      entry={set.entry}
      kind={purgeReading}
      what={`set ${number}`}
      stands={draftOf(set)}
      ask={(instead) => questionSet(instead, before, atRest, set.at)}
    >
      {() => <SetFields parameters={parameters} within={['instead']} />}
    </Correct>
  );
}

/** The sets so far, the last one first on a phone. */
export function Sets({ purge, atRest }: { purge: PurgeState; atRest: AgreedLevel | null }) {
  const { round } = useRound();
  const { parameters } = purge.setUp!;
  if (purge.count === 0) return null;
  const { sets } = purge;
  const numbered = sets.map((set, index) => ({ ...set, number: index + 1 }));
  const shown = (typed: Typed | undefined, unit: string | null) => (typed ? (unit === null ? showTyped(typed) : typed.text.trim()) : '–');
  const read = (one: Read): Column<PurgeSet> => {
    const unit = unitOf(sets, one);
    // pH is its own unit: once is enough.
    const said = unit && unit !== one.label ? <span className="soft"> {unit}</span> : null;
    return {
      title: one.label,
      head: (
        <>
          {one.label}
          {said}
        </>
      ),
      isNumber: true,
      render: (set) => shown(one.of(set), unit),
      // On a card what was not read needs no line of its own.
      card: (set) => one.of(set) && shown(one.of(set), null),
    };
  };
  return (
    <section className="stack">
      <h2>Sets</h2>
      <DataTable
        label="Sets"
        className="sets"
        newestFirst
        rows={numbered}
        rowKey={(set) => set.entry}
        columns={[
          {
            title: 'Set',
            isNumber: true,
            render: (set) => set.number,
            card: (set) => (
              <span className="row between">
                <span className="strong">
                  Set {set.number}, {showTime(set.at, round.plan.zone)}
                </span>
                <CorrectSet set={set} number={set.number} purge={purge} atRest={atRest} />
              </span>
            ),
          },
          { title: 'Time', isDeskOnly: true, render: ({ at }) => showTime(at, round.plan.zone) },
          ...readAt(parameters).map(read),
          { title: 'Note', render: ({ note }) => note },
          {
            title: '',
            isDeskOnly: true,
            render: (set) => <CorrectSet set={set} number={set.number} purge={purge} atRest={atRest} />,
          },
        ]}
      />
    </section>
  );
}
