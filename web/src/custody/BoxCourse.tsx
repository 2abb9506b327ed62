import { recordedBottles, recordFindings, type RecordOfBox, type RecordedBottle } from '@fonte/core/round';
import { minute, showMinutes } from '@fonte/core/time';
import { base, show, unitLabel } from '@fonte/core/units';
import { useRound } from '../book/useRound.ts';
import { DataTable } from '../feedback/DataTable.tsx';
import { Findings } from '../findings/Findings.tsx';
import { Course } from '../time/Course.tsx';

/** So many bottles are told one by one; of the others only that they are fine. */
const most = 8;

const isOut = ({ out }: RecordedBottle) => out.above > 0 || out.below > 0;

/** What a logger recorded in a box: drawn with the band of its bottles and what was read by hand, and what it says of each bottle. */
export function BoxCourse({ record, now }: { record: RecordOfBox; now: number }) {
  const { round } = useRound();
  const { course, box } = record;
  const bottles = recordedBottles(round, record, now);
  const bands = bottles.flatMap(({ band }) => band ?? []);
  const bounds = bands.length > 0 ? [Math.max(...bands.map(({ least }) => least)), Math.min(...bands.map((band) => band.most))] : [];
  const times = course.map(([at]) => at);
  const values = course.map(([, value]) => value);
  const marks = round.custody.boxes.flatMap(({ box: { box: id }, at, temperature }) =>
    id === box.box && temperature && at >= (times[0] ?? Infinity) && at <= times.at(-1)! ? [{ at, value: base(temperature) }] : [],
  );
  const range = (out: RecordedBottle['out']) =>
    out.coldest === null || out.warmest === null ? '' : `${show(out.coldest, 'degC', 1)} to ${show(out.warmest, 'degC', 1)}`;
  const told = bottles.filter(isOut).length > 0 ? bottles.filter(isOut) : bottles.slice(0, 1);
  return (
    <div className="stack">
      <Findings of={recordFindings(round, record, now)} />
      {course.length > 1 && (
        <Course
          says={`${course.length} readings in ${box.name}, between ${show(Math.min(...values), 'degC', 1)} and ${show(Math.max(...values), 'degC', 1)}`}
          times={times}
          values={values}
          bounds={bounds.map((bound) => times.map(() => bound))}
          marks={marks}
          axis={`In the box, ${unitLabel('degC')}`}
          height={220}
          zone={round.plan.zone}
        />
      )}
      {course.length > 1 && (
        <p className="soft small">
          The line is the logger’s{bounds.length > 0 && ', the dashes are the band that its bottles want'}
          {marks.length > 0 && ', the marks were read by hand'}.
        </p>
      )}
      {course.length > 1 && (
        <DataTable
          label={`Bottles in ${box.name}`}
          rows={told.slice(0, most)}
          rowKey={({ bottle }) => bottle.id}
          columns={[
            { title: 'Bottle', render: ({ bottle }) => bottle.id },
            { title: 'It was at', render: ({ out }) => range(out) },
            {
              title: 'Wants',
              render: ({ band }) => (band ? `${show(band.least, 'degC', 0)} to ${show(band.most, 'degC', 0)}` : 'no cold'),
            },
            { title: 'Above it', render: ({ out, band }) => (band ? showMinutes(out.above) : '') },
            { title: 'Below it', render: ({ out, band }) => (band ? showMinutes(out.below) : '') },
            { title: 'Not recorded', render: ({ out }) => (out.unseen >= minute ? showMinutes(out.unseen, 'left') : '') },
          ]}
        />
      )}
      {bottles.length > told.slice(0, most).length && (
        <p className="small">
          {bottles.length - told.slice(0, most).length} more in it{told.length > most ? '' : ', none of them out of its band for longer'}.
        </p>
      )}
    </div>
  );
}
