/**
 * A judgement of the field's own about what was measured or done: data, never an exception.
 * `note` informs, `question` wants a second look and a reason, `stop` will be refused further along.
 */
export interface Finding {
  code: string;
  severity: 'note' | 'question' | 'stop';
  message: string;
  /** What to do about it, in the imperative. */
  advice?: string;
  /** The field, bottle or step it concerns. */
  about?: string;
  source?: string;
}

const rank = { stop: 0, question: 1, note: 2 };

/** The findings with the gravest first; the order within a severity is kept. */
export function gravestFirst(findings: readonly Finding[]): Finding[] {
  return [...findings].sort((a, b) => rank[a.severity] - rank[b.severity]);
}

/** Whether any finding would be refused further along. */
export function hasStop(findings: readonly Finding[]): boolean {
  return findings.some((finding) => finding.severity === 'stop');
}
