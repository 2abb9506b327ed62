import { rowOfLab, type RuleId } from '../bottles/index.ts';
import { hour } from '../time/index.ts';
import { otherReportAfter, usualReportAfter } from './tables/usual-report.ts';

/**
 * From when on the result of a bottle may be asked for that its lab received at a moment (ms): by what the lab says, else as is usual.
 * @example resultFrom('bacteria', Date.UTC(2026, 10, 23, 12), null) // Date.UTC(2026, 10, 25, 12)
 */
export function resultFrom(
  rule: RuleId,
  receivedAt: number,
  lab: { resultsAfter?: Partial<Record<RuleId, number>> | undefined } | null,
): number {
  const said = lab?.resultsAfter ?? {};
  const row = rowOfLab(rule, (one) => Object.hasOwn(said, one));
  const usual = rowOfLab(rule, (one) => Object.hasOwn(usualReportAfter, one));
  const hours = row ? said[row]! : usual ? usualReportAfter[usual]! : otherReportAfter;
  return receivedAt + hours * hour;
}
