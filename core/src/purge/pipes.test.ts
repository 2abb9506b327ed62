import { expect, it } from 'vitest';
import { insideDiameter, pipe, pipeIds, type PipeId } from './pipes.ts';

/*
 * Outside and inside diameters as charts of pipes print them: schedule 40 and 80 in inches (ASTM D1785, ANSI B36.10), metric casing in mm
 * (DIN 4925-1). Typed from memory, both columns, not computed from walls.
 */
const charts: Record<PipeId, [outside: number, inside: number, unit: number]> = {
  's40-1': [1.315, 1.049, 25.4],
  's40-1.25': [1.66, 1.38, 25.4],
  's40-1.5': [1.9, 1.61, 25.4],
  's40-2': [2.375, 2.067, 25.4],
  's40-3': [3.5, 3.068, 25.4],
  's40-4': [4.5, 4.026, 25.4],
  's40-6': [6.625, 6.065, 25.4],
  's40-8': [8.625, 7.981, 25.4],
  's80-2': [2.375, 1.939, 25.4],
  's80-4': [4.5, 3.826, 25.4],
  dn50: [60, 52, 1],
  dn100: [113, 103, 1],
  dn125: [140, 127, 1],
  dn150: [165, 150, 1],
};

it.each(pipeIds)('%s is as wide outside and inside as charts say', (id) => {
  const [outside, inside, unit] = charts[id];
  expect(pipe(id).outside).toBeCloseTo(outside * unit, 2);
  expect(insideDiameter(id) * 1000).toBeCloseTo(inside * unit, 1);
});
