import { parameter, type ParameterId } from '@fonte/core/parameters';
import { resultRecord, type ResultOfRecord } from '@fonte/core/read';
import { showDate, wallTime } from '@fonte/core/time';
import { unitLabel } from '@fonte/core/units';
import { Select } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { useAnswer } from '../../api/useAnswer.ts';
import { DataTable } from '../../feedback/DataTable.tsx';
import { Loading } from '../../feedback/Feedback.tsx';
import { siteZone } from '../../time/show.ts';

const Course = lazy(async () => ({ default: (await import('../../time/Course.tsx')).Course }));

/** Two results are no course. */
const leastDrawn = 3;

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
const sampleOf = ({ round, at }: ResultOfRecord) => `${round} ${wallTime(at, siteZone()).date}`;

const isOver = ({ verdict }: ResultOfRecord) => verdict.startsWith('over');

/** What can be drawn: a number, or less than one. */
const isDrawn = ({ form, value }: ResultOfRecord) => value !== null && (form === 'value' || form === 'below');

/** Parameters of which enough is known for a course. */
export const drawable = (data: readonly ResultOfRecord[]): ParameterId[] => {
  const ids = [...new Set(data.map((one) => one.parameter))];
  return ids.filter((id) => new Set(data.filter((one) => one.parameter === id && isDrawn(one)).map(sampleOf)).size >= leastDrawn);
};

/** One parameter through time; a result below what the lab can tell stands as an open mark where it may lie at most. */
function Through({ data }: { data: readonly ResultOfRecord[] }) {
  const ids = drawable(data);
  const [chosen, choose] = useState<ParameterId | null>(null);
  const id = chosen !== null && ids.includes(chosen) ? chosen : ids[0];
  if (id === undefined) return null;
  const { name, unit } = parameter(id);
  const drawn = data.filter((one) => one.parameter === id && isDrawn(one));
  const days = drawn.map(({ at }) => showDate(wallTime(at, siteZone()).date));
  return (
    <figure className="stack">
      <Select
        size="large"
        aria-label="Through time"
        value={id}
        onChange={choose}
        options={ids.map((one) => ({ value: one, label: parameter(one).name }))}
        style={{ minWidth: 220 }}
      />
      <Suspense fallback={<Loading what="its course" />}>
        <Course
          says={`${name} in ${unitLabel(unit)}: ${drawn.map((one, place) => `${days[place]} ${said(one)}`).join(', ')}`}
          times={drawn.map(({ at }) => at)}
          values={drawn.map(({ value }) => value!)}
          isBelow={drawn.map(({ form }) => form === 'below')}
          axis={`${name}, ${unitLabel(unit)}`}
          height={200}
          zone={siteZone()}
        />
      </Suspense>
      {drawn.some(({ form }) => form === 'below') && <figcaption className="soft small">An open mark is less than that.</figcaption>}
    </figure>
  );
}

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
      <Through data={data} />
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
            title: showDate(wallTime(sample.at, siteZone()).date),
            head: <Link to={`/rounds/${sample.round}/verdict`}>{showDate(wallTime(sample.at, siteZone()).date)}</Link>,
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
