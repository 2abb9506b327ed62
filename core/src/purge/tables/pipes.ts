/**
 * Pipes that wells are cased with, outside diameter and wall in mm. Schedule 40 and 80: ASTM D1785 dimensions (inches
 * × 25.4). Metric well casing: DIN 4925-1, from memory; measure where it matters.
 */
export interface PipeRow {
  name: string;
  outside: number;
  wall: number;
  source: string;
}

const inches = (name: string, outside: number, wall: number): PipeRow => ({
  name,
  outside: outside * 25.4,
  wall: wall * 25.4,
  source: 'ASTM D1785',
});
const metric = (name: string, outside: number, wall: number): PipeRow => ({ name, outside, wall, source: 'DIN 4925-1 (from memory)' });

export const pipes = {
  's40-1': inches('1 in schedule 40', 1.315, 0.133),
  's40-1.25': inches('1¼ in schedule 40', 1.66, 0.14),
  's40-1.5': inches('1½ in schedule 40', 1.9, 0.145),
  's40-2': inches('2 in schedule 40', 2.375, 0.154),
  's40-3': inches('3 in schedule 40', 3.5, 0.216),
  's40-4': inches('4 in schedule 40', 4.5, 0.237),
  's40-6': inches('6 in schedule 40', 6.625, 0.28),
  's40-8': inches('8 in schedule 40', 8.625, 0.322),
  's80-2': inches('2 in schedule 80', 2.375, 0.218),
  's80-4': inches('4 in schedule 80', 4.5, 0.337),
  dn50: metric('DN 50 well casing', 60, 4),
  dn100: metric('DN 100 well casing', 113, 5),
  dn125: metric('DN 125 well casing', 140, 6.5),
  dn150: metric('DN 150 well casing', 165, 7.5),
} as const satisfies Record<string, PipeRow>;
