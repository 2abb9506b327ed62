import { wallTime } from '../time/index.ts';
import { resultFrom } from '../read/index.ts';
import { openAtLab } from './at-lab.ts';
import type { RoundState } from './fold.ts';
import type { ResultsExpected } from './lines.ts';

/**
 * What labs have and have not reported, by lab and by the day on which its result may be asked for, the soonest first. Nothing is asked
 * for that was told by telephone, or while a report of the round waits to be read.
 */
export function resultsExpected(round: RoundState): ResultsExpected[] {
  if (round.reports.some(({ read, putAside, fault }) => read === null && putAside === null && fault === null)) return [];
  const isTold = (bottle: string, parameter: string) => round.told.some((one) => one.bottle === bottle && one.parameter === parameter);
  const open = new Set(
    openAtLab(round).flatMap(({ bottle, parameters }) => (parameters.every((one) => isTold(bottle, one)) ? [] : [bottle])),
  );
  const found = new Map<string, ResultsExpected>();
  for (const { at, form, answer } of round.handOvers)
    for (const { bottle: id } of form.bottles) {
      const bottle = round.bottles.find((one) => one.id === id);
      // What was handed over twice counts from the first time that it was at a lab.
      if (!bottle || !open.delete(id)) continue;
      const from = resultFrom(bottle.rule, at, bottle.lab);
      const lab = bottle.lab?.name ?? form.to.name;
      const key = `${lab} ${wallTime(from, round.plan.zone).date}`;
      const known = found.get(key) ?? { lab, from, reference: answer?.reference ?? '', bottles: [] };
      found.set(key, { ...known, from: Math.min(known.from, from), bottles: [...known.bottles, { bottle: id, code: bottle.code }] });
    }
  return [...found.values()].sort((a, b) => a.from - b.from);
}
