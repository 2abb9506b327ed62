/** What the words of a code need: numbers in base units unless the words say otherwise. */
export type Data = Readonly<Record<string, string | number>>;

/** Something to be said: a code, the path of the field it concerns, and what its words need. No logic reads a sentence. */
export interface Coded {
  code: string;
  field?: string;
  data?: Data;
}

export type Phrase = string | ((data: Data) => string);

/** What a room says for its codes. */
export type Words = Readonly<Record<string, Phrase>>;

/** A code in words; the code itself where nobody has words for it. */
export function say(words: Words, { code, data = {} }: Coded): string {
  const found = Object.hasOwn(words, code) ? words[code] : undefined;
  return typeof found === 'function' ? found(data) : (found ?? code);
}

/**
 * A judgement of the field's own about what was measured or done: data, never an exception.
 * `note` informs, `question` wants a second look and a reason, `stop` will be refused further along.
 */
export interface Finding extends Coded {
  severity: 'note' | 'question' | 'stop';
  source?: string;
}

/** What a room says for its findings, and what to do about each, in the imperative. */
export type FindingWords = Readonly<Record<string, readonly [says: Phrase, advice?: Phrase]>>;

/** A finding in words. */
export function sayFinding(words: FindingWords, { code, data = {} }: Coded): { says: string; advice: string | null } {
  const [says = code, advice = ''] = Object.hasOwn(words, code) ? words[code]! : [];
  const said = (phrase: Phrase) => (typeof phrase === 'function' ? phrase(data) : phrase);
  return { says: said(says), advice: said(advice) || null };
}

const rank = { stop: 0, question: 1, note: 2 };

/** The findings with the gravest first; the order within a severity is kept. */
export function gravestFirst<F extends Finding>(findings: readonly F[]): F[] {
  return [...findings].sort((a, b) => rank[a.severity] - rank[b.severity]);
}
