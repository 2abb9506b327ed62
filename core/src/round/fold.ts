import { followUps, resamples, type FollowUp, type RefusedBottle } from '../act/index.ts';
import { corrected, type Entry } from '../book/index.ts';
import { foldCustody, type HandOver } from '../custody/index.ts';
import { foldFill } from '../fill/index.ts';
import { foldLevel, type LevelState } from '../level/index.ts';
import type { AnalysisId } from '../bottles/index.ts';
import { bottlesOf, bottlesPacked, foldPlan, type Plan } from '../plan/index.ts';
import { foldPurge, type PurgeState } from '../purge/index.ts';
import { reportReceived } from '../read/index.ts';
import type { Point } from '../registers/index.ts';
import { foldRun, type RunState } from '../tap/index.ts';
import { millis } from '../time/index.ts';
import { bottleInStream, type BottleState } from './bottle.ts';
import { foldReports, judgeRound, type RoundReport, type RoundVerdict } from './results.ts';

/** Everything that is known of one point of a round. A well has a level and a purge, a tap a run. */
export interface VisitState {
  id: string;
  point: Point;
  analyses: AnalysisId[];
  level: LevelState | null;
  purge: PurgeState | null;
  run: RunState | null;
  /** What its samples are: a stop of the protocol makes them special. */
  sample: 'routine' | 'special';
  bottles: BottleState[];
}

/** The state of a round, derived from its book and from nothing else. */
export interface RoundState {
  plan: Plan;
  visits: VisitState[];
  bottles: BottleState[];
  handOvers: HandOver[];
  reports: RoundReport[];
  verdict: RoundVerdict | null;
  followUps: FollowUp[];
}

function byVisit(entries: readonly Entry[]): Map<string, Entry[]> {
  const groups = new Map<string, Entry[]>();
  for (const entry of entries) {
    const visit = (entry.payload as { visit?: string } | null)?.visit;
    if (visit === undefined) continue;
    const group = groups.get(visit);
    if (group) group.push(entry);
    else groups.set(visit, [entry]);
  }
  return groups;
}

/**
 * The state of a round from the entries of its book: pure, and the same on page, server and in tests. Null for a book
 * whose round was not planned.
 */
export function fold(entries: readonly Entry[]): RoundState | null {
  const standing = corrected(entries);
  const plan = foldPlan(standing);
  if (!plan) return null;

  const groups = byVisit(standing);
  const handOvers = foldCustody(standing);
  const reports = foldReports(standing);
  const packed = new Set(standing.filter(bottlesPacked.is).flatMap((entry) => entry.payload.bottles));
  const fieldBottles = foldFill(standing, bottlesOf(plan));

  const visits = plan.visits.map((visit): VisitState => {
    const own = groups.get(visit.id) ?? [];
    const { point } = visit;
    const level = point.type === 'well' ? foldLevel(own, point) : null;
    const purge = point.type === 'well' && level ? foldPurge(own, point, level) : null;
    const run = point.type === 'tap' ? foldRun(own, point) : null;
    const measured = purge ? purge.ended !== null : run ? run.finished || run.now?.step.act.type === 'fill' : false;
    const bottles = fieldBottles
      .filter((bottle) => bottle.visit === visit.id)
      .map((bottle) => bottleInStream(bottle, { lab: plan.lab, handOvers, reports, measured, packed: packed.has(bottle.place) }));
    return { ...visit, level, purge, run, sample: run?.sample ?? 'routine', bottles };
  });

  const verdict = judgeRound(visits, reports, plan.zone);
  const arrived = standing.find(reportReceived.is);
  const bottles = visits.flatMap((visit) => visit.bottles);
  const judged =
    verdict && arrived ? followUps({ occasions: verdict.occasions, arrived: millis(arrived.at), zone: plan.zone, entries: standing }) : [];
  return {
    plan,
    visits,
    handOvers,
    reports,
    verdict,
    bottles,
    followUps: [...resamples(refusedBottles(visits, handOvers), standing), ...judged].sort((a, b) => a.due - b.due),
  };
}

function refusedBottles(visits: readonly VisitState[], handOvers: readonly HandOver[]): RefusedBottle[] {
  return visits.flatMap((visit) =>
    visit.bottles.flatMap((bottle) => {
      const answer = handOvers.find((handOver) => handOver.answer?.bottles.some((line) => line.bottle === bottle.id))?.answer;
      if (bottle.lost?.how !== 'refused' || !answer) return [];
      return [{ bottle: bottle.id, visit: visit.id, pointName: visit.point.name, reason: bottle.lost.reason, at: answer.at }];
    }),
  );
}
