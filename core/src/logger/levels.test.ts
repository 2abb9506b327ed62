import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { LevelOfRecord } from '../level/index.ts';
import { LoggerRecord, type Recording } from '../registers/index.ts';
import { hour, minute } from '../time/index.ts';
import { loggerLevels, readRecording, thinned, waterHead, type Recorded } from './index.ts';
import { plainRecording } from '../../test/recording.ts';

const id = '0190b5a0-0000-7000-8000-000000000001';
const hash = (letter: string) => letter.repeat(64);
const file: Recording = { ...plainRecording, unit: 'kPa' };
const record = (said: Record<string, unknown>): LoggerRecord =>
  LoggerRecord.parse({ id, name: 'L7', point: id, mark: 'Rim', shows: 'gauge', water: file, line: 'constant', ...said });

const read = (text: string, said: Partial<Recording> = {}, shows: 'gauge' | 'absolute' | 'air' | 'head' | 'depth' = 'gauge') => {
  const found = readRecording(text, { ...file, ...said }, shows);
  if ('refusal' in found) throw new Error(found.refusal.code);
  return found.recorded;
};
describe('levels of a logger', () => {
  const start = Date.parse('2026-03-01T00:00:00Z');
  const hourly = (values: readonly number[]): Recorded => ({
    times: Float64Array.from(values, (_, place) => start + place * hour),
    values: Float64Array.from(values),
    rows: values.length,
    unread: { count: 0, byCode: {}, first: [] },
    back: null,
  });
  const byHand = (hours: number, depth: number, mark = 'Rim'): LevelOfRecord => ({
    round: id,
    at: start + hours * hour,
    measuringPoint: mark,
    depth,
    elevation: null,
    water: 'static',
  });
  /** Weather of some days, in Pa. */
  const weather = Array.from({ length: 240 }, (_, i) => 101_325 + 900 * Math.sin(i / 17) + 350 * Math.sin(i / 5.3));
  /** Water that falls slowly, in m over a sensor that hangs 12 m below the mark. */
  const heads = Array.from({ length: 240 }, (_, i) => 4.5 - i * 0.001);
  const air = { ...file, sha256: hash('b') };
  const withAir = hourly(heads.map((head, i) => weather[i]! + head * 999.7 * 9.80665));

  it('turns pressure into water by the law of the hydrostatic, and shows its working', () => {
    // 1 m of water of 1000 kg/m³ under standard gravity is 9806.65 Pa: NIST SP 811 (2008), app. B.8.
    const one = waterHead({ pressure: 101_325 + 9806.65, air: 101_325, density: 1000 });
    expect(one.value).toBeCloseTo(1, 9);
    expect(one.working.steps.join(' ')).toContain('101325');
  });

  it('takes the weather out and holds the rest to a level by hand', () => {
    const found = loggerLevels(record({ shows: 'absolute', air }), withAir, hourly(weather), [byHand(24, 12 - heads[24]!)]);
    expect(found.depths).toHaveLength(240);
    for (const [place, depth] of found.depths.entries()) expect(depth).toBeCloseTo(12 - heads[place]!, 6);
    expect(found.held).toMatchObject({ perDay: 0, ties: [{ isUsed: true }] });
    expect(found.held!.hangs).toBeCloseTo(12, 6);
    expect(found.findings).toEqual([]);
  });

  it.each([-3, -2, -1, 1, 2, 3])('asks where the clock of the air is %d h off, and says which one is late', (off) => {
    const other = hourly(weather);
    other.times = other.times.map((time) => time + off * hour);
    const { findings } = loggerLevels(record({ shows: 'absolute', air }), withAir, other, [byHand(24, 7.5)]);
    expect(findings).toContainEqual(
      expect.objectContaining({ code: 'clocks-apart', data: { hours: Math.abs(off), late: off > 0 ? 'air' : 'water' } }),
    );
  });

  it('asks where the weather comes an hour sooner in one of the records', () => {
    const late = hourly(weather);
    late.times = late.times.map((time) => time + hour);
    const found = loggerLevels(record({ shows: 'absolute', air }), withAir, late, [byHand(24, 7.5)]);
    expect(found.findings).toContainEqual(expect.objectContaining({ code: 'clocks-apart', data: { hours: 1, late: 'air' } }));
    // Where nothing moves there is nothing to tell it by.
    const calm = hourly(weather.map(() => 101_325));
    const still = hourly(heads.map((head) => 101_325 + head * 999.7 * 9.80665));
    expect(loggerLevels(record({ shows: 'absolute', air }), still, calm, [byHand(24, 7.52)]).findings).toEqual([]);
  });

  it('follows a sensor that drifts, by a line through the levels by hand', () => {
    const drifting = hourly(heads.map((head, i) => head - (0.04 * i) / 240));
    const hand = [0, 80, 160, 239].map((hours) => byHand(hours, 12 - heads[hours]!));
    const line = loggerLevels(record({ shows: 'head', water: { ...file, unit: 'm' }, line: 'line' }), drifting, null, hand);
    for (const [place, depth] of line.depths.entries()) expect(depth).toBeCloseTo(12 - heads[place]!, 6);
    expect(line.held!.perDay).toBeCloseTo(-0.004, 9);
    const constant = loggerLevels(record({ shows: 'head', water: { ...file, unit: 'm' } }), drifting, null, hand);
    expect(Math.max(...constant.held!.ties.map(({ off }) => Math.abs(off)))).toBeGreaterThan(0.015);
  });

  it('asks about a level by hand that lies off, and leaves it out where somebody says why', () => {
    const hand = [byHand(10, 12 - heads[10]!), byHand(100, 12 - heads[100]! + 0.1), byHand(200, 12 - heads[200]!)];
    const head = { shows: 'head', water: { ...file, unit: 'm' } };
    const found = loggerLevels(record(head), hourly(heads), null, hand);
    expect(found.findings.map(({ code }) => code)).toEqual(['tie-off', 'tie-off', 'tie-off']);
    const without = record({ ...head, without: [{ at: hand[1]!.at, why: 'misread by 10 cm' }] });
    const left = loggerLevels(without, hourly(heads), null, hand);
    expect(left.findings).toEqual([]);
    expect(left.held!.ties[1]).toMatchObject({ isUsed: false, why: 'said' });
    expect(left.held!.ties[1]!.off).toBeCloseTo(0.1, 6);
  });

  it('is not held to another mark, nor while the water moves, nor to nothing', () => {
    const falling = hourly(heads.map((head, i) => (i === 50 ? head - 0.4 : head)));
    const head = { shows: 'head', water: { ...file, unit: 'm' } };
    const found = loggerLevels(record(head), falling, null, [byHand(30, 7.5, 'Flange'), byHand(49.5, 7.9)]);
    expect(found.held).toBeNull();
    expect(found.depths).toHaveLength(0);
    expect(found.findings.map(({ code, severity }) => [code, severity])).toEqual([['held-by-nothing', 'stop']]);
    expect(loggerLevels(record({ ...head, hangs: 12 }), falling, null, []).depths[0]).toBeCloseTo(7.5, 9);
    expect(loggerLevels(record({ ...head, line: 'line' }), hourly(heads), null, [byHand(30, 7.5)]).findings).toContainEqual(
      expect.objectContaining({ code: 'no-line', severity: 'stop' }),
    );
  });

  it('leaves out what has no air, what hung in the air, and what was before it hung there', () => {
    const some = hourly(weather.slice(0, 100));
    const dipped = hourly([...withAir.values].map((value, i) => (i < 4 ? weather[i]! : value)));
    const from = new Date(start + 6 * hour).toISOString();
    const found = loggerLevels(record({ shows: 'absolute', air, from }), dipped, some, [byHand(24, 7.5)]);
    expect(found.left).toEqual({ noAir: 140, outOfWater: 0, outside: 6 });
    expect(loggerLevels(record({ shows: 'absolute', air }), dipped, some, [byHand(24, 7.5)]).left).toEqual({
      noAir: 140,
      outOfWater: 4,
      outside: 0,
    });
    // A gap of a day in the air is not bridged.
    const gappy = hourly(weather);
    gappy.times = gappy.times.filter((_, i) => i < 50 || i > 74);
    gappy.values = gappy.values.filter((_, i) => i < 50 || i > 74);
    expect(loggerLevels(record({ shows: 'absolute', air }), withAir, gappy, [byHand(24, 7.5)]).left.noAir).toBe(25);
  });

  it('stops where the water has less than the air', () => {
    const vented = hourly(heads.map((head) => head * 9806.65));
    const found = loggerLevels(record({ shows: 'absolute', air }), vented, hourly(weather), [byHand(24, 7.5)]);
    expect(found.findings).toContainEqual(expect.objectContaining({ code: 'less-than-air', severity: 'stop' }));
  });

  it('says the same in whatever unit and zone the file came', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(['kPa', 'psi', 'mbar', 'ftH2O', 'cmH2O'] as const)),
        fc.integer({ min: -12, max: 14 }),
        (unit, zone) => {
          const rows = heads.slice(0, 60).map((head, i) => {
            const local = new Date(start + i * 15 * minute + zone * hour).toISOString().slice(0, 16).replace('T', ' ');
            const factor = { kPa: 1000, psi: 6894.757, mbar: 100, ftH2O: 2989.06692, cmH2O: 98.0665 }[unit];
            return `${local};${((head * 999.7 * 9.80665) / factor).toFixed(6)}`;
          });
          const found = read(rows.join('\n'), { unit, clock: { goes: 'fixed', offset: zone * 60 } });
          const levels = loggerLevels(record({ hangs: 12 }), found, null, []);
          expect(levels.times[0]).toBe(start);
          expect(levels.depths[59]).toBeCloseTo(12 - heads[59]!, 4);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is refused at the field it concerns', () => {
    const refused = (said: Record<string, unknown>) =>
      LoggerRecord.safeParse({ ...record({}), ...said }).error!.issues.map(({ path }) => path.join('.'));
    expect(refused({ shows: 'absolute' })).toEqual(['air']);
    expect(refused({ air })).toEqual(['air']);
    expect(refused({ shows: 'absolute', air: file })).toEqual(['air.value']);
    expect(refused({ density: 9997 })).toEqual(['density']);
    expect(refused({ from: '2026-03-02T00:00:00Z', to: '2026-03-01T00:00:00Z' })).toEqual(['to']);
    expect(refused({ water: { ...file, value: 0 } })).toEqual(['water.value']);
  });
});

describe('a thinned course', () => {
  it('keeps its ends, its order, and its highest and lowest', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -50, max: 50, noNaN: true }), { minLength: 3, maxLength: 600 }),
        fc.integer({ min: 10, max: 80 }),
        (values, most) => {
          const times = Float64Array.from(values, (_, place) => place);
          const thin = thinned(times, Float64Array.from(values), most);
          expect(thin.times.length).toBeLessThanOrEqual(most);
          expect([thin.times[0], thin.times.at(-1)]).toEqual([0, values.length - 1]);
          expect([...thin.times].sort((a, b) => a - b)).toEqual(thin.times);
          expect(Math.max(...thin.values)).toBe(Math.max(...values));
          expect(Math.min(...thin.values)).toBe(Math.min(...values));
        },
      ),
    );
  });
});
