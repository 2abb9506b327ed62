import { expect, it } from 'vitest';
import { parameter, type ParameterId } from '../parameters/index.ts';
import type { LabResult } from '../read/index.ts';
import { convert, type UnitId } from '../units/index.ts';
import { judgeResult, limitSetAt, limitSets, uncertaintyAllowed } from './index.ts';

function allowed(id: ParameterId, value: number, uncertainty: number, unit: UnitId, set = 'eu-2020-2184') {
  const own = (number: number) => convert(number, unit, parameter(id).unit);
  const result = { parameter: id, form: 'value', value: own(value), uncertainty: own(uncertainty), reportingLimit: null, inclusive: true };
  const limits = limitSetAt(
    limitSets.newest.find((one) => one.id === set)!,
    { kind: 'house-tap', isTreated: true },
  );
  return uncertaintyAllowed(result as LabResult, judgeResult(result as LabResult, limits, '2026-11-30'));
}

/**
 * Directive (EU) 2020/2184, Annex III, Part B, table 1, from memory: the value of Annex I with its unit, and per cent of it. Typed as a list
 * of its own.
 */
const printed = `
aluminium 200 ug/L 25 | ammonium 0.5 mg/L 40 | acrylamide 0.1 ug/L 30 | antimony 10 ug/L 40 | arsenic 10 ug/L 30 | benzoAPyrene 0.01 ug/L 50
benzene 1 ug/L 40 | bisphenolA 2.5 ug/L 50 | boron 1.5 mg/L 25 | bromate 10 ug/L 40 | cadmium 5 ug/L 25 | chloride 250 mg/L 15
chlorate 0.25 mg/L 40 | chlorite 0.25 mg/L 40 | chromium 50 ug/L 30 | copper 2 mg/L 25 | cyanide 50 ug/L 30 | dichloroethane12 3 ug/L 40
epichlorohydrin 0.1 ug/L 30 | fluoride 1.5 mg/L 20 | iron 200 ug/L 30 | lead 10 ug/L 30 | manganese 50 ug/L 30 | mercury 1 ug/L 30
microcystin 1 ug/L 30 | nickel 20 ug/L 25 | nitrate 50 mg/L 15 | nitrite 0.5 mg/L 20 | oxidisability 5 mg/L 50 | selenium 20 ug/L 40
sodium 200 mg/L 15 | sulfate 250 mg/L 15 | uranium 30 ug/L 30 | vinylChloride 0.5 ug/L 50 | conductivity 2790 uS/cm 20`;

it.each(
  [...printed.matchAll(/(\w+) ([\d.]+) (\S+) (\d+)/g)].map(([, id, most, unit, share]) => [id, Number(most), unit, Number(share)] as const),
)('%s by %f %s: a lab may be uncertain by %d per cent of it', (id, most, unit, share) => {
  const by = (part: number) => allowed(id as ParameterId, most / 2, most * part, unit as UnitId);
  expect([by(share / 100), by(share / 100 + 0.01)]).toEqual([null, share / 100]);
});

it('is a part of a number that is over the value, and asked by the Directive alone', () => {
  expect(allowed('nitrate', 100, 14, 'mg/L')).toBeNull();
  expect(allowed('nitrate', 100, 16, 'mg/L')).toBe(0.15);
  expect(allowed('nitrate', 30, 9, 'mg/L', 'us-40-cfr')).toBeNull();
});
