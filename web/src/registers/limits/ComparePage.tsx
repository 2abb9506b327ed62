import { refOf, shownSource } from '@fonte/core/editions';
import { compareSets, limitSetNamed, limitSets, type ComparedValue, type LimitRow, type LimitSet } from '@fonte/core/limits';
import { parameter } from '@fonte/core/parameters';
import { refOfOwnSet, type OwnLimitSet } from '@fonte/core/registers';
import { wallTime } from '@fonte/core/time';
import { Checkbox, Input, Select } from 'antd';
import { useDeferredValue, useId, useState } from 'react';
import { useSearchParams } from 'react-router';
import { sayCondition, sayLimit, limitKindNames } from '../../editions/limitWords.ts';
import { publishedOn } from '../../editions/LimitSets.tsx';
import { useOwnSets } from '../../editions/useOwnSets.ts';
import { DataTable, type Column } from '../../feedback/DataTable.tsx';
import { DayInput } from '../../time/DayInput.tsx';
import { now } from '../../time/clock.ts';
import { siteZone } from '../../time/show.ts';
import { RegisterHead } from '../RegisterNav.tsx';

/** Every set that can be looked at: those of the house, what holds on the day, and what came before. */
function options(day: string, own: readonly OwnLimitSet[]) {
  const holding = publishedOn(day);
  const option = (set: LimitSet) => ({ value: refOf(set), label: `${set.name}, edition ${set.edition}` });
  return [
    { label: 'Of the house', options: own.map((one) => ({ value: refOfOwnSet(one), label: one.name })) },
    { label: 'Published', options: holding.map(option) },
    { label: 'Superseded', options: limitSets.all.filter((set) => !holding.includes(set)).map(option) },
  ].filter((group) => group.options.length > 0);
}

/** The values of one set, each with where it stands and under what it holds. */
function Values({ rows, isStricter }: { rows: readonly LimitRow[]; isStricter: boolean }) {
  if (rows.length === 0) return <span className="soft">No value</span>;
  return (
    <>
      {rows.map((row) => (
        <div key={`${row.place} ${row.most} ${row.least} ${row.from ?? ''} ${row.note ?? ''}`}>
          <span className={isStricter ? 'strong' : ''}>{sayLimit(row)}</span>
          {isStricter && <span className="small"> stricter</span>}{' '}
          <span className="soft small">{[row.place, sayCondition(row)].filter(Boolean).join('; ')}</span>
        </div>
      ))}
    </>
  );
}

const columns = (first: LimitSet, second: LimitSet): Column<ComparedValue>[] => [
  { title: 'Parameter', render: ({ parameter: id }) => parameter(id).name },
  { title: 'What it protects', render: ({ kind }) => limitKindNames[kind] },
  { title: first.name, render: ({ first: rows, stricter }) => <Values rows={rows} isStricter={stricter === 'first'} /> },
  { title: second.name, render: ({ second: rows, stricter }) => <Values rows={rows} isStricter={stricter === 'second'} /> },
];

/** Two sets beside each other, as they hold on a day of sampling. */
export function ComparePage() {
  const [query, setQuery] = useSearchParams();
  const own = useOwnSets();
  const today = wallTime(now(), siteZone()).date;
  const day = query.get('day') ?? today;
  const offered = publishedOn(today);
  const [search, setSearch] = useState('');
  const [isBoth, setBoth] = useState(false);
  const asked = useDeferredValue(search.trim().toLowerCase());
  const ids = { first: useId(), second: useId(), day: useId(), search: useId() };
  const named = (key: 'first' | 'second', usual: LimitSet) => limitSetNamed(query.get(key) ?? '', own) ?? usual;
  const first = named('first', offered[0]!);
  const second = named(
    'second',
    offered.find((set) => set !== first)!,
  );
  const choose = (key: string, value: string) =>
    setQuery({ first: refOf(first), second: refOf(second), ...(query.get('day') ? { day } : {}), [key]: value }, { replace: true });
  const rows = compareSets(first, second, day).filter(
    (row) =>
      (!isBoth || (row.first.length > 0 && row.second.length > 0)) &&
      `${parameter(row.parameter).name} ${parameter(row.parameter).symbol ?? ''}`.toLowerCase().includes(asked),
  );
  const choice = (key: 'first' | 'second', label: string, set: LimitSet) => (
    <div className="typed">
      <label htmlFor={ids[key]}>{label}</label>
      <Select
        id={ids[key]}
        size="large"
        showSearch={{ optionFilterProp: 'label' }}
        value={refOf(set)}
        onChange={(value) => choose(key, value)}
        options={options(day, own)}
      />
    </div>
  );
  return (
    <>
      <RegisterHead register="limits" />
      <h2>Compare two sets</h2>
      <div className="form-grid">
        {choice('first', 'First set', first)}
        {choice('second', 'Second set', second)}
        <div className="typed">
          <label htmlFor={ids.day}>Day of sampling</label>
          <DayInput id={ids.day} value={day} onChange={(value) => choose('day', value)} />
        </div>
        <div className="typed">
          <label htmlFor={ids.search}>Find a parameter</label>
          <Input id={ids.search} size="large" value={search} maxLength={80} onChange={(event) => setSearch(event.target.value)} />
        </div>
      </div>
      <Checkbox checked={isBoth} onChange={(event) => setBoth(event.target.checked)}>
        Only parameters with a value in both
      </Checkbox>
      <DataTable<ComparedValue>
        label={`${first.name} and ${second.name}`}
        rows={rows}
        rowKey={({ parameter: id, kind }) => `${id} ${kind}`}
        columns={columns(first, second)}
        empty="No parameter matches."
      />
      <p className="soft small">
        {[first, second].map((set) => `${set.name}: ${shownSource(set.source)}.`).join(' ')} “Stricter” compares numbers; how samples are
        taken and averaged differs between texts.
      </p>
    </>
  );
}
