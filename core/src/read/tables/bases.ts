/** How a result is expressed: as nitrogen or as the ion; at 20 or at 25 °C. */
export type Basis = 'N' | 'ion' | '20' | '25';

/** What has to be asked about a result that is expressed in several ways, and under which key of a mapping the answer stands. */
export const basisQuestions = [
  { ways: ['N', 'ion'], code: 'nitrogen-as', key: 'nitrogenAs' },
  { ways: ['20', '25'], code: 'conductivity-at', key: 'conductivityAt' },
] as const satisfies readonly { ways: readonly Basis[]; code: string; key: string }[];
