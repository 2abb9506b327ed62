import { distance, type HazardId, type Point } from '../registers/index.ts';
import { fault, type FoundFault } from '../arrive/index.ts';
import { minute } from '../time/index.ts';
import type { RoundState } from './fold.ts';
import type { VisitState } from './visit.ts';

/** What was seen of a building holds so long (ms) for the next tap in it. Common practice. */
const stillSeen = 60 * minute;

/** Points of no named building are in one where no more than this, in m, lies between them. */
const oneHouse = 40;

function isBeside(one: Point, other: Point): boolean {
  if (one.building !== undefined || other.building !== undefined) return one.building === other.building && one.place === other.place;
  return one.position !== undefined && other.position !== undefined && distance(one.position, other.position) <= oneHouse;
}

const besides = ({ visits }: Pick<RoundState, 'visits'>, visit: VisitState): VisitState[] =>
  visits.filter((one) => one.id !== visit.id && isBeside(one.point, visit.point));

/** What is the tap's own, and has to be checked at each. */
const isOfTheTap = (found: FoundFault): boolean =>
  fault(found.fault).group === 'The outlet' || found.fault === 'treatment-sink' || found.fault === 'treatment-tap';

/** A look round at another point of the same building. */
export interface LookBeside {
  name: string;
  at: number;
  hazards: readonly HazardId[];
  permit: string | null;
}

/** The last look round beside a visit that still holds at a moment (ms) and after which somebody stayed; null where there is none. */
export function lookBeside(round: Pick<RoundState, 'visits'>, visit: VisitState, now: number): LookBeside | null {
  const looks = besides(round, visit).flatMap(({ name, arrival: { risk } }) =>
    risk && risk.at <= now && now - risk.at <= stillSeen ? [{ name, ...risk }] : [],
  );
  const [last] = looks.sort((a, b) => b.at - a.at);
  // Where somebody has just left for danger, nothing from before that is offered.
  return last && !last.left ? { name: last.name, at: last.at, hazards: last.hazards, permit: last.permit } : null;
}

/** What was found beside a visit of the whole building, its water and its weather, and still holds at a moment (ms); null where nobody looked. */
export function foundBeside(
  round: Pick<RoundState, 'visits'>,
  visit: VisitState,
  now: number,
): { name: string; at: number; found: FoundFault[] } | null {
  const looks = besides(round, visit).flatMap(({ name, arrival: { fitness } }) =>
    fitness && fitness.at <= now && now - fitness.at <= stillSeen
      ? [{ name, at: fitness.at, found: fitness.found.filter((one) => !isOfTheTap(one)) }]
      : [],
  );
  return looks.sort((a, b) => b.at - a.at)[0] ?? null;
}

/** A flush at another tap of the same building that waits to be started. */
export interface FlushBeside {
  visit: string;
  name: string;
  procedure: string;
  step: string;
}

/** The flushes beside a visit that wait to be started: all taps of a room run at once. Water that is to stand is none. */
export const flushesBeside = (round: Pick<RoundState, 'visits'>, visit: VisitState): FlushBeside[] =>
  besides(round, visit).flatMap(({ id, name, runs }) =>
    runs.flatMap(({ procedure, now }) =>
      now?.step.act.type === 'clock' && now.step.act.restart === undefined && now.clockFrom === null
        ? [{ visit: id, name, procedure, step: now.step.id }]
        : [],
    ),
  );
