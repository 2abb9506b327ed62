import { describe, expect, it } from 'vitest';
import { base as inBase, convert, unitIds, type UnitId } from './index.ts';

/*
 * What one of each unit is, as GNU units 2.22 (Debian) prints it: `units -o "%.12g" "gal" "m^3"`. It is another's table, made from
 * NIST SP 811 and the definitions of the SI.
 */
const byGnuUnits: readonly [UnitId, number, UnitId][] = [
  ['km', 1000, 'm'],
  ['cm', 0.01, 'm'],
  ['mm', 0.001, 'm'],
  ['ft', 0.3048, 'm'],
  ['in', 0.0254, 'm'],
  ['L', 0.001, 'm3'],
  ['mL', 1e-6, 'm3'],
  ['gal', 0.003785411784, 'm3'],
  ['L/min', 1.66666666667e-5, 'm3/s'],
  ['mL/min', 1.66666666667e-8, 'm3/s'],
  ['L/s', 0.001, 'm3/s'],
  ['m3/h', 0.000277777777778, 'm3/s'],
  ['gpm', 6.30901964e-5, 'm3/s'],
  ['km/h', 0.62137119, 'mph'],
  ['min', 60, 's'],
  ['h', 3600, 's'],
  ['d', 86400, 's'],
  ['ug/L', 0.001, 'mg/L'],
  ['ng/L', 1e-6, 'mg/L'],
  ['g/L', 1000, 'mg/L'],
  ['mS/cm', 1000, 'uS/cm'],
  ['mS/m', 10, 'uS/cm'],
  ['hPa', 100, 'Pa'],
  ['kPa', 1000, 'Pa'],
  ['mbar', 100, 'Pa'],
  ['bar', 100000, 'Pa'],
  ['psi', 6894.75729317, 'Pa'],
  ['mmHg', 133.322387415, 'Pa'],
  ['inHg', 3386.38864034, 'Pa'],
  ['mH2O', 9806.65, 'Pa'],
  ['cmH2O', 98.0665, 'Pa'],
  ['ftH2O', 2989.06692, 'Pa'],
  ['inH2O', 249.08891, 'Pa'],
  ['gpg', 17.1180610453, 'mg/L CaCO3'],
];

/** Standard atomic weights of IUPAC (2021), abridged: Ca 40.078, C 12.011, O 15.999. */
const [calcium, carbon, oxygen] = [40.078, 12.011, 15.999];

const bySource: readonly [UnitId, number, UnitId, string][] = [
  ['dH', (10 * (calcium + carbon + 3 * oxygen)) / (calcium + oxygen), 'mg/L CaCO3', '1 °dH is 10 mg/L as CaO (DIN 38409-6)'],
  ['fH', 10, 'mg/L CaCO3', '1 °f is 10 mg/L as CaCO3 (common practice)'],
  ['eH', 64.79891 / 4.54609, 'mg/L CaCO3', '1 °e is a grain in an imperial gallon: 14.254 mg/L (common practice)'],
  ['dS/m', 1000, 'uS/cm', 'a tenth of a siemens in ten centimetres (FAO 29: 1 dS/m is 1 mS/cm)'],
  ['S/m', 10_000, 'uS/cm', 'a siemens is a million µS, a metre a hundred centimetres'],
  ['uS/m', 0.01, 'uS/cm', 'a metre is a hundred centimetres'],
  ['ppm', 1, 'mg/L', 'a litre of dilute water is a kilogram (common practice)'],
  ['ppb', 1, 'ug/L', 'the same'],
  ['ppt', 1, 'ng/L', 'the same'],
  ['FNU', 1, 'NTU', 'both are of the same formazin (ISO 7027-1:2016)'],
  ['pg/L', 1e-6, 'ug/L', 'a millionth of a microgram'],
  ['per250mL', 100 / 250, 'per100mL', 'a hundred of 250 mL'],
  ['1/cm', 100, '1/m', 'a hundred centimetres are a metre'],
  ['mBq/L', 0.001, 'Bq/L', 'a thousandth'],
  ['Bq/m3', 0.001, 'Bq/L', 'a cubic metre is a thousand litres'],
  ['pCi/L', 3.7e10 * 1e-12, 'Bq/L', '1 Ci is 3.7 × 10¹⁰ Bq (NIST SP 811, exact)'],
  ['mrem', 0.01, 'mSv', '1 rem is 0.01 Sv (NIST SP 811)'],
  ['perL', 0.1, 'per100mL', 'ten times 100 mL are a litre'],
  ['permL', 100, 'per100mL', 'a hundred mL are 100 mL'],
  ['mph', 0.44704 * 3.6, 'km/h', 'GNU units: 1 mph is 0.44704 m/s'],
  ['degF', -17.2222222222, 'degC', '(1 °F − 32) · 5/9 (NIST SP 811, app. B.8)'],
];

describe('one of each unit', () => {
  it.each(byGnuUnits)('%s is %d %s', (from, expected, to) => {
    expect(convert(1, from, to) / expected).toBeCloseTo(1, 5);
  });
  it.each(bySource)('%s is %d %s: %s', (from, expected, to) => {
    expect(convert(1, from, to) / expected).toBeCloseTo(1, 4);
  });

  it('is looked up elsewhere, or is the one that the others are told in', () => {
    const told = new Set([...byGnuUnits, ...bySource].map(([from]) => from));
    // What has no other of its kind cannot be converted.
    const alone: UnitId[] = ['deg', 'pH', 'mV', 'kg/m3', 'm/s2', '%', '1', 'mg/L Pt', 'dilution', 'MFL', 'g/kg', 'ohm.m'];
    const base: UnitId[] = ['m', 'm3', 'm3/s', 's', 'degC', 'mg/L', 'uS/cm', 'NTU', 'Pa', 'per100mL', 'mg/L CaCO3', '1/m', 'Bq/L', 'mSv'];
    expect(unitIds.filter((one) => !told.has(one) && !alone.includes(one) && !base.includes(one))).toEqual([]);
    for (const one of [...base, ...alone]) expect(inBase({ text: '1', unit: one }), one).toBe(one === '%' ? 0.01 : 1);
  });
});
