import { inOurHands, isClosed, overview, type RoundState, type VisitState } from '@fonte/core/round';
import type { AgendaRow, RoundRow, VisitRow } from './tables.ts';

export function roundRows(book: string, round: RoundState): RoundRow[] {
  const { code, name, date, system } = round.plan;
  return [{ book, id: book, code, name, date, system, closed: isClosed(round) ? 1 : 0, overview: JSON.stringify(overview(round)) }];
}

/** What the first page shows of all rounds at once: clocks that run, bottles that wait, actions that are due. */
export function agendaRows(book: string, round: RoundState): AgendaRow[] {
  const short = overview(round);
  const { clocks, followUps, expected } = short;
  return [
    ...clocks.map((clock): AgendaRow => ({
      book,
      id: `clock ${clock.visit} ${clock.procedure}`,
      what: 'clock',
      at: clock.from,
      data: JSON.stringify(clock),
    })),
    ...inOurHands(short).map((one): AgendaRow => ({
      book,
      id: `bottle ${one.bottle}`,
      what: 'bottle',
      at: one.deadline,
      data: JSON.stringify(one),
    })),
    ...followUps.map((one): AgendaRow => ({ book, id: `action ${one.id}`, what: 'action', at: one.due, data: JSON.stringify(one) })),
    ...expected.map((one): AgendaRow => ({
      book,
      id: `result ${one.bottles[0]!.bottle}`,
      what: 'result',
      at: one.from,
      data: JSON.stringify(one),
    })),
  ];
}

export function visitRows(book: string, visit: VisitState): VisitRow[] {
  return [{ book, id: visit.id, point: visit.point.id, analyses: visit.analyses.join(' '), sample: visit.sample }];
}
