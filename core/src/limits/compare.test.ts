import { expect, it } from 'vitest';
import { compareSets, limitSets, setsOfZone, type LimitSet } from './index.ts';

const day = '2026-11-23';
const set = (id: string) => limitSets.on(id, day)!;
const [eu, us, who] = [set('eu-2020-2184'), set('us-40-cfr'), set('who-gdwq')];
const found = (first: LimitSet, second: LimitSet, parameter: string, kind: string) =>
  compareSets(first, second, day).find((row) => row.parameter === parameter && row.kind === kind);

it('says which of two sets is stricter, in whatever unit they write', () => {
  // Fluoride: 1.5 mg/L in the Directive and with WHO, 4.0 mg/L in 40 CFR 141.62. Arsenic: 10 µg/L and 0.010 mg/L.
  expect(found(eu, us, 'fluoride', 'health')).toMatchObject({ stricter: 'first', first: [{ most: 1.5 }], second: [{ most: 4 }] });
  expect(found(us, eu, 'fluoride', 'health')?.stricter).toBe('second');
  expect(found(eu, who, 'fluoride', 'health')?.stricter).toBe('same');
  expect(found(eu, us, 'arsenic', 'health')?.stricter).toBe('same');
  // Nitrate: 50 mg/L; 10 mg/L as nitrogen, which are 44.27.
  expect(found(eu, us, 'nitrate', 'health')?.stricter).toBe('second');
});

it('leaves open which is stricter where one of them has no value, or each asks for more at another end', () => {
  expect(found(eu, us, 'nickel', 'health')?.stricter).toBeNull();
  const range = (least: number, most: number): LimitSet => ({
    ...eu,
    rows: [{ parameter: 'ph', kind: 'indicator', least, most, unit: 'pH', place: '1' }],
  });
  expect(found(range(6.5, 9.5), range(7, 10), 'ph', 'indicator')?.stricter).toBeNull();
  expect(found(range(6.5, 9.5), range(7, 9.5), 'ph', 'indicator')?.stricter).toBe('second');
});

it('shows what holds on the day', () => {
  // Lead: 10 µg/L in the Directive until 2036, then 5.
  const lead = (on: string) => compareSets(eu, who, on).find((row) => row.parameter === 'lead' && row.kind === 'health')?.first[0]?.most;
  expect([lead('2026-11-23'), lead('2036-02-01')]).toEqual([10, 5]);
});

it('proposes the sets of the country that a time zone lies in', () => {
  const of = (zone: string) => setsOfZone(zone, day).limits.map((ref) => ref.split('@')[0]);
  expect(of('Atlantic/Azores')).toEqual(['eu-2020-2184']);
  expect(of('Europe/Berlin')).toEqual(['de-trinkwv', 'eu-2020-2184']);
  expect(of('Europe/London')).toEqual(['england-2016']);
  expect(of('Europe/Zurich')).toEqual(['who-gdwq']);
  expect(of('America/New_York')).toEqual(['us-40-cfr']);
  expect(of('America/Indiana/Knox')).toEqual(['us-40-cfr']);
  expect(of('America/Toronto')).toEqual(['ca-gcdwq']);
  expect(of('America/Sao_Paulo')).toEqual(['who-gdwq']);
  expect(of('Asia/Kolkata')).toEqual(['in-is-10500']);
  expect(of('Pacific/Auckland')).toEqual(['nz-dwsnz']);
  expect(of('Australia/Perth')).toEqual(['au-adwg']);
  expect(of('UTC')).toEqual(['who-gdwq']);
  expect(setsOfZone('Atlantic/Azores', day).country).toBe('the European Union');
});

it('proposes a set for every zone that this machine knows', () => {
  const zones = Intl.supportedValuesOf('timeZone');
  expect(zones.length).toBeGreaterThan(300);
  expect(zones.filter((zone) => setsOfZone(zone, day).limits.length === 0)).toEqual([]);
});
