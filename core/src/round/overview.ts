import { cultureMethod, isCounted } from '../culture/index.ts';
import { custodyRoom } from '../custody/index.ts';
import { fieldTestsRoom } from '../fieldtests/index.ts';
import { purgeRoom } from '../purge/index.ts';
import { runRoom } from '../tap/index.ts';
import type { RoundState } from './fold.ts';
import { sayNext } from './asks.ts';
import { resultsExpected } from './expected.ts';
import type { HeldBottles, RoundOverview, VisitClock } from './lines.ts';
import { nextStep, viewOf } from './next.ts';
import type { VisitState } from './visit.ts';

/** What is with couriers, colleagues, households and in locked places, the longest first. */
function heldBottles({ bottles }: RoundState): HeldBottles[] {
  const held = new Map<string, HeldBottles>();
  for (const { stage, lost, holder, holding } of bottles) {
    if (stage !== 'filled' || lost || !holder) continue;
    const { as, name } = holder.party;
    const key = `${as} ${name}`;
    const known = held.get(key);
    const deadlines = [known?.deadline, holding?.deadline].filter((one) => one !== undefined && one !== null);
    held.set(key, {
      as,
      name,
      count: (known?.count ?? 0) + 1,
      since: Math.min(known?.since ?? Infinity, holder.since),
      deadline: deadlines.length > 0 ? Math.min(...deadlines) : null,
    });
  }
  return [...held.values()].sort((a, b) => a.since - b.since);
}

/** Whether anything was measured, run or taken at a visit. */
export const isBegun = ({ level, purge, runs, unknownRuns, tests, bottles }: VisitState): boolean =>
  (level !== null && (level.readings.length > 0 || level.leftOut !== null)) ||
  (purge?.setUp ?? null) !== null ||
  runs.length + unknownRuns.length + tests.length > 0 ||
  bottles.some(({ filledAt }) => filledAt !== null);

/** A round in short, for the first page and the list of rounds. */
export function overview(round: RoundState): RoundOverview {
  const next = nextStep(round);
  const nameOf = (visit: string | null) => round.visits.find((candidate) => candidate.id === visit)?.name ?? null;
  const clocks = round.visits.flatMap((visit): VisitClock[] => {
    const [view, at] = [viewOf(visit), { visit: visit.id, pointName: visit.name }];
    return [
      ...runRoom.waiting!(view).map((clock) => ({ ...clock, ...at, room: 'tap' as const })),
      ...fieldTestsRoom.waiting!(view).map((clock) => ({ ...clock, ...at, room: 'fieldtests' as const, procedure: null })),
      ...purgeRoom.waiting!(view).map(({ code, ...clock }) => ({
        ...clock,
        ...at,
        room: 'purge' as const,
        procedure: null,
        say: sayNext({ code }),
      })),
    ];
  });
  const onBench = round.cultures.flatMap((culture): VisitClock[] => {
    if (isCounted(culture)) return [];
    const { name: method, least, most } = cultureMethod(culture.method);
    const pointName = culture.bottles.join(', ');
    return [{ room: 'culture', procedure: null, visit: null, say: `Count: ${method}`, from: culture.at, least, most, pointName }];
  });
  const waiting = custodyRoom.waiting!(round).map((one) => ({ ...one, pointName: nameOf(one.visit) ?? '' }));
  const { name, code, date, zone, system } = round.plan;
  return {
    name,
    code,
    date,
    zone,
    system,
    next,
    isBegun: round.visits.some(isBegun),
    nextPoint: nameOf(next?.visit ?? null),
    clocks: [...clocks, ...onBench],
    points: round.visits.map((visit) => ({ name: visit.name, type: visit.point.type })),
    stages: round.bottles.filter((bottle) => !bottle.lost).map((bottle) => bottle.stage),
    held: heldBottles(round),
    waiting: waiting.sort((a, b) => a.deadline - b.deadline),
    followUps: round.followUps.filter((action) => !action.done),
    expected: resultsExpected(round),
  };
}
