import type { AnalysisId } from '../../bottles/index.ts';

/** How many routine samples a published rule asks for, by the size of the supply. */
export interface CountRule {
  name: string;
  /** What the size is measured in. */
  size: string;
  per: 'month' | 'year';
  /** Up to this size the text leaves the number to the authority. */
  leftUpTo?: number;
  /** The most of the size for which so many are asked for. */
  rows: readonly (readonly [most: number, count: number])[];
  /** For more than the last of the rows: up to a size, the count of the first `over` of it, and `count` for `each` further part begun. */
  steps?: readonly { upTo: number; over: number; base: number; each: number; count: number }[];
  /** What is looked for in each of the samples. */
  analyses?: readonly AnalysisId[];
  note?: string;
  source: string;
}

const annexII = 'Directive (EU) 2020/2184, Annex II, Part B, table 1 (from memory)';

export const countRules = {
  'us-coliform': {
    name: 'United States, total coliforms',
    size: 'people served',
    per: 'month',
    rows: [
      [1000, 1],
      [2500, 2],
      [3300, 3],
      [4100, 4],
      [4900, 5],
      [5800, 6],
      [6700, 7],
      [7600, 8],
      [8500, 9],
      [12_900, 10],
      [17_200, 15],
      [21_500, 20],
      [25_000, 25],
      [33_000, 30],
      [41_000, 40],
      [50_000, 50],
      [59_000, 60],
      [70_000, 70],
      [83_000, 80],
      [96_000, 90],
      [130_000, 100],
      [220_000, 120],
      [320_000, 150],
      [450_000, 180],
      [600_000, 210],
      [780_000, 240],
      [970_000, 270],
      [1_230_000, 300],
      [1_520_000, 330],
      [1_850_000, 360],
      [2_270_000, 390],
      [3_020_000, 420],
      [3_960_000, 450],
      [Infinity, 480],
    ],
    source: '40 CFR 141.857(b)',
  },
  'eu-group-a': {
    name: 'European Union, group A',
    size: 'm³ a day distributed',
    per: 'year',
    leftUpTo: 10,
    rows: [
      [100, 2],
      [1000, 4],
    ],
    steps: [{ upTo: Infinity, over: 1000, base: 4, each: 1000, count: 3 }],
    analyses: ['coliforms', 'enterococci', 'plate', 'turbidity', 'colour', 'general'],
    note: 'Also ammonium and nitrite where chloramine is used, and aluminium or iron where they are used in treatment.',
    source: annexII,
  },
  'eu-group-b': {
    name: 'European Union, group B',
    size: 'm³ a day distributed',
    per: 'year',
    leftUpTo: 10,
    rows: [[1000, 1]],
    steps: [
      { upTo: 10_000, over: 1000, base: 1, each: 4500, count: 1 },
      { upTo: 100_000, over: 10_000, base: 3, each: 10_000, count: 1 },
      { upTo: Infinity, over: 100_000, base: 12, each: 25_000, count: 1 },
    ],
    analyses: [
      ...(['nutrients', 'nitratePreserved', 'anions', 'fluoride', 'totalMetals', 'mercury', 'cyanide', 'volatiles', 'pesticides'] as const),
      ...(['polycyclic', 'trihalomethanes', 'haloacetic', 'oxyhalides', 'pfas533', 'lead', 'carbon'] as const),
    ],
    note: 'Ask the lab for bottles for bisphenol A and microcystin-LR. Acrylamide and epichlorohydrin go by the makers’ papers; radioactivity and Legionella have programmes of their own. The authority may leave out what is not likely to be found.',
    source: annexII,
  },
} as const satisfies Record<string, CountRule>;
