import { method, methodsFor, type FieldTest } from '@fonte/core/fieldtests';
import type { ParameterId } from '@fonte/core/parameters';
import type { VisitState } from '@fonte/core/round';
import { showTyped, type Typed } from '@fonte/core/units';
import { Button } from 'antd';
import { Link } from 'react-router';
import { useRound } from '../book/useRound.ts';
import { showTime } from '../time/show.ts';
import { roomPath } from '../visit/paths.ts';

/** What a test showed, as it is taken over: whole numbers of it only where it was diluted. */
function readingOf({ shown, parts, told, method: id }: FieldTest): Typed | null {
  if (shown?.is !== 'number' || !told) return null;
  return parts === 1 ? shown.reading : { text: String(Number(told.low.toPrecision(6))), unit: method(id).unit };
}

/** A parameter that a step asks for: guided by a field test, or taken over from one that was made since. */
export function TakeOver({
  visit,
  parameter,
  since,
  back,
  take,
}: {
  visit: VisitState;
  parameter: ParameterId;
  /** Only what was read after this moment (ms) is of this water. */
  since: number;
  back: string;
  take: (reading: Typed, test: string) => void;
}) {
  const { id, round } = useRound();
  if (methodsFor(parameter).length === 0) return null;
  const made = visit.tests.flatMap((test) => {
    const reading = readingOf(test);
    const isOf = test.told?.parameter === parameter && test.readAt !== null && test.readAt >= since && test.dropped === null;
    return reading && isOf ? [{ test, reading }] : [];
  });
  return (
    <div className="row">
      {made.map(({ test, reading }) => (
        <Button key={test.id} size="large" onClick={() => take(reading, test.id)}>
          Take {showTyped(reading)}, read {showTime(test.readAt!, round.plan.zone)}
        </Button>
      ))}
      <Link to={`${roomPath(id, 'fieldtests', visit.id)}?of=${parameter}&back=${back}`}>
        {made.length > 0 ? 'Test it again' : 'Guide me through the test'}
      </Link>
      {parameter === 'freeChlorine' && (
        <Link to={`${roomPath(id, 'fieldtests', visit.id)}?of=totalChlorine&back=${back}`}>Measure total chlorine too</Link>
      )}
    </div>
  );
}
