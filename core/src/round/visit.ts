import type { AnalysisId, BottleTable, RuleId } from '../bottles/index.ts';
import { misfit, type Misfit } from '../book/index.ts';
import { inTheField } from '../fill/index.ts';
import { levelState, type LevelState } from '../level/index.ts';
import { bottlesAt, type PlannedVisit } from '../plan/index.ts';
import { purgeState, type PurgeState } from '../purge/index.ts';
import type { Point } from '../registers/index.ts';
import { runState, unknownRun, type RunState } from '../tap/index.ts';
import { bottleInStream, type BottleState } from './bottle.ts';
import { tablesOf } from './editions.ts';
import { isFilledByProtocol } from './protocol.ts';
import { emptyVisit, type RoundBook, type VisitBook } from './state.ts';

/** Everything that is known of one point of a round. A well has a level and a purge, a tap a run. */
export interface VisitState {
  id: string;
  point: Point;
  analyses: AnalysisId[];
  level: LevelState | null;
  purge: PurgeState | null;
  run: RunState | null;
  /** The edition of a run that this copy of the product does not have; null when there is none such. */
  unknownRun: string | null;
  /** What its samples are: a stop of the protocol makes them special, and so does a protocol that cannot be judged here. */
  sample: 'routine' | 'special';
  bottles: BottleState[];
  table: BottleTable | null;
}

function look(visit: PlannedVisit, book: VisitBook, round: RoundBook, table: BottleTable | null): VisitState {
  const { point, id, analyses } = visit;
  const level = point.type === 'well' ? levelState(book.level, point) : null;
  const purge = point.type === 'well' ? purgeState(book.purge, point, level?.agreed ?? null) : null;
  const run = point.type === 'tap' ? runState(book.run, point) : null;
  const unknown = unknownRun(book.run);
  const measured = purge ? purge.ended !== null : run ? run.finished || run.now?.step.act.type === 'fill' : false;
  const { plan, packed } = round.plan;
  const around = { lab: plan!.lab, handOvers: round.custody, reports: round.read, measured };
  const planned = table ? bottlesAt(visit, plan!.code, table) : [];
  const bottles = planned.flatMap((one) =>
    inTheField(one, table!.rules[one.rule], book.fill).map((bottle) =>
      bottleInStream(bottle, { ...around, packed: packed.has(bottle.place) }),
    ),
  );
  const sample = unknown ? 'special' : (run?.sample ?? 'routine');
  return { id, point, analyses, level, purge, run, unknownRun: unknown, sample, bottles, table };
}

interface Seen {
  plan: RoundBook['plan'];
  custody: RoundBook['custody'];
  read: RoundBook['read'];
  visit: VisitState;
}

/** States of visits by what they were made from, so that an entry at one point does not make those of all others anew. */
const seen = new WeakMap<VisitBook, Map<string, Seen>>();

/** One visit of a round as it stands; null when the round has none such. */
export function visitState(round: RoundBook, id: string): VisitState | null {
  const { plan, custody, read } = round;
  const planned = plan.plan?.visits.find((candidate) => candidate.id === id);
  if (!planned || !plan.editions) return null;
  const book = round.visits.get(id) ?? emptyVisit;
  const known = seen.get(book)?.get(id);
  if (known && known.plan === plan && known.custody === custody && known.read === read) return known.visit;
  const visit = look(planned, book, round, tablesOf(plan.editions).bottles);
  // What nothing was written at yet is shared by all rounds, and would be kept for ever.
  if (book !== emptyVisit) seen.set(book, new Map(seen.get(book)).set(id, { plan, custody, read, visit }));
  return visit;
}

/** Why no bottle of a rule may be filled at a visit as it stands, or null. For page and book alike. */
export function fillGate(visit: VisitState, rule: RuleId): Misfit | null {
  if (visit.purge && !visit.purge.ended) return misfit('end-purge-first', 'payload.bottle');
  const act = visit.run?.now?.step.act;
  if (!visit.unknownRun && isFilledByProtocol(visit, rule) && act?.type !== 'fill' && !visit.run?.finished)
    return misfit('not-at-filling', 'payload.bottle');
  return null;
}
