import type { z } from 'zod';
import type { listRounds, RoundLine, Today } from './endpoints.ts';
import type { RoundState } from './fold.ts';
import type { BottleInCooler, RoundOverview } from './lines.ts';
import { isClosed } from './next.ts';
import { overview } from './overview.ts';

/** So many of each sort stand on the first page; the rest is counted. */
export const listedToday = 20;

/** A round in a list of rounds. */
export function roundLine(id: string, round: RoundState): RoundLine {
  const { code, name, date } = round.plan;
  return { id, code, name, date, closed: isClosed(round), overview: overview(round) };
}

const byDay = (a: RoundLine, b: RoundLine) => (a.date === b.date ? (a.code < b.code ? 1 : -1) : a.date < b.date ? 1 : -1);

/** A page of the list of rounds, newest first, as the server gives it from its tables. */
export function roundsIn(lines: readonly RoundLine[], { state, after, limit }: z.output<(typeof listRounds)['query']>): RoundLine[] {
  const [date = '', code = ''] = after?.split(' ') ?? [];
  return lines
    .filter((line) => state === 'all' || line.closed === (state === 'closed'))
    .filter((line) => !after || line.date < date || (line.date === date && line.code < code))
    .sort(byDay)
    .slice(0, limit);
}

/**
 * Rounds in the order in which a day asks for them: those of today, those of days before that are not done, the newest first, and those to
 * come, the soonest first.
 * @param day today, `YYYY-MM-DD`
 */
export function inWorkOrder(lines: readonly RoundLine[], day: string): RoundLine[] {
  const rank = ({ date }: RoundLine) => (date === day ? 0 : date < day ? 1 : 2);
  const by = (a: RoundLine, b: RoundLine) => {
    if (a.date === b.date) return a.code < b.code ? -1 : 1;
    return rank(a) === 1 ? (a.date < b.date ? 1 : -1) : a.date < b.date ? -1 : 1;
  };
  return [...lines].sort((a, b) => rank(a) - rank(b) || by(a, b));
}

/** Bottles in a cooler: with those who took them or with a colleague. What a courier, a household or a locked place has stands in `held`. */
export const inOurHands = ({ waiting }: Pick<RoundOverview, 'waiting'>): BottleInCooler[] =>
  waiting.filter(({ holder }) => holder === null || holder.as === 'person');

/** What the first page shows of all rounds at once, from the rounds themselves; `day` is today by the site's clock, `YYYY-MM-DD`. */
export function todayOf(lines: readonly RoundLine[], day: string): Today {
  const agenda = <T>(items: (line: RoundLine) => readonly T[], at: (item: T) => number) => {
    const all = lines.flatMap((line) => items(line).map((item) => ({ round: line.id, item }))).sort((a, b) => at(a.item) - at(b.item));
    return { count: all.length, first: all.slice(0, listedToday) };
  };
  return {
    rounds: inWorkOrder(
      lines.filter(({ closed }) => !closed),
      day,
    ).slice(0, listedToday),
    clocks: agenda(
      ({ overview: { clocks } }) => clocks,
      ({ from }) => from,
    ),
    bottles: agenda(
      ({ overview }) => inOurHands(overview),
      ({ deadline }) => deadline,
    ),
    actions: agenda(
      ({ overview: { followUps } }) => followUps,
      ({ due }) => due,
    ),
    results: agenda(
      ({ overview: { expected } }) => expected,
      ({ from }) => from,
    ),
  };
}
