import { type BottlesByLabel } from './at-lab.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { LabResult } from './entries.ts';

/** What was asked of an accepted bottle and is not in the report. */
export function missingResults(results: readonly LabResult[], bottles: BottlesByLabel): { bottle: string; parameters: ParameterId[] }[] {
  const got = new Map<string, ParameterId[]>();
  for (const { bottle, parameter } of results) {
    const there = got.get(bottle);
    if (there) there.push(parameter);
    else got.set(bottle, [parameter]);
  }
  return [...bottles].flatMap(([bottle, { parameters: asked, isElsewhere }]) => {
    if (isElsewhere) return [];
    const parameters = asked.filter((id) => !got.get(bottle)?.includes(id));
    return parameters.length > 0 ? [{ bottle, parameters }] : [];
  });
}
