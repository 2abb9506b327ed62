import { rulesFor, type RuleId } from '../bottles/index.ts';
import type { FormLine } from '../custody/index.ts';
import { wallTime } from '../time/index.ts';
import { measured } from '../tap/index.ts';
import type { BottlesByLabel } from '../read/index.ts';
import type { RoundState } from './fold.ts';
import type { VisitState } from './visit.ts';

/** The residual a form states for a point: as measured, missing (null), or not needed where nothing is chlorinated. */
export function residualFor(visit: VisitState): string | null | 'not-needed' {
  if (visit.point.type !== 'tap' || visit.point.tap.residualMinimum === null) return 'not-needed';
  return visit.run ? measured(visit.run, 'freeChlorine') : null;
}

/** The names of the analyses that a bottle is for at its point. */
export function requestsOf(visit: VisitState, rule: RuleId): string[] {
  const { table } = visit;
  return table ? visit.analyses.filter((id) => rulesFor(table, [id]).includes(rule)).map((id) => table.analyses[id].name) : [];
}

/** The lines of the custody form: every filled bottle that was not handed over, with what the lab asks about it. */
export function formLines(round: RoundState): FormLine[] {
  return round.visits.flatMap((visit) =>
    visit.bottles
      .filter((bottle) => bottle.stage === 'filled' && !bottle.lost)
      .map((bottle) => ({
        bottle,
        pointName: visit.point.name,
        requests: requestsOf(visit, bottle.rule),
        sampleType: visit.sample,
        residual: residualFor(visit),
      })),
  );
}

/**
 * The bottles whose results a report of this round may bring, by label: those handed over and not refused. A lab whose
 * desk does not answer may still report.
 */
export function bottlesAtLab(round: RoundState): BottlesByLabel {
  const handed = new Set(round.handOvers.flatMap((handOver) => handOver.form.bottles.map((line) => line.bottle)));
  return new Map(
    round.bottles
      .filter((bottle) => handed.has(bottle.id) && bottle.lost === null)
      .map(({ id, card: { name, parameters }, filledAt }) => [
        id,
        { name, parameters, filledOn: wallTime(filledAt ?? 0, round.plan.zone).date },
      ]),
  );
}
