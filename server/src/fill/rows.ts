import type { VisitState } from '@fonte/core/round';
import type { BottleRow } from './tables.ts';

export function fillRows(book: string, visit: VisitState): BottleRow[] {
  return visit.bottles.map(({ id, rule, stage, lost, filledAt, holding }) => ({
    book,
    id,
    visit: visit.id,
    rule,
    stage,
    lost: lost?.how ?? null,
    filled: filledAt,
    deadline: holding?.deadline ?? null,
  }));
}
