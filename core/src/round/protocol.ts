import { rulesFor, type RuleId } from '../bottles/index.ts';
import { protocolFor, type Protocol } from '../tap/index.ts';
import type { VisitState } from './fold.ts';

/** The protocol that takes the samples of a visit; null at a well, or where no chosen analysis has one. */
export function protocolOf(visit: Pick<VisitState, 'run' | 'point' | 'analyses'>): Protocol | null {
  if (visit.run) return visit.run.protocol;
  return visit.point.type === 'tap' ? protocolFor(visit.analyses) : null;
}

/** Whether a bottle is filled at a step of the visit's protocol rather than freely. */
export function isFilledByProtocol(visit: Pick<VisitState, 'run' | 'point' | 'analyses'>, rule: RuleId): boolean {
  const protocol = protocolOf(visit);
  return protocol !== null && rulesFor([protocol.analysis]).includes(rule);
}
