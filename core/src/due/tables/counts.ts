/** How many routine samples a published rule asks for, by the size of the supply. */
export interface CountRule {
  name: string;
  /** What the size is measured in. */
  size: string;
  per: 'month' | 'year';
  /** The most of the size for which so many are asked for; for more than the last one the last count and `more` for each further step. */
  rows: readonly (readonly [most: number, count: number])[];
  more?: { each: number; count: number };
  source: string;
}

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
    rows: [
      [100, 2],
      [1000, 4],
    ],
    more: { each: 1000, count: 3 },
    source: 'Directive (EU) 2020/2184, Annex II, Part B, table 1 (from memory)',
  },
} as const satisfies Record<string, CountRule>;
