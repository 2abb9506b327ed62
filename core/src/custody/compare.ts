import type { HandOver } from './custody.ts';

/** What was foretold of a bottle, beside what its lab said of it. */
export interface Compared {
  bottle: string;
  accepted: boolean;
  reason: string | null;
  /** The codes of what was foretold. */
  foretold: readonly string[];
  /** `missed`: refused, and nobody had foretold it. `false-alarm`: foretold, and taken all the same. */
  as: 'foretold' | 'missed' | 'false-alarm' | 'as-expected';
}

/** That a sample is spoilt is ours to know: a lab takes it. */
const isOurs = (code: string) => code === 'sample-spoilt';

/** A hand-over's answer beside what was foretold; empty while there is none. */
export function comparedWith({ form, answer }: Pick<HandOver, 'form' | 'answer'>): Compared[] {
  return (answer?.bottles ?? []).map(({ bottle, accepted, reason }) => {
    const foretold = form.foretold.filter((one) => one.bottle === bottle && !isOurs(one.code)).map(({ code }) => code);
    const isForetold = foretold.length > 0;
    const as = accepted ? (isForetold ? 'false-alarm' : 'as-expected') : isForetold ? 'foretold' : 'missed';
    return { bottle, accepted, reason: reason ?? null, foretold, as };
  });
}
