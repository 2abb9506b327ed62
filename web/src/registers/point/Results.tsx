import { parameter, type ParameterId } from '@fonte/core/parameters';
import { resultRecord, type ResultOfRecord } from '@fonte/core/read';
import { showDate, wallTime } from '@fonte/core/time';
import { unitLabel } from '@fonte/core/units';
import { Link } from 'react-router';
import { useAnswer } from '../../api/useAnswer.ts';
import { DataTable } from '../../feedback/DataTable.tsx';
import { deviceZone } from '../../time/show.ts';

/** So many of the latest samples stand beside one another. */
const shown = 5;

const words: Record<ResultOfRecord['form'], (value: string) => string> = {
  value: (value) => value,
  below: (value) => `< ${value}`,
  above: (value) => `> ${value}`,
  present: () => 'found',
  absent: () => 'not found',
  uncountable: () => 'too many to count',
};

/** No digit that the lab did not print; what its report says in full stands with the round. */
const said = ({ form, value }: ResultOfRecord) => words[form](value === null ? '' : String(Number(value.toPrecision(6))));

/** One sample of a round: its bottles were filled on one day. */
const sampleOf = ({ round, at }: ResultOfRecord) => `${round} ${wallTime(at, deviceZone()).date}`;

const isOver = ({ verdict }: ResultOfRecord) => verdict.startsWith('over');

/** What labs found here, sample by sample; what was over a limit of its round stands out in words as well. */
export function Results({ point }: { point: string }) {
  const { data = [] } = useAnswer(resultRecord, { in: { point } });
  if (data.length === 0) return null;
  const samples = [...new Map(data.map((one) => [sampleOf(one), one])).values()].slice(-shown);
  const ids = [...new Set(data.map((one) => one.parameter))];
  const of = (id: ParameterId, sample: ResultOfRecord) => data.find((one) => one.parameter === id && sampleOf(one) === sampleOf(sample));
  return (
    <section className="stack">
      <h2>Results</h2>
      <DataTable
        label="Results"
        rows={ids.map((id) => ({ id }))}
        rowKey={({ id }) => id}
        columns={[
          {
            title: 'Parameter',
            render: ({ id }) => (
              <>
                <span className="strong">{parameter(id).name}</span> <span className="soft small">{unitLabel(parameter(id).unit)}</span>
              </>
            ),
          },
          ...samples.map((sample) => ({
            title: showDate(wallTime(sample.at, deviceZone()).date),
            head: <Link to={`/rounds/${sample.round}/verdict`}>{showDate(wallTime(sample.at, deviceZone()).date)}</Link>,
            isNumber: true,
            render: ({ id }: { id: ParameterId }) => {
              const found = of(id, sample);
              if (!found) return '';
              return isOver(found) ? <span className="strong tone-stop">{said(found)} over</span> : said(found);
            },
          })),
        ]}
      />
    </section>
  );
}
