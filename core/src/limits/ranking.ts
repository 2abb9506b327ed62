import type { LabResult } from '../read/index.ts';
import { parameter, parameterIds } from '../parameters/index.ts';
import type { Verdict } from './judge.ts';

export interface JudgedResult {
  result: LabResult;
  verdict: Verdict;
}

const stateOrder = { 'over-health': 0, 'cannot-tell': 1, 'over-indicator': 2, meets: 3, 'no-value': 4 } as const;

/**
 * The order in which a report is read: bacteria first, whatever they say; then what is over a health value, what
 * cannot be told, what is over an indicator value, what is close, the rest. Source: common practice.
 */
export function inReadingOrder<J extends JudgedResult>(judged: readonly J[]): J[] {
  const germ = ({ result }: J) => (parameter(result.parameter).unit === 'per100mL' ? 0 : 1);
  const state = ({ verdict }: J) => stateOrder[verdict.state] - (verdict.close ? 0.5 : 0);
  const place = ({ result }: J) => parameterIds.indexOf(result.parameter);
  return [...judged].sort(
    (a, b) => germ(a) - germ(b) || state(a) - state(b) || (b.verdict.share ?? 0) - (a.verdict.share ?? 0) || place(a) - place(b),
  );
}
