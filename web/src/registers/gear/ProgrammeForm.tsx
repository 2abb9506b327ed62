import { analysisIds, analysisName, bottleTables, type AnalysisId, type BottleTable } from '@fonte/core/bottles';
import { readField } from '../../units/decimal.ts';
import {
  countFor,
  countRule,
  countRuleIds,
  periodIds,
  periodName,
  Programme,
  programmeRegistered,
  type CountRuleId,
  type PeriodId,
} from '@fonte/core/due';
import { registered, registerLists } from '@fonte/core/registers';
import { sayNumber } from '@fonte/core/units';
import { shownSource } from '@fonte/core/editions';
import { Checkbox, Input, Radio, Select } from 'antd';
import { useDeferredValue, useState } from 'react';
import useSWR from 'swr';
import { readOrKept } from '../../api/kept.ts';
import { useAnswer } from '../../api/useAnswer.ts';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field } from '../../form/Field.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { asTyped, type FieldProblem, type Read } from '../../form/values.ts';
import { now } from '../../time/clock.ts';
import { DayInput } from '../../time/DayInput.tsx';
import { siteZone } from '../../time/show.ts';
import { wallTime } from '@fonte/core/time';
import { thingPage } from '../ThingPage.tsx';
import { freshId, useRegister } from '../useRegister.ts';
import { monthName } from '../../time/show.ts';
import { ManySelect } from '../../form/ManySelect.tsx';

interface Values {
  id: string;
  name: string;
  points: string[];
  analyses: AnalysisId[];
  times: string;
  per: PeriodId;
  counts: Programme['counts'];
  months: number[];
  from: string;
  until: string;
  source: string;
}

const monthNames = Array.from({ length: 12 }, (_, index) => ({
  value: index + 1,
  label: monthName(index + 1),
}));

function readProgramme({ times, months, ...said }: Values): Read {
  const reading = readField(times);
  const problems: FieldProblem[] = reading.ok ? [] : [{ path: 'times', message: sayNumber(reading) }];
  const { value } = asTyped(said, Programme);
  return {
    value: { ...(value as object), ...(reading.ok ? { times: reading.value } : {}), ...(months.length > 0 ? { months } : {}) },
    problems,
  };
}

/** The points of the register to choose from, those that are chosen among them. */
function usePointChoice(chosen: readonly string[]) {
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search.trim());
  const { data = [] } = useAnswer(
    registerLists.points,
    { query: { limit: 100, ...(asked ? { search: asked } : {}) } },
    { keepPreviousData: true },
  );
  const others = chosen.filter((id) => !data.some((one) => one.id === id));
  const { data: known = [] } = useSWR(others.length > 0 ? ['points', ...others] : null, () =>
    Promise.all(others.map((id) => readOrKept(registered.points, { in: { id } }))),
  );
  return { points: [...known, ...data], setSearch };
}

/** How many samples a published rule asks for, by the size of the supply: a proposal for “how often”. */
function Published({ table, take }: { table: BottleTable; take: (said: Partial<Values>) => void }) {
  const [rule, setRule] = useState<CountRuleId>('us-coliform');
  const [size, setSize] = useState('');
  const reading = readField(size);
  const count = reading.ok ? countFor(rule, reading.value) : null;
  const { size: of, per, source, analyses = [], note, leftUpTo } = countRule(rule);
  return (
    <details className="small">
      <summary>By the size of the supply, as published</summary>
      <div className="row">
        <Select
          aria-label="Rule"
          size="large"
          value={rule}
          onChange={setRule}
          options={countRuleIds.map((id) => ({ value: id, label: countRule(id).name }))}
          popupMatchSelectWidth={false}
        />
        <Input
          size="large"
          aria-label={`Size, ${of}`}
          placeholder={of}
          inputMode="decimal"
          value={size}
          style={{ width: 190 }}
          onChange={(event) => setSize(event.target.value)}
        />
        {count !== null && (
          <button
            type="button"
            className="as-link strong"
            onClick={() =>
              take({ times: String(count), per, counts: 'together', ...(analyses.length > 0 ? { analyses: [...analyses] } : {}) })
            }
          >
            Take {count} in each {per}
            {analyses.length > 0 && ' and these analyses'}
          </button>
        )}
      </div>
      {count === null && leftUpTo !== undefined && reading.ok && reading.value > 0 && (
        <p>Up to {leftUpTo} m³ a day your authority sets the number.</p>
      )}
      {analyses.length > 0 && <p>{analyses.map((id) => analysisName(table, id)).join(', ')}.</p>}
      {note && <p className="soft">{note}</p>}
      <p className="soft">{shownSource(source)}. Your authority’s own number comes first.</p>
    </details>
  );
}

/** What has to be sampled where, and how often. */
function ProgrammeForm({ thing }: { thing: Programme | null }) {
  const table = bottleTables.newest[0]!;
  const form = useEntryForm<Values, Programme>({
    keep: `programme.${thing?.id ?? 'new'}`,
    initial: {
      id: thing?.id ?? freshId(),
      name: thing?.name ?? '',
      points: thing?.points ?? [],
      analyses: thing?.analyses ?? [],
      times: String(thing?.times ?? 1),
      per: thing?.per ?? 'month',
      counts: thing?.counts ?? 'each',
      months: thing?.months ?? [],
      from: thing?.from ?? wallTime(now(), siteZone()).date,
      until: thing?.until ?? '',
      source: thing?.source ?? '',
    },
    schema: Programme,
    read: readProgramme,
    write: useRegister('programmes', programmeRegistered),
  });
  const { points, setSearch } = usePointChoice(form.values.points);
  return (
    <>
      <h1>{thing ? thing.name : 'Register a programme'}</h1>
      <EntryForm of={form} submit={thing ? 'Write the change' : 'Register it'}>
        <div className="form-grid">
          <Field name="name" placeholder="Bacteria in the network" />
          <Field name="source" placeholder="the authority’s letter, or the law" />
        </div>
        <Field name="points">
          <ManySelect
            onSearch={setSearch}
            placeholder="Name or code"
            options={points.map(({ id, name, code }) => ({ value: id, label: `${name}, ${code}` }))}
          />
        </Field>
        <Field name="analyses">
          <ManySelect placeholder="Analyses" options={analysisIds.map((id) => ({ value: id, label: analysisName(table, id) }))} />
        </Field>
        <div className="form-grid">
          <Field name="times">
            <Input size="large" inputMode="numeric" autoComplete="off" />
          </Field>
          <Field name="per">
            <Select size="large" options={periodIds.map((id) => ({ value: id, label: periodName(id) }))} />
          </Field>
          <Field name="counts">
            <Radio.Group
              options={[
                { value: 'each', label: 'At every point' },
                { value: 'together', label: 'Over all points together' },
              ]}
            />
          </Field>
          <Field name="from">
            <DayInput />
          </Field>
          <Field name="until" hint="Empty: until somebody ends it">
            <DayInput />
          </Field>
        </div>
        <Published table={table} take={form.set} />
        <Field name="months" hint="None: all year">
          <Checkbox.Group options={monthNames} />
        </Field>
      </EntryForm>
    </>
  );
}

export const ProgrammePage = thingPage('programmes', ProgrammeForm);
