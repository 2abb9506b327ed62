import { placeAverages, type PlaceAverage, type ResultOfSystem } from '@fonte/core/compliance';
import type { LimitSet } from '@fonte/core/limits';
import { showExact, unitLabel } from '@fonte/core/units';
import { DataTable } from '../feedback/DataTable.tsx';
import { Mark } from '../theme/Mark.tsx';
import { saySpan } from './Metals.tsx';

const words: Record<PlaceAverage['average']['state'], (quarters: number) => [string, 'stop' | 'open' | 'good']> = {
  over: () => ['Over', 'stop'],
  open: (quarters) => [quarters < 4 ? `${quarters} of 4 quarters` : 'Cannot tell', 'open'],
  'not-over': () => ['Not over', 'good'],
};

interface Props {
  results: readonly ResultOfSystem[];
  last: string;
  zone: string;
  set: LimitSet;
}

/** Running annual averages by place, of by-products and PFAS. */
export function Averages({ results, last, zone, set }: Props) {
  const rows = placeAverages(results, last, zone, set);
  const withUnit = (text: string, { unit }: PlaceAverage) => `${text} ${unitLabel(unit)}`;
  return (
    <section className="stack">
      <h2>Running annual averages by place</h2>
      <DataTable<PlaceAverage>
        label="Running annual averages by place"
        rows={rows}
        rowKey={({ row, point }) => `${row.parameter} ${point}`}
        empty="No by-products and no PFAS in these four quarters."
        columns={[
          { title: 'Place', render: ({ pointName, row }) => `${row.name}, ${pointName}` },
          {
            title: 'Quarters',
            render: ({ quarters }) => quarters.map(({ name, mean }) => `${name.slice(2)}: ${mean ? saySpan(mean) : '–'}`).join('; '),
          },
          { title: 'Average', isNumber: true, render: (one) => withUnit(saySpan(one.average.average), one) },
          { title: 'Limit', isNumber: true, render: (one) => withUnit(showExact(Number(one.most.toPrecision(4))), one) },
          {
            title: 'What it says',
            render: ({ average }) => {
              const [says, tone] = words[average.state](average.quarters);
              return (
                <span className={`word tone-${tone}`}>
                  <Mark kind={tone} size={15} />
                  {says}
                </span>
              );
            },
          },
          {
            title: 'Operational evaluation level',
            isNumber: true,
            render: (one) =>
              one.operational === null
                ? '–'
                : `${withUnit(saySpan(one.operational), one)}${one.operational.low > one.most ? ': evaluate the operation' : ''}`,
          },
        ]}
      />
      <p className="soft small">What the lab does not see counts as 0 here (40 CFR 141.620 to 141.626, 141.902).</p>
    </section>
  );
}
