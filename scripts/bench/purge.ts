import { atWellOf } from '../../core/test/at-the-well-bench.ts';
import { purged, randomWell } from '../../core/test/random-wells.ts';
import { compareCriteria, criteria, estimateStable, purgeState, readingSets, readingSteps } from '@fonte/core/purge';
import { expectedLevel, tolerances } from '@fonte/core/level';
import { wellAfter } from '@fonte/core/simulation';
import { median, quantile, record, timed } from './measure.ts';

const runs = 9;
const many = 10_000;

async function medianOf(work: () => unknown): Promise<number> {
  const times: number[] = [];
  for (let run = 0; run < runs; run++) times.push(await timed(work));
  return median(times);
}

/** What judging, comparing, foretelling and simulating a purge take. */
export async function purge(): Promise<void> {
  const { book, point, level } = atWellOf(many);
  record(
    `state of a purge of ${many} sets, by a criterion with time between sets`,
    await medianOf(() => purgeState(book, point, level)),
    'ms',
    5,
  );
  const sets = book.sets.all();
  const values = readingSets(sets);
  const steps = (from: number, to: number) => readingSteps(sets.slice(from, to));
  record(
    `all ${criteria.newest.length} criteria side by side on ${many} sets`,
    await medianOf(() => compareCriteria(criteria.newest, values, sets, null, { steps })),
    'ms',
  );
  const rule = criteria.newest.find(({ id }) => id === 'usgs-nfm')!;
  const times: number[] = [];
  for (let lot = 0; lot < 20; lot++) {
    const read = purged(9000 + lot, 10);
    const [of, step] = [readingSets(read), readingSteps(read)];
    times.push(await timed(() => estimateStable(rule, of, ['temperature', 'ph', 'conductivity', 'oxygen', 'turbidity'], step)));
  }
  record('estimate of five parameters after ten sets, by the field manual, median of 20 wells', median(times), 'ms', 50);
  record('estimate of five parameters: the slowest but one of 20 wells', quantile(times, 0.94), 'ms');
  const { character, flow } = randomWell(1);
  const shape = { insideDiameter: 0.052, bottom: 18.6, screenTop: 11.6, screenBottom: 17.6, rest: 7.5 };
  const well = { character, shape, gear: { intake: 14.6, tubing: 0.45e-3, cell: 0.5e-3 }, seed: 1 };
  record('an hour of a simulated well', await medianOf(() => wellAfter(well, [{ at: 0, flow }], 3600)), 'ms');
  const levels = Array.from({ length: 20_000 }, (_, at) => ({ at: at * 3_600_000, depth: 7 + Math.sin(at / 1400) }));
  record(
    'what a record of 20,000 levels lets one expect',
    await medianOf(() => expectedLevel(levels, 20_001 * 3_600_000, tolerances.newest[0]!)),
    'ms',
  );
}
