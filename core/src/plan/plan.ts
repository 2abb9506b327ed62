import { misfit, type Entry, type Misfit, type Room } from '../book/index.ts';
import { analysisIds, analysisName, rulesFor, type AnalysisId, type BottleTable, type PurposeId, type RuleId } from '../bottles/index.ts';
import type { Lab, OwnLimitSet, Point } from '../registers/index.ts';
import { millis } from '../time/index.ts';
import type { z } from 'zod';
import {
  analysisAdded,
  analysisRemoved,
  bottlesPacked,
  extraPlanned,
  labAdded,
  judgedAnew,
  roundGivenUp,
  roundPlanned,
  visitAdded,
  type MadeUpPoint,
  type PlannedVisit,
  type RoundEditions,
} from './entries.ts';
import { dayPlanned, type DaySettings } from './day-settings.ts';

export type Plan = z.infer<typeof roundPlanned.payload>;

/** What a book says of the plan of its round. */
export interface PlanBook {
  first: Plan | null;
  /** The plan with its changes; null before there is one. */
  plan: Plan | null;
  /** The editions that judge now: those of the plan, unless a person had it judged anew. */
  editions: RoundEditions | null;
  /** Every limit set of the house that came with the book. */
  ownLimits: readonly OwnLimitSet[];
  packed: ReadonlySet<string>;
  /** How the day is driven, if that was planned. */
  day: DaySettings | null;
  /** What is taken along beside the samples. */
  extras: readonly PlannedExtra[];
  /** Labs beside the round's own, and what goes there. */
  labs: readonly OtherLab[];
  /** That the rest of it will not be done, and why. */
  givenUp: { entry: string; at: number; reason: string } | null;
}

/** A duplicate or blank of an analysis at a visit. */
export interface PlannedExtra {
  entry: string;
  visit: string;
  analysis: AnalysisId;
  purpose: Exclude<PurposeId, 'sample'>;
  /** The point under which it goes blind. */
  as?: MadeUpPoint | undefined;
}

/** Another lab than the round's own. */
export interface OtherLab {
  entry: string;
  lab: Lab;
  bottles: readonly RuleId[];
  splits: boolean;
}

/** The lab that a bottle goes to: where its split goes, where its kind goes, or else the round's own; the later said wins. */
export function labFor(
  { plan, labs }: { plan: { lab: Lab | null } | null; labs: readonly OtherLab[] },
  { rule, purpose: id }: { rule: RuleId; purpose: PurposeId },
): Lab | null {
  const other = labs.findLast(({ bottles, splits }) => (id === 'split' && splits ? true : id !== 'split' && bottles.includes(rule)));
  return other?.lab ?? plan?.lab ?? null;
}

export interface PlanAround {
  /** Null where the round's edition is not known here. */
  table: BottleTable | null;
  /** The bottles of a visit that were filled or thrown away. */
  usedAt: (visit: string) => readonly { id: string; rule: RuleId; state: string }[];
  hasBottle: (id: string) => boolean;
}

function removalFits(visit: PlannedVisit, id: AnalysisId, around: PlanAround): Misfit | null {
  const { table } = around;
  if (!visit.analyses.includes(id)) return misfit('not-in-plan', 'payload.analysis');
  const stay = table
    ? rulesFor(
        table,
        visit.analyses.filter((other) => other !== id),
      )
    : [];
  const used = around.usedAt(visit.id).find((bottle) => !stay.includes(bottle.rule));
  if (!used) return null;
  return misfit('bottle-used', 'payload.analysis', { bottle: used.id, state: used.state, analysis: analysisName(table, id) });
}

/** A visit with its analyses in the order of the table. */
const inOrder = (visit: PlannedVisit): PlannedVisit => ({ ...visit, analyses: analysisIds.filter((id) => visit.analyses.includes(id)) });

/** The visits in an order; those that it does not name come after, as they stood. */
function inDaysOrder(visits: readonly PlannedVisit[], order: readonly string[]): PlannedVisit[] {
  const place = new Map(order.map((id, index) => [id, index]));
  return [...visits].sort((a, b) => (place.get(a.id) ?? Infinity) - (place.get(b.id) ?? Infinity) || 0);
}

/** An order names visits of the round, and those of one point as they were planned: the labels count them. */
function orderFits(visits: readonly PlannedVisit[], order: readonly string[]): Misfit | null {
  if (order.some((id) => !visits.some((visit) => visit.id === id))) return misfit('no-such-visit', 'payload.order');
  const points = (all: readonly PlannedVisit[], point: string) => all.filter((visit) => visit.point.id === point).map(({ id }) => id);
  const ordered = inDaysOrder(visits, order);
  const turned = visits.find(({ point }) => points(visits, point.id).join() !== points(ordered, point.id).join());
  return turned ? misfit('visits-turned', 'payload.order', { name: turned.point.name }) : null;
}

/** Where bottles are handed over is a place of the round's lab, and a hand-over on the way comes after one of its visits. */
function doorsFit(plan: Plan | null, { at, midway }: DaySettings): Misfit | null {
  const isKnown = (name: string | undefined) => name === undefined || (plan?.lab?.dropOffs ?? []).some((one) => one.name === name);
  if (!isKnown(at)) return misfit('no-such-door', 'payload.at', { at: at! });
  if (!midway) return null;
  if (!isKnown(midway.at)) return misfit('no-such-door', 'payload.midway', { at: midway.at! });
  return plan?.visits.some(({ id }) => id === midway.after) ? null : misfit('no-such-visit', 'payload.midway');
}

