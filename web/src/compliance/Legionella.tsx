import { legionellaBand, legionellaSystems, type LegionellaSystemId, type ResultOfSystem } from '@fonte/core/compliance';
import { shownSource } from '@fonte/core/editions';
import { boundsOf } from '@fonte/core/limits';
import { parameter } from '@fonte/core/parameters';
import { showDate, wallTime } from '@fonte/core/time';
import { unitLabel } from '@fonte/core/units';
import { Select } from 'antd';
import { useId, useState } from 'react';
import { DataTable } from '../feedback/DataTable.tsx';
import { saySpan } from './Metals.tsx';

const ids = Object.keys(legionellaSystems) as LegionellaSystemId[];

/** Legionella results with the band that each falls into by the kind of system. */
export function Legionella({ results, zone }: { results: readonly ResultOfSystem[]; zone: string }) {
  const label = useId();
  const [system, choose] = useState<LegionellaSystemId>('building');
  const found = results.filter(({ parameter: id }) => id === 'legionella' || id === 'legionellaPneumophila');
  if (found.length === 0) return null;
  return (
    <section className="stack">
      <h2>Legionella</h2>
      <div className="typed">
        <label htmlFor={label}>Kind of system</label>
        <Select
          id={label}
          size="large"
          value={system}
          onChange={choose}
          options={ids.map((id) => ({ value: id, label: legionellaSystems[id].name }))}
        />
      </div>
      <DataTable<ResultOfSystem>
        label="Legionella"
        rows={[...found].reverse()}
        rowKey={({ bottle, parameter: id }) => `${bottle} ${id}`}
        columns={[
          { title: 'Place', render: ({ pointName }) => pointName },
          { title: 'Day', isShort: true, render: ({ at }) => showDate(wallTime(at, zone).date) },
          {
            title: 'Number',
            isNumber: true,
            render: (one) => `${saySpan(boundsOf(one))} ${unitLabel(parameter(one.parameter).unit)}`,
          },
          {
            title: 'Band',
            render: (one) => {
              const band = legionellaBand(system, boundsOf(one));
              return band ? `${band.name}. ${band.asks}` : 'Cannot tell.';
            },
          },
        ]}
      />
      <p className="soft small">{shownSource(legionellaSystems[system].source)}. Your authority and your water safety plan come first.</p>
    </section>
  );
}
