/** How much water spoils the soil for taking it in, by sodium (SAR) and salt (dS/m) together. */
export interface InfiltrationRow {
  /** SAR up to this. */
  upTo: number;
  /** Over this conductivity nothing is to be feared; under the other one much. */
  noneOver: number;
  severeUnder: number;
}

/** FAO Irrigation and Drainage Paper 29 rev. 1, Table 1, infiltration (from memory). */
export const infiltration: readonly InfiltrationRow[] = [
  { upTo: 3, noneOver: 0.7, severeUnder: 0.2 },
  { upTo: 6, noneOver: 1.2, severeUnder: 0.3 },
  { upTo: 12, noneOver: 1.9, severeUnder: 0.5 },
  { upTo: 20, noneOver: 2.9, severeUnder: 1.3 },
  { upTo: 40, noneOver: 5, severeUnder: 2.9 },
];

/** Crops by the boron (mg/L) that they bear in the water of the soil. The same paper, Table 16, after Maas (1984) (from memory). */
export const boronTolerance: readonly { most: number; name: string; crops: string }[] = [
  { most: 0.5, name: 'very sensitive', crops: 'lemon, blackberry' },
  { most: 0.75, name: 'sensitive', crops: 'avocado, orange, apricot, peach, cherry, plum, grape, walnut, onion' },
  { most: 1, name: 'less sensitive', crops: 'garlic, sweet potato, wheat, sunflower, strawberry, beans' },
  { most: 2, name: 'moderately sensitive', crops: 'red pepper, pea, carrot, radish, potato, cucumber' },
  { most: 4, name: 'moderately tolerant', crops: 'lettuce, cabbage, celery, turnip, oats, maize, artichoke, clover, squash, melon' },
  { most: 6, name: 'tolerant', crops: 'sorghum, tomato, alfalfa, parsley, beet' },
  { most: 15, name: 'very tolerant', crops: 'cotton, asparagus' },
];

/** What animals bear, by kind: conductivity in dS/m and magnesium in mg/L. The same paper, Tables 28 and 29 (from memory). */
export const animals: readonly { name: string; conductivity: number; magnesium: number }[] = [
  { name: 'Poultry', conductivity: 5, magnesium: 250 },
  { name: 'Pigs', conductivity: 8, magnesium: 250 },
  { name: 'Horses', conductivity: 8, magnesium: 250 },
  { name: 'Cows in milk, ewes with lambs', conductivity: 8, magnesium: 250 },
  { name: 'Beef cattle', conductivity: 11, magnesium: 400 },
  { name: 'Adult sheep on dry feed', conductivity: 11, magnesium: 500 },
];
