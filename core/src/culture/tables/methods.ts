import type { TrayId } from '../../counts/index.ts';

/** A way to grow and count bacteria on one's own bench. Times in s, warmth in °C. */
export interface CultureRow {
  name: string;
  /** What is counted: wells of a set, or colonies on a filter through which so many mL went. */
  counts: { of: 'wells'; tray: TrayId } | { of: 'colonies'; usual: number; most: number };
  least: number;
  most: number;
  warmth: readonly [least: number, most: number];
  /** How a positive and E. coli are told. */
  tells: string;
  source: string;
}

const hour = 3600;
const enzyme = {
  least: 24 * hour,
  most: 28 * hour,
  warmth: [34.5, 35.5],
  tells: 'Coloured against the comparator: coliforms. Of those, what shines under the lamp of 365 nm: E. coli. Never look into the lamp.',
  source: 'Enzyme substrate, Standard Methods 9223 B (from memory); the maker’s times come first',
} as const;

export const cultureMethods = {
  'wells-51': { ...enzyme, name: 'Enzyme substrate, 51 wells', counts: { of: 'wells', tray: 'wells-51' } },
  'tubes-10': { ...enzyme, name: 'Enzyme substrate, 10 tubes', counts: { of: 'wells', tray: 'tubes-10' } },
  'tubes-5': { ...enzyme, name: 'Enzyme substrate, 5 tubes of three volumes', counts: { of: 'wells', tray: 'tubes-5' } },
  bottle: { ...enzyme, name: 'Enzyme substrate, one bottle: found or not', counts: { of: 'wells', tray: 'bottle-1' } },
  membrane: {
    name: 'Membrane filter on agar',
    // More than a hundred on one filter grow into each other.
    counts: { of: 'colonies', usual: 100, most: 100 },
    least: 18 * hour,
    most: 24 * hour,
    warmth: [34, 38],
    tells: 'Pink to red: coliforms. Dark blue to violet: E. coli. Count each colony once, E. coli among the coliforms.',
    source: 'ISO 9308-1:2014: 21 ± 3 h at 36 ± 2 °C, up to 100 colonies (from memory)',
  },
} as const satisfies Record<string, CultureRow>;
