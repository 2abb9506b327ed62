import { judgeResult, judgeSums, limitSets, type LimitSet } from '@fonte/core/limits';
import { parameter, parameterIds } from '@fonte/core/parameters';
import type { LabResult } from '@fonte/core/read';
import { median, record, timed } from './measure.ts';

const results = 100_000;
const sets = ['eu-2020-2184', 'us-40-cfr', 'who-gdwq', 'ca-gcdwq', 'de-trinkwv', 'in-is-10500'];
/** So many results are of one water: as many as there are parameters. */
const perSample = parameterIds.length;

const result = (index: number): LabResult => {
  const id = parameterIds[index % perSample]!;
  const [least, most] = parameter(id).usualAtLab ?? [0, 10];
  return {
    line: index,
    bottle: `P${Math.floor(index / perSample)}`,
    parameter: id,
    form: index % 3 === 0 ? 'below' : 'value',
    value: least + ((most - least) * (index % 97)) / 970,
    estimated: false,
    reportingLimit: null,
    written: { result: '', unit: '', reportingLimit: '' },
  };
};

/** A hundred thousand results against six sets, and the sums of each of the waters. */
export async function judging(): Promise<void> {
  const all = Array.from({ length: results }, (_, index) => result(index));
  const waters = Array.from({ length: Math.ceil(results / perSample) }, (_, index) =>
    all.slice(index * perSample, (index + 1) * perSample),
  );
  const chosen = sets.map((id): LimitSet => limitSets.on(id, '2026-11-23')!);
  const [singly, together]: [number[], number[]] = [[], []];
  let over = 0;
  const before = process.memoryUsage().heapUsed;
  for (let run = 0; run < 3; run += 1) {
    singly.push(
      await timed(() => {
        for (const set of chosen) for (const one of all) if (judgeResult(one, set, '2026-11-23').state.startsWith('over-')) over += 1;
      }),
    );
    together.push(
      await timed(() => {
        for (const set of chosen) for (const water of waters) over += judgeSums(water, set, '2026-11-23').length;
      }),
    );
  }
  if (over === 0) throw new Error('nothing was judged');
  record(`judging ${results} results by six sets`, median(singly), 'ms', 2000);
  record(`their sums in ${waters.length} waters`, median(together), 'ms', 1000);
  record('judging: what stays in memory', Math.max(0, process.memoryUsage().heapUsed - before) / 2 ** 20, 'MB', 50);
}
