import { type BottlesByLabel } from './at-lab.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { LabResult } from './entries.ts';

/** What of the parameters that were asked for is not there: none of it where any of them is enough and one is. */
export function withoutResult(asked: readonly ParameterId[], has: (id: ParameterId) => boolean, isAnyOf = false): ParameterId[] {
  return isAnyOf && asked.some(has) ? [] : asked.filter((id) => !has(id));
}

/** What was asked of an accepted bottle and is not in the report; of several vials of one sample once. */
export function missingResults(results: readonly LabResult[], bottles: BottlesByLabel): { bottle: string; parameters: ParameterId[] }[] {
  const sampleOf = (label: string) => bottles.get(label)?.set ?? label;
  const got = new Set(results.map(({ bottle, parameter }) => `${sampleOf(bottle)} ${parameter}`));
  const told = new Set<string>();
  return [...bottles].flatMap(([bottle, { parameters: all, asked = all, isAnyOf, isElsewhere }]) => {
    const sample = sampleOf(bottle);
    if (isElsewhere || told.has(sample)) return [];
    told.add(sample);
    const parameters = withoutResult(asked, (id) => got.has(`${sample} ${id}`), isAnyOf);
    return parameters.length > 0 ? [{ bottle, parameters }] : [];
  });
}
