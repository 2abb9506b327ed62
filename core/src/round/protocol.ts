import { rulesFor, type AnalysisId, type BottleTable, type RuleId } from '../bottles/index.ts';
import type { Point } from '../registers/index.ts';
import { protocolFor, type Protocol, type RunState } from '../tap/index.ts';

interface Sampled {
  run: RunState | null;
  point: Point;
  analyses: readonly AnalysisId[];
}

/** The protocol that takes the samples of a visit; null at a well, or where no chosen analysis has one. */
export function protocolOf(visit: Sampled): Protocol | null {
  if (visit.run) return visit.run.protocol;
  return visit.point.type === 'tap' ? protocolFor(visit.analyses) : null;
}

/** Whether a bottle is filled at a step of the visit's protocol rather than freely. */
export function isFilledByProtocol(visit: Sampled & { table: BottleTable | null }, rule: RuleId): boolean {
  const protocol = protocolOf(visit);
  return protocol !== null && visit.table !== null && rulesFor(visit.table, [protocol.analysis]).includes(rule);
}
