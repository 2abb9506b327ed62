/** So many coliform samples a month by the people served, up to so many of them. Source: 40 CFR 141.857(b), table (from memory). */
export const monthlyByPeople: readonly (readonly [people: number, samples: number])[] = [
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
];

/**
 * Samples a year by m³ distributed or produced a day: a first number, and one more for each so many m³/d, also for a part of them. Group A is
 * what is looked for often, group B everything else. Source: Directive (EU) 2020/2184, Annex II, Part B, table 1 (from memory).
 */
export interface YearlyRow {
  upTo: number;
  a: { first: number; perEach?: { cubicMetres: number; more: number } };
  b: { first: number; perEach?: { cubicMetres: number; more: number } };
}
export const yearlyByVolume: readonly YearlyRow[] = [
  { upTo: 100, a: { first: 2 }, b: { first: 1 } },
  { upTo: 1000, a: { first: 4 }, b: { first: 1 } },
  { upTo: 10_000, a: { first: 4, perEach: { cubicMetres: 1000, more: 3 } }, b: { first: 1, perEach: { cubicMetres: 4500, more: 1 } } },
  { upTo: 100_000, a: { first: 4, perEach: { cubicMetres: 1000, more: 3 } }, b: { first: 3, perEach: { cubicMetres: 10_000, more: 1 } } },
  { upTo: Infinity, a: { first: 4, perEach: { cubicMetres: 1000, more: 3 } }, b: { first: 12, perEach: { cubicMetres: 25_000, more: 1 } } },
];

/** Under it (m³/d) the state says itself how often. The same, note 4. */
export const leastVolume = 10;
