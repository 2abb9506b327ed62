import type { ParameterId } from '../parameters/index.ts';
import { isReported, openResults, openRows, type ReadBook, type Standing } from '../read/index.ts';
import { handSamples, isAtLab, onePerSample } from './by-hand.ts';
import type { VisitState } from './visit.ts';

/** A bottle of which not all that was asked for is reported. */
export interface OpenBottle {
  bottle: string;
  visit: string;
  pointName: string;
  parameters: ParameterId[];
}

/** What a verdict does not know yet. */
export interface VerdictGaps {
  pending: OpenBottle[];
  /** Rows of its reports that nobody understood. */
  rows: number;
  /** Results that will not come, by what somebody said. */
  without: number;
  /** Of the results that were asked for, how many are there. */
  reported: number;
  asked: number;
  /** Samples that nobody compared by hand yet. */
  byHand: number;
  /** Bottles that their lab rejected or nobody found: they have no result. */
  lost: { bottle: string; how: 'refused' | 'missing' }[];
}

/** What was asked for and is not reported. Bottles that never came to the lab wait elsewhere. */
export function gapsOf(visits: readonly VisitState[], book: ReadBook, standing: readonly Standing[]): VerdictGaps {
  const bottles = visits.flatMap((visit) => onePerSample(visit.bottles.filter(isAtLab)).map((bottle) => ({ visit, bottle })));
  const pending = bottles.flatMap(({ visit, bottle }): OpenBottle[] => {
    const parameters = openResults(bottle, book, standing);
    return parameters.length > 0 ? [{ bottle: bottle.id, visit: visit.id, pointName: visit.name, parameters }] : [];
  });
  const open = pending.reduce((sum, one) => sum + one.parameters.length, 0);
  const without = book.without
    .filter(({ bottle }) => bottles.some((one) => one.bottle.vials.includes(bottle)))
    .reduce((sum, one) => sum + one.parameters.length, 0);
  const reported = bottles.reduce((sum, { bottle: { vials, card } }) => {
    const there = new Set(
      standing.filter((one) => isReported(one) && vials.includes(one.result.bottle)).map(({ result }) => result.parameter),
    );
    return sum + card.parameters.filter((id) => there.has(id)).length;
  }, 0);
  const rows = book.reports.reduce((sum, report) => sum + openRows(report), 0);
  const byHand = handSamples(visits, book).filter(({ given }) => !given).length;
  const lost = visits.flatMap((visit) =>
    visit.bottles.flatMap(({ id, lost: gone }) =>
      gone?.how === 'refused' || gone?.how === 'missing' ? [{ bottle: id, how: gone.how }] : [],
    ),
  );
  return { pending, rows, without, asked: reported + open + without, reported, byHand, lost };
}
