import type { RoundState } from '@fonte/core/round';
import type { BottleRow } from '../store/index.ts';

export function fillRows(book: string, round: RoundState): BottleRow[] {
  return round.bottles.map(({ id, visit, rule, stage, lost, filledAt, holding }) => ({
    id,
    book,
    visit,
    rule,
    stage,
    lost: lost?.how ?? null,
    filledAt,
    deadline: holding?.deadline ?? null,
  }));
}
