import type { LabResult } from '../read/index.ts';
import { isGerm, parameterIds } from '../parameters/index.ts';
import { verdictStates, type LimitSet, type Verdict } from './judge.ts';

export interface JudgedResult {
  result: LabResult;
  /** Against the set that leads. */
  verdict: Verdict;
  /** Against the other sets of the round. */
  others: readonly { set: LimitSet; verdict: Verdict }[];
}

/**
 * The order in which a report is read: bacteria first, whatever they say; then what is over a health value, what
 * cannot be told, what is over an indicator value, what is close, the rest. Source: common practice.
 */
export function inReadingOrder<J extends Pick<JudgedResult, 'result' | 'verdict'>>(judged: readonly J[]): J[] {
  const germ = ({ result }: J) => (isGerm(result.parameter) ? 0 : 1);
  const state = ({ verdict }: J) => verdictStates.indexOf(verdict.state) - (verdict.close ? 0.5 : 0);
  const place = ({ result }: J) => parameterIds.indexOf(result.parameter);
  return [...judged].sort(
    (a, b) => germ(a) - germ(b) || state(a) - state(b) || (b.verdict.share ?? 0) - (a.verdict.share ?? 0) || place(a) - place(b),
  );
}
