import { levelRecord } from '@fonte/core/level';
import { loggerLevelsOf, loggersAt } from '@fonte/core/logger';
import type { LoggerRecord, WellPoint } from '@fonte/core/registers';
import { lazy, Suspense, useEffect } from 'react';
import { Link } from 'react-router';
import useSWR from 'swr';
import { call } from '../../api/call.ts';
import { useAnswer } from '../../api/useAnswer.ts';
import { Loading } from '../../feedback/Feedback.tsx';
import { useMayRegister } from '../RegisterNav.tsx';
import { hydrograph, logged, type Logged } from './series.ts';

const drawing = () => import('./Hydrograph.tsx');
const Hydrograph = lazy(async () => ({ default: (await drawing()).Hydrograph }));

/** Levels of the records of a well's loggers; one that cannot be read now is left out, and its own page says why. */
async function levelsOf(records: readonly LoggerRecord[], { well }: WellPoint): Promise<Logged[]> {
  const answers = await Promise.allSettled(records.map(({ id }) => call(loggerLevelsOf, { in: { id } })));
  return answers.flatMap((answer, place) => {
    if (answer.status === 'rejected') return [];
    const { mark } = records[place]!;
    const elevation = well.measuringPoints.find(({ name }) => name === mark)?.elevation;
    return [{ mark, elevation, times: answer.value.times, depths: answer.value.depths }];
  });
}

/** The levels of a well through time: by hand, and by loggers that hung in it. */
export function Levels({ point }: { point: WellPoint }) {
  // What draws comes while the levels are still on their way.
  useEffect(() => void drawing().catch(() => undefined), []);
  const may = useMayRegister('loggers');
  const { data = [] } = useAnswer(levelRecord, { in: { point: point.id } });
  const { data: records = [] } = useAnswer(loggersAt, { in: { point: point.id } });
  const used = records.filter(({ outOfUse }) => outOfUse === undefined);
  const { data: courses = [] } = useSWR(used.length > 0 ? ['logged', JSON.stringify(used)] : null, () => levelsOf(used, point));
  const series = hydrograph(data);
  return (
    <section className="stack">
      <h2>Levels</h2>
      {series ? (
        <Suspense fallback={<Loading what="the hydrograph" />}>
          <Hydrograph {...series} logged={logged(series, courses)} />
        </Suspense>
      ) : (
        <p className="soft">Fewer than three levels at rest: no course yet.</p>
      )}
      {records.map(({ id, name, water, outOfUse }) => (
        <p key={id}>
          <Link to={`/loggers/${id}`}>Logger {name}</Link>{' '}
          <span className="soft small">
            {water.name}
            {outOfUse ? `, not used any more: ${outOfUse}` : ''}
          </span>
        </p>
      ))}
      {may && (
        <p>
          <Link to={`/loggers/new?point=${point.id}`}>Bring in a logger’s record</Link>
        </p>
      )}
    </section>
  );
}
