import { measuredOf } from '@fonte/core/read';
import { ofPoint, type RoundState } from '@fonte/core/round';
import type { ResultRow } from './tables.ts';

export function resultRows(book: string, round: RoundState): ResultRow[] {
  return (round.verdict?.visits ?? []).flatMap((visit) => {
    const point = round.visits.find((candidate) => candidate.id === visit.visit)!.point.id;
    return ofPoint(visit.judged).map(({ result, verdict, report, bench, sample }) => ({
      book,
      id: `${measuredOf(result).replaceAll(' ', ':')}${report === null && bench === undefined ? ':told' : ''}`,
      point,
      bottle: result.bottle,
      parameter: result.parameter,
      form: result.form,
      value: result.value,
      reporting: result.reportingLimit,
      verdict: verdict.state,
      sample,
    }));
  });
}
