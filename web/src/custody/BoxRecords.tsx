import { boxRecorded, type BoxRecording } from '@fonte/core/custody';
import { boxName, bottlesIn } from '@fonte/core/round';
import { Link } from 'react-router';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { useMay } from '../session/May.tsx';
import { useNow } from '../time/useNow.ts';
import { BoxCourse } from './BoxCourse.tsx';

/** What loggers recorded in the boxes of a round, and where the next file is brought in. */
export function BoxRecords() {
  const { id, round } = useRound();
  const now = useNow(60_000);
  const may = useMay(boxRecorded);
  const { records, legs } = round.custody;
  const boxes = [
    ...new Set([
      ...[...round.prepare.boxed.values()].map((box) => box.id),
      ...legs.flatMap(({ form }) => form.boxes.map(({ box }) => box)),
      '',
    ]),
  ].filter((box) => bottlesIn(round, box).length > 0);
  if (boxes.length === 0) return null;
  return (
    <section className="stack" aria-label="Records of the boxes">
      <h2>Loggers in the boxes</h2>
      {records.map((record) => (
        <Record key={record.entry} record={record} now={now} />
      ))}
      {may && (
        <p className="row">
          {boxes.map((box) => (
            <Link key={box} to={`/rounds/${id}/box-record?box=${box}`}>
              Bring in a logger’s file of {boxName(round, box)}
            </Link>
          ))}
        </p>
      )}
    </section>
  );
}

function Record({ record, now }: { record: BoxRecording; now: number }) {
  return (
    <section className="panel stack" aria-label={`Record of ${record.box.name}`}>
      <div className="row between">
        <h3>{record.box.name}</h3>
        <span className="soft small">
          {record.recording.name}, {record.readings.toLocaleString('en')} readings
          {record.unread > 0 && `, ${record.unread.toLocaleString('en')} rows not read`}
        </span>
      </div>
      <BoxCourse record={record} now={now} />
      <Correct entry={record.entry} kind={boxRecorded} what={`record of ${record.box.name}`} label="Strike" />
    </section>
  );
}
