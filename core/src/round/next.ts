import { roundTurns, visitTurns, type Ask, type Turn } from '../book/index.ts';
import { purpose } from '../bottles/index.ts';
import { kitPutOut } from '../kit/index.ts';
import { runThatFills } from '../tap/index.ts';
import type { RoundState } from './fold.ts';
import { roundRooms, visitRooms } from './kinds.ts';
import type { NextStep, StepRoom } from './lines.ts';
import type { VisitState } from './visit.ts';

/** What the rooms of a visit see of it, to say what is next and what waits. */
export function viewOf(visit: VisitState) {
  const { bottles } = visit;
  return {
    ...visit,
    blanks: bottles.filter((bottle) => !purpose(bottle.purpose).isWater),
    // What a run was to fill and did not is no longer asked for: the run is over.
    free: bottles.filter((bottle) => runThatFills(visit, bottle)?.run?.finished !== false),
  };
}

type VisitView = ReturnType<typeof viewOf>;
type Asks<V> = readonly { room: StepRoom; ask: (view: V) => Ask | null }[];

/** What the rooms may ask for, in the order of the turns. */
function inTurns<V>(turns: readonly Turn[], rooms: Partial<Record<StepRoom, { next?: Partial<Record<Turn, (view: V) => Ask | null>> }>>) {
  const entries = Object.entries(rooms) as [StepRoom, (typeof rooms)[StepRoom]][];
  return turns.flatMap((turn) =>
    entries.flatMap(([room, one]) => {
      const ask = one?.next?.[turn];
      return ask ? [{ room, ask }] : [];
    }),
  );
}

const ofVisit: Asks<VisitView> = inTurns<VisitView>(visitTurns, { plan: roundRooms.plan, ...visitRooms });
const { plan: _, ...afterTheField } = roundRooms;
const ofRound: Asks<RoundState> = inTurns<RoundState>(roundTurns, afterTheField);

function first<V>(asks: Asks<V>, view: V, visit: string | null): NextStep | null {
  for (const { room, ask } of asks) {
    const asked = ask(view);
    if (asked) return { room, visit, ...asked };
  }
  return null;
}

/** What comes next at one visit before its bottles are full; null when nothing is left to do there. */
export function nextAtVisit(visit: VisitState): NextStep | null {
  // What a household does is nothing to be done by us.
  if (visit.household !== null) return null;
  // A well that was found dry ends its visit: what was to be sampled is owed.
  if (visit.level?.leftOut?.why === 'dry') return null;
  return first(ofVisit, viewOf(visit), visit.id);
}

/** A household is in the middle of its kit: what it wrote so far waits until it has put its bottles out, and is settled then. */
function isHouseholdAtWork({ kit, aside }: RoundState): boolean {
  if (!kit.given || kit.putOut) return false;
  return aside.every(({ misfit, entry }) => misfit.code === 'from-household' && !kitPutOut.is(entry));
}

/** What comes next in a round, in the order of the work; null when it is done. What waits for a clock lets others come first. */
export function nextStep(round: RoundState): NextStep | null {
  // Of a round that was given up only what is out already asks for something.
  const steps = round.givenUp ? [] : round.visits.flatMap((visit) => nextAtVisit(visit) ?? []);
  const atVisit = steps.find((step) => !step.waits) ?? steps[0];
  if (atVisit) return atVisit;
  if (round.aside.length > 0 && !isHouseholdAtWork(round))
    return { room: 'plan', visit: null, code: 'settle', data: { count: round.aside.length } };
  return first(ofRound, round, null);
}

/** Whether all of a round is done: judged, and followed up. */
export function isClosed(round: RoundState): boolean {
  return nextStep(round) === null;
}
