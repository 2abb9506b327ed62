import { inText } from '@fonte/core/parameters';
import {
  compareCriteria,
  countedBy,
  criteria,
  readingSets,
  readingSteps,
  sayAgainst,
  suggestCriterion,
  type Compared,
  type PurgeSet,
  type PurgeState,
} from '@fonte/core/purge';
import { show } from '@fonte/core/units';
import { useMemo, useState } from 'react';
import { useRound } from '../book/useRound.ts';
import { DataTable, type Column } from '../feedback/DataTable.tsx';
import { Mark } from '../theme/Mark.tsx';
import { showTime } from '../time/show.ts';

/** All published criteria on the same readings: when would each have let one sample? */
export function Compare({ purge }: { purge: PurgeState }) {
  const [isOpen, setOpen] = useState(false);
  if (purge.count < 2) return null;
  return (
    <>
      {purge.ended === null && <Suggestion purge={purge} />}
      <details onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary>By other criteria</summary>
        {isOpen && <CompareTable purge={purge} />}
      </details>
    </>
  );
}

/** Another criterion for a well without oxygen, which the one in use would never let be sampled. */
function Suggestion({ purge }: { purge: PurgeState }) {
  // Every other purge is spared the comparison: a clock draws this page each second.
  const heldUpBy = purge.stability?.heldUpBy ?? [];
  const isOxygen = heldUpBy.length === 1 && heldUpBy[0]!.parameter === 'oxygen';
  const found = useMemo(() => {
    const rule = purge.setUp?.rule;
    if (!rule || !isOxygen) return null;
    const { sets, rows } = judgedByAll(purge);
    return suggestCriterion(rows, rule, readingSets(sets));
  }, [purge, isOxygen]);
  if (!found) return null;
  return (
    <p className="finding note small">
      <Mark kind="note" />
      <span>
        Only oxygen holds this up, and there is next to none: {show(found.oxygen, 'mg/L', 2)}. By {found.rule.name} the readings hold now.
        Change the criterion only if your sampling plan allows it.
      </span>
    </p>
  );
}

function judgedByAll({ setUp, proving: sets }: PurgeState) {
  const rule = setUp?.rule;
  const inUse = rule ? { rule, parameters: setUp.parameters } : null;
  const rules = [...criteria.newest.filter(({ id }) => id !== rule?.id), ...(rule ? [rule] : [])];
  const steps = (from: number, to: number) => readingSteps(sets.slice(from, to));
  return { sets, rows: compareCriteria(rules, readingSets(sets), sets, countedBy(setUp?.aim ?? null), { steps, inUse }) };
}

function CompareTable({ purge }: { purge: PurgeState }) {
  const { round } = useRound();
  const { setUp } = purge;
  const { sets, rows } = useMemo(() => judgedByAll(purge), [purge]);
  /** As it is called in the list of all sets. */
  const numberOf = ({ entry }: PurgeSet) => purge.sets.findIndex((one) => one.entry === entry) + 1;
  const columns: Column<Compared>[] = [
    {
      title: 'Criterion',
      render: ({ rule }) => (
        <>
          <span className={rule.id === setUp?.rule?.id ? 'strong' : ''}>{rule.name}</span>
          <br />
          <span className="small soft">{sayAgainst(rule)}</span>
        </>
      ),
    },
    {
      title: 'Would have let you sample',
      render: ({ first, unread, now }) =>
        now === null ? (
          <span className="word tone-note">
            <Mark kind="note" size={15} />
            Cannot tell: {unread.map(inText).join(', ')} not read
          </span>
        ) : first === null ? (
          <span className="word tone-question">
            <Mark kind="question" size={15} />
            Not yet
          </span>
        ) : (
          <span className="word tone-good">
            <Mark kind="good" size={15} />
            After set {numberOf(sets[first]!)}, {showTime(sets[first]!.at, round.plan.zone)}
            {unread.length > 0 && `, without ${unread.map(inText).join(', ')}`}
          </span>
        ),
    },
    {
      title: 'Now',
      render: ({ now }) =>
        now === null ? '' : now.stable ? 'Holding' : `Held up by ${now.heldUpBy.map(({ parameter: id }) => inText(id)).join(', ')}`,
    },
  ];
  return <DataTable label="By other criteria" rows={rows} rowKey={({ rule }) => rule.id} columns={columns} />;
}
