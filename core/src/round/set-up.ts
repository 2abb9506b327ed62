import type { EarlierSetUp } from '../purge/index.ts';
import type { VisitState } from './visit.ts';

/** How a visit set its purge up, for whoever comes to this well next; null where it did not. */
export function setUpOf(round: string, { id, purge, level }: VisitState): EarlierSetUp | null {
  const setUp = purge?.setUp;
  return setUp ? { round, visit: id, at: setUp.at, mark: level?.agreed?.measuringPoint ?? null, chosen: setUp.chosen } : null;
}
