import { parameter, type ParameterId } from '@fonte/core/parameters';
import {
  readReport,
  readReportWith,
  sayPlace,
  takeReport,
  textTable,
  typedMapping,
  typedSheet,
  unitsToType,
  type Mapping,
  type TypedResult,
} from '@fonte/core/read';
import { bottlesAtLab } from '@fonte/core/round';
import { Button, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { call, writeUnderFreeId } from '../api/call.ts';
import { DataTable } from '../feedback/DataTable.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { useDraft } from '../units/useDraft.ts';

type Typed = Record<string, { result: string; unit: string; reportingLimit: string }>;

interface Row {
  key: string;
  bottle: string;
  id: ParameterId;
}

/** Results off a sheet of paper: what was asked for stands there, the rest is typed as it is printed. */
export function TypeIn({ done }: { done: () => void }) {
  const { id: round, round: state, refresh } = useRound();
  const { busy, run, say } = useAction();
  const [typed, setTyped, clear, entryId, freshId] = useDraft<Typed>(`typed.${round}`, {});
  const [missing, setMissing] = useState(false);
  const [compared, setCompared] = useState('');
  const [decimals, setDecimals] = useState<'point' | 'comma' | null>(null);
  const reported = new Set(
    state.reports.flatMap(({ read, putAside }) => (putAside ? [] : (read?.results ?? []))).map((one) => `${one.bottle} ${one.parameter}`),
  );
  const rows = [...bottlesAtLab(state)]
    .flatMap(([bottle, { parameters }]) => parameters.map((id): Row => ({ key: `${bottle} ${id}`, bottle, id })))
    .filter(({ key }) => !reported.has(key));
  const at = ({ key, id }: Row) =>
    typed[key] ?? { result: '', unit: unitsToType(id).length === 1 ? unitsToType(id)[0]! : '', reportingLimit: '' };
  const set = (row: Row, change: Partial<Typed[string]>) => setTyped({ ...typed, [row.key]: { ...at(row), ...change } });
  const results = rows.flatMap((row): TypedResult[] => {
    const said = at(row);
    return said.result.trim() === '' ? [] : [{ bottle: row.bottle, parameter: row.id, ...said }];
  });
  const withoutUnit = results.filter(({ unit }) => unit === '');
  // Read here as the server will read it: what has two readings is asked about before it is written.
  const sheet = typedSheet(results);
  const mapping: Mapping = decimals ? { ...typedMapping, decimals } : typedMapping;
  const found = missing && results.length > 0 ? readReport(textTable(new TextEncoder().encode(sheet)), bottlesAtLab(state), mapping) : null;
  const unread = found && 'draft' in found ? found.draft.unread : [];
  const isStyleOpen = decimals !== null || unread.some(({ code }) => code === 'thousand-or-decimal');
  const problemOf = (key: string) => {
    const line = results.findIndex((one) => `${one.bottle} ${one.parameter}` === key);
    return line < 0 ? undefined : unread.find((one) => one.line === line + 2);
  };

  const check = () => {
    setMissing(true);
    if (withoutUnit.length > 0) return;
    const checked = readReport(textTable(new TextEncoder().encode(sheet)), bottlesAtLab(state), mapping);
    if (!('draft' in checked) || checked.draft.unreadCount > 0) return;
    setCompared(sheet);
  };
  const write = () =>
    void run(async () => {
      const { sha256 } = await call(takeReport, {
        in: { round },
        query: { name: 'typed.csv', from: 'typed' },
        body: sheet,
      });
      await writeUnderFreeId(entryId, freshId, async (id) => {
        await call(readReportWith, { in: { round, sha256 }, body: { id, mapping } });
      });
      clear();
      await refresh();
      done();
    });
  // What was changed since is compared anew.
  if (compared === sheet)
    return (
      <section className="stack">
        <h2>Compare with the sheet</h2>
        <p className="soft">Check each line against the paper before you save.</p>
        <DataTable<TypedResult>
          label="Results as they were typed"
          rows={results}
          rowKey={({ bottle, parameter: id }) => `${bottle} ${id}`}
          columns={[
            { title: 'Bottle', render: ({ bottle }) => bottle },
            { title: 'Parameter', render: ({ parameter: id }) => parameter(id).name },
            { title: 'Result', isNumber: true, render: ({ result, unit }) => <span className="strong">{`${result} ${unit}`}</span> },
            { title: 'Reporting limit', isNumber: true, render: ({ reportingLimit }) => reportingLimit },
          ]}
        />
        <Said say={say} />
        <div className="row">
          <Button type="primary" size="large" loading={busy} onClick={write}>
            As on the sheet: write {results.length === 1 ? '1 result' : `${results.length} results`} down
          </Button>
          <Button size="large" onClick={() => setCompared('')}>
            Correct
          </Button>
        </div>
      </section>
    );
  return (
    <section className="stack">
      <h2>Type results in</h2>
      <p className="soft">As they are printed, with a sign such as “&lt;” before the number. What is not on the sheet stays empty.</p>
      {isStyleOpen && (
        <p className="row">
          <span className="strong">Which mark stands before decimals?</span>
          <Segmented
            aria-label="Decimals stand after"
            value={decimals ?? ''}
            onChange={(value) => setDecimals(value as 'point')}
            options={[
              { value: 'point', label: 'A point: 1,234 is a thousand' },
              { value: 'comma', label: 'A comma: 1.234 is a thousand' },
            ]}
          />
        </p>
      )}
      <DataTable<Row>
        label="Results to type in"
        rows={rows}
        rowKey={({ key }) => key}
        columns={[
          { title: 'Parameter', render: ({ id }) => parameter(id).name },
          { title: 'Bottle', render: ({ bottle }) => bottle },
          {
            title: 'Result',
            render: (row) => {
              const problem = problemOf(row.key);
              return (
                <>
                  <Input
                    aria-label={`Result of ${parameter(row.id).name} in ${row.bottle}`}
                    value={at(row).result}
                    maxLength={40}
                    style={{ width: 120 }}
                    status={problem ? 'error' : ''}
                    onChange={(event) => set(row, { result: event.target.value })}
                  />
                  {problem && <p className="field-error small">{sayPlace(problem)}</p>}
                </>
              );
            },
          },
          {
            title: 'Unit',
            render: (row) => (
              <Select
                aria-label={`Unit of ${parameter(row.id).name} in ${row.bottle}`}
                value={at(row).unit || null}
                placeholder="Choose"
                status={missing && at(row).result !== '' && at(row).unit === '' ? 'error' : ''}
                style={{ width: 140 }}
                options={unitsToType(row.id).map((unit) => ({ value: unit, label: unit }))}
                onChange={(unit) => set(row, { unit })}
              />
            ),
          },
          {
            title: 'Reporting limit',
            render: (row) => (
              <Input
                aria-label={`Reporting limit of ${parameter(row.id).name} in ${row.bottle}`}
                value={at(row).reportingLimit}
                maxLength={40}
                style={{ width: 120 }}
                onChange={(event) => set(row, { reportingLimit: event.target.value })}
              />
            ),
          },
        ]}
      />
      {missing && withoutUnit.length > 0 && (
        <p className="field-error">Choose the unit of {withoutUnit.map(({ parameter: id }) => parameter(id).name).join(', ')}.</p>
      )}
      <Said say={say} />
      <div className="row">
        <Button type="primary" size="large" loading={busy} disabled={results.length === 0} onClick={check}>
          Compare {results.length === 1 ? '1 result' : `${results.length} results`} with the sheet
        </Button>
        <Button size="large" onClick={done}>
          Later
        </Button>
      </div>
    </section>
  );
}
