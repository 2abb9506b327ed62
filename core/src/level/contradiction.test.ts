import { describe, expect, it } from 'vitest';
import { Script } from '../../test/script.ts';
import { pumpSwitched, purgeReading, purgeSetUp } from '../purge/index.ts';
import { fold } from '../round/index.ts';
import { againstRest } from './contradiction.ts';
import { levelRead, type WaterState } from './index.ts';

/** A well at rest at 7.40 m, whose pump is on. */
function pumped() {
  const script = new Script().plan();
  const level = (text: string, water: WaterState, more: object = {}, minutes = 1) =>
    script.atWell(levelRead, { measuringPoint: 'North rim', depth: { text, unit: 'm' }, water, ...more }, minutes);
  level('7.40', 'static');
  level('7.40', 'static');
  script.atWell(purgeSetUp, {
    method: 'volumes',
    insideDiameter: { text: '52', unit: 'mm' },
    volumes: 3,
    criterion: 'two-sets@2026-3',
    parameters: ['ph'],
  });
  script.atWell(pumpSwitched, { pump: 'on' });
  const state = () => fold(script.entries)!;
  return { script, level, state, well: () => state().visits[0]!, aside: () => state().aside.map(({ misfit }) => misfit.data?.['finding']) };
}

describe('what is said of the water', () => {
  it('does not make a level at rest while the pump of the visit is on, nor a drawdown of nothing', () => {
    const { script, level, well, aside } = pumped();
    script.atWell(purgeReading, {
      pumped: { text: '20', unit: 'L' },
      values: { ph: { text: '7.1', unit: 'pH' } },
      level: { text: '7.80', unit: 'm' },
    });
    for (const text of ['7.80', '7.80']) level(text, 'static');
    expect(aside()).toEqual(['pump-is-on', 'pump-is-on']);
    expect(well().level!.agreed).toMatchObject({ depth: 7.4 });
    for (const text of ['7.80', '7.80']) level(text, 'static', { kept: 'read at another pipe' });
    expect(well().level!.agreed).toMatchObject({ depth: 7.4 });
    expect(well().purge!.drawdown).toBeCloseTo(0.4, 9);
  });

  it('is asked about once the pump stopped, and never unmakes the level before it', () => {
    const { script, level, well, aside } = pumped();
    script.atWell(pumpSwitched, { pump: 'off' });
    level('7.60', 'static');
    expect(aside()).toEqual(['pump-stopped']);
    level('7.60', 'pumped-lately');
    level('7.60', 'static', { kept: 'no change for ten minutes' });
    level('7.60', 'static', { kept: 'no change for ten minutes' });
    expect(well().level!.agreed).toMatchObject({ depth: 7.4 });
  });

  it('is asked about a minute after a level that was read while pumping, and not once the readings show that it came back', () => {
    const script = new Script().plan();
    const level = (text: string, water: WaterState, minutes = 1) =>
      script.atWell(levelRead, { measuringPoint: 'North rim', depth: { text, unit: 'm' }, water }, minutes);
    level('8.20', 'pumping');
    level('8.20', 'static');
    const aside = () => fold(script.entries)!.aside.map(({ misfit }) => misfit.data?.['finding']);
    expect(aside()).toEqual(['was-pumped']);
    level('7.4000', 'pumped-lately');
    level('7.4004', 'pumped-lately', 2);
    level('7.40', 'static');
    level('7.40', 'static');
    expect(aside()).toEqual(['was-pumped']);
    expect(fold(script.entries)!.visits[0]!.level!.agreed).toMatchObject({ depth: 7.4, water: 'static' });
  });
});

// Two readings at rest of one visit that are five centimetres apart are two levels. Common practice.
it.each([
  [7.449, 'same'],
  [7.453, 'contradicts'],
])('a level at rest of %d m beside one of 7.40 m is %s', (depth, is) => {
  const at = (moment: number, read: number) => ({ at: moment, depth: read, measuringPoint: 'North rim' });
  expect(againstRest(at(0, 7.4), at(60_000, depth), { readings: [], pump: null })).toBe(is);
});

it('what a steel tape says and what is written down agree to six tenths of a millimetre', () => {
  const read = (text: string) =>
    levelRead.payload.safeParse({
      measuringPoint: 'North rim',
      depth: { text, unit: 'm' },
      by: { tool: 'steel', hold: { text: '40', unit: 'm' }, cut: { text: '3.27', unit: 'm' } },
      water: 'static',
    });
  expect(read('36.7305').success).toBe(true);
  expect(read('36.73063').success).toBe(false);
});
