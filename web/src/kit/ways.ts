import { isForHome } from '@fonte/core/kit';
import type { VisitState } from '@fonte/core/round';
import type { DueRun, Protocol } from '@fonte/core/tap';

/** The ways of a procedure that a household can walk. */
export const waysAtHome = ({ ways, run }: DueRun): readonly Protocol[] => (run ? [run.protocol] : ways.filter(isForHome));

/** Why a visit cannot be given to a household; null where it can. */
export function notForHome(visit: VisitState): string | null {
  if (visit.point.type !== 'tap') return 'A household takes samples at a tap.';
  if (visit.bottles.length === 0) return 'Choose what it is tested for first.';
  const hard = visit.due.find((one) => waysAtHome(one).length === 0);
  return hard ? `“${hard.title}” takes instruments or practice that a household does not have.` : null;
}

/** The protocol of a procedure that a kit was given for; null where nobody said which. */
export const wayOf = (due: DueRun, ways: Readonly<Record<string, string>>): Protocol | null =>
  due.run?.protocol ?? waysAtHome(due).find(({ id }) => id === ways[due.procedure]) ?? null;