/** Labels tell points apart by their codes: two points of one round never share one. */
function additionFits(visits: readonly PlannedVisit[], { id, point }: PlannedVisit): Misfit | null {
  if (visits.some((visit) => visit.id === id)) return misfit('in-plan', 'payload.id');
  const isTaken = visits.some((visit) => visit.point.code === point.code && visit.point.id !== point.id);
  return isTaken ? misfit('code-in-round', 'payload.point', { code: point.code }) : null;
}

/** A blank or duplicate is of an analysis of its visit, planned once, and under a code that no other point of the round has. */
function extraFits(
  visits: readonly PlannedVisit[],
  extras: readonly PlannedExtra[],
  { visit: id, payload: { analysis, purpose, as } }: { visit: string | null; payload: z.output<typeof extraPlanned.payload> },
): Misfit | null {
  if (!visits.find((visit) => visit.id === id)?.analyses.includes(analysis)) return misfit('not-in-plan', 'payload.analysis');
  if (extras.some((one) => one.visit === id && one.analysis === analysis && one.purpose === purpose))
    return misfit('in-plan', 'payload.purpose');
  if (as === undefined) return null;
  const { code } = as;
  const isTaken = visits.some(({ point }) => point.code === code) || extras.some((one) => one.visit !== id && one.as?.code === code);
  return isTaken ? misfit('code-in-round', 'payload.as.code', { code }) : null;
}

function withAnalyses(plan: Plan, entry: Entry, change: (analyses: AnalysisId[]) => AnalysisId[]): Plan {
  const visits = plan.visits.map((visit) =>
    visit.id === entry.visit ? { ...visit, analyses: analysisIds.filter((id) => change(visit.analyses).includes(id)) } : visit,
  );
  return { ...plan, visits };
}

/** What the plan of a visit may lack. */
interface PlanView {
  point: Pick<Point, 'type'>;
  analyses: readonly unknown[];
}

export const planRoom: Room<PlanBook, PlanAround, PlanView> = {
  // A well may be visited for its level alone; a tap is visited for its water.
  next: { choose: ({ point, analyses }) => (point.type === 'tap' && analyses.length === 0 ? { code: 'choose-analyses' } : null) },
  kinds: [
    roundPlanned,
    visitAdded,
    analysisAdded,
    analysisRemoved,
    extraPlanned,
    labAdded,
    dayPlanned,
    bottlesPacked,
    judgedAnew,
    roundGivenUp,
  ],
  empty: { first: null, plan: null, editions: null, ownLimits: [], packed: new Set(), day: null, extras: [], labs: [], givenUp: null },
  fits: ({ plan, extras, givenUp }, entry, around) => {
    const visits = plan?.visits ?? [];
    if (roundPlanned.is(entry)) return plan ? misfit('planned-already', 'kind') : null;
    if (visitAdded.is(entry)) return additionFits(visits, entry.payload);
    if (dayPlanned.is(entry)) return doorsFit(plan, entry.payload) ?? orderFits(visits, entry.payload.order);
    const visit = visits.find((candidate) => candidate.id === entry.visit);
    if (analysisAdded.is(entry)) return visit?.analyses.includes(entry.payload.analysis) ? misfit('in-plan', 'payload.analysis') : null;
    if (extraPlanned.is(entry)) return extraFits(visits, extras, entry);
    if (analysisRemoved.is(entry)) return visit ? removalFits(visit, entry.payload.analysis, around) : null;
    if (roundGivenUp.is(entry)) return givenUp ? misfit('given-up', 'kind') : null;
    if (!bottlesPacked.is(entry)) return null;
    const unknown = entry.payload.bottles.find((id) => !around.hasBottle(id));
    return unknown === undefined ? null : misfit('not-in-round', 'payload.bottles', { bottle: unknown });
  },
  advance: (book, entry) => {
    if (roundPlanned.is(entry)) {
      const plan = { ...entry.payload, visits: entry.payload.visits.map(inOrder) };
      return { ...book, first: entry.payload, plan, editions: plan.editions, ownLimits: plan.ownLimits ?? [] };
    }
    const { plan, editions } = book;
    if (!plan || !editions) return book;
    if (visitAdded.is(entry)) {
      const { ownLimits = [], ...visit } = entry.payload;
      return { ...book, ownLimits: [...book.ownLimits, ...ownLimits], plan: { ...plan, visits: [...plan.visits, inOrder(visit)] } };
    }
    if (dayPlanned.is(entry)) {
      const { order, ...day } = entry.payload;
      return { ...book, day, plan: { ...plan, visits: inDaysOrder(plan.visits, order) } };
    }
    if (analysisAdded.is(entry)) return { ...book, plan: withAnalyses(plan, entry, (now) => [...now, entry.payload.analysis]) };
    if (analysisRemoved.is(entry))
      return { ...book, plan: withAnalyses(plan, entry, (now) => now.filter((id) => id !== entry.payload.analysis)) };
    if (labAdded.is(entry)) return { ...book, labs: [...book.labs, { entry: entry.id, ...entry.payload }] };
    if (extraPlanned.is(entry)) return { ...book, extras: [...book.extras, { entry: entry.id, visit: entry.visit!, ...entry.payload }] };
    if (bottlesPacked.is(entry)) return { ...book, packed: new Set([...book.packed, ...entry.payload.bottles]) };
    if (roundGivenUp.is(entry)) return { ...book, givenUp: { entry: entry.id, at: millis(entry.at), reason: entry.payload.reason } };
    if (!judgedAnew.is(entry)) return book;
    const { limits = editions.limits, followUps = editions.followUps, ownLimits = [] } = entry.payload;
    return { ...book, ownLimits: [...book.ownLimits, ...ownLimits], editions: { ...editions, limits, followUps } };
  },
};
