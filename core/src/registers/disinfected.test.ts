import { expect, it } from 'vitest';
import { tapPoint } from '../../test/script.ts';
import { protocolsFor, stepsFor, stopsOf } from '../tap/index.ts';
import { isDisinfected, residualLeast, type TapPoint, isDrunk } from './index.ts';

const at = (more: Partial<TapPoint>): TapPoint => ({ ...tapPoint, tap: { outlet: 'Spout', residualMinimum: 0.2 }, ...more });

it('says once whether water is disinfected: as it was said, and never by a residual that nobody thought of', () => {
  // Points as the form registered them, with the residual that it proposed.
  const raw: Partial<TapPoint>[] = [
    { kind: 'raw-tap' },
    { kind: 'hand-pump' },
    { kind: 'spring' },
    { kind: 'outside-tap', water: 'private' },
    { kind: 'raw-tap', water: 'raw' },
    { kind: 'house-tap', disinfection: 'none' },
  ];
  for (const more of raw) {
    const point = at(more);
    expect([isDisinfected(point), residualLeast(point)], JSON.stringify(more)).toEqual([false, null]);
    const measures = protocolsFor(['coliforms'], point)
      .flatMap((protocol) => stepsFor(protocol, point))
      .filter(({ act }) => act.type === 'measure' && act.parameter === 'freeChlorine');
    // None of them is told that a residual is missing.
    for (const step of measures)
      expect(stopsOf(step, { type: 'measure', reading: { text: '0.00', unit: 'mg/L' } }, point, new Map()), step.id).toEqual([]);
  }
  expect([isDisinfected(at({})), residualLeast(at({}))]).toEqual([true, 0.2]);
  expect(isDisinfected(at({ kind: 'raw-tap', disinfection: 'temporary' }))).toBe(true);
  expect(isDisinfected(at({ water: 'private', disinfection: 'free-chlorine' }))).toBe(true);
});

it('knows water that people drink by its use, whatever the point is registered for', () => {
  const drunk = (more: Partial<Pick<TapPoint, 'kind' | 'use' | 'water'>>) =>
    isDrunk({ kind: 'monitoring-well' as TapPoint['kind'], use: 'monitoring', ...more } as TapPoint);
  expect(drunk({})).toBe(false);
  expect(drunk({ use: 'supply' })).toBe(true);
  expect(drunk({ water: 'private' })).toBe(true);
  expect(drunk({ water: 'treated' })).toBe(true);
  expect(drunk({ water: 'raw' })).toBe(false);
  expect(drunk({ kind: 'private-well' as TapPoint['kind'] })).toBe(true);
  for (const water of ['irrigation', 'stock'] as const) expect(drunk({ water, use: 'supply' }), water).toBe(false);
});
