import { isClosed, type RoundState } from '@fonte/core/round';
import type { RoundRow, VisitRow } from '../store/index.ts';

export function planRows(book: string, round: RoundState): RoundRow[] {
  const { code, name, date, system } = round.plan;
  return [{ id: book, book, code, name, date, system, closed: isClosed(round) ? 1 : 0 }];
}

export function visitRows(book: string, round: RoundState): VisitRow[] {
  return round.visits.map((visit) => ({
    id: visit.id,
    book,
    point: visit.point.id,
    analyses: visit.analyses.join(' '),
    sample: visit.sample,
  }));
}
