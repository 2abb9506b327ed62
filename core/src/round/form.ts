import { analysisName, type AnalysisId, purpose, rulesFor } from '../bottles/index.ts';
import type { FormLine } from '../custody/index.ts';
import { wallTime } from '../time/index.ts';
import { measured, runThatFills } from '../tap/index.ts';
import type { BottleAtLab, BottlesByLabel } from '../read/index.ts';
import type { BottleState } from './bottle.ts';
import type { RoundState } from './fold.ts';
import type { VisitState } from './visit.ts';

/**
 * The residual a form states for a bottle: as measured, missing (null), or not needed where nothing is chlorinated or the
 * protocol that fills it does not ask for it.
 */
export function residualFor(visit: VisitState, bottle: Pick<BottleState, 'rule' | 'purpose'>): string | null | 'not-needed' {
  if (visit.point.type !== 'tap' || visit.point.tap.residualMinimum === null) return 'not-needed';
  if (!purpose(bottle.purpose).isWater) return 'not-needed';
  const by = runThatFills(visit, bottle);
  const isAsked = by?.protocol.steps.some(({ act }) => act.type === 'measure' && /^(?:free|total)Chlorine$/.test(act.parameter));
  if (by && !isAsked) return 'not-needed';
  const [run] = by ? [by.run] : visit.runs;
  if (!run) return null;
  const total = measured(run, 'totalChlorine');
  return measured(run, 'freeChlorine') ?? (total && `${total} total`);
}

/** The analyses that a bottle is for at its point. */
export function requestsOf(visit: VisitState, { rule }: Pick<BottleState, 'rule'>): AnalysisId[] {
  const { table } = visit;
  return table ? visit.analyses.filter((id) => rulesFor(table, [id]).includes(rule)) : [];
}

/** Their names, for people. */
export const requestNames = (visit: VisitState, bottle: Pick<BottleState, 'rule'>): string[] =>
  requestsOf(visit, bottle).map((id) => analysisName(visit.table, id));

/** The way a bottle was taken, where there are several: the results of one are not those of another. */
function wayOf(visit: VisitState, bottle: Pick<BottleState, 'rule' | 'purpose'>): string[] {
  const by = runThatFills(visit, bottle);
  return by?.run && by.ways.length > 1 ? [by.protocol.title] : [];
}

/** The lines of the custody form: every filled bottle that was not handed over, with what the lab asks about it. */
export function formLines(round: RoundState): FormLine[] {
  return round.visits.flatMap((visit) =>
    visit.bottles
      .filter((bottle) => bottle.stage === 'filled' && !bottle.lost)
      .map((bottle) => ({
        bottle,
        pointName: visit.name,
        requests: [...requestNames(visit, bottle), ...wayOf(visit, bottle)],
        sampleType: bottle.sample,
        reasons: bottle.reasons,
        residual: residualFor(visit, bottle),
      })),
  );
}

const atLab = (round: RoundState) => {
  const handed = new Set(round.handOvers.flatMap((handOver) => handOver.form.bottles.map((line) => line.bottle)));
  return ({ id, lost }: BottleState) => handed.has(id) && lost === null;
};

const forReport = (round: RoundState, { id, visit, card: { name, parameters }, filledAt }: BottleState): [string, BottleAtLab] => {
  const filled = wallTime(filledAt ?? 0, round.plan.zone);
  return [id, { name, parameters, visit, filledOn: filled.date, filledTime: filled.time.slice(0, 5) }];
};

/**
 * The bottles whose results a report of this round may bring, by label: those handed over and not refused. A lab whose
 * desk does not answer may still report.
 */
export function bottlesAtLab(round: RoundState): BottlesByLabel {
  return new Map(round.bottles.filter(atLab(round)).map((bottle) => forReport(round, bottle)));
}

/** Every bottle of a round as a report is read against it: a row of one that the lab cannot have is said to be so. */
export function bottlesForReport(round: RoundState): BottlesByLabel {
  const isThere = atLab(round);
  return new Map(
    round.bottles.map((bottle) => {
      const [id, known] = forReport(round, bottle);
      return [id, isThere(bottle) ? known : { ...known, isElsewhere: true }];
    }),
  );
}
