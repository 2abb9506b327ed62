import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ParameterId } from '../parameters/index.ts';
import { factorOf } from './tables/forms.ts';
import { named, unitCalled } from './cells/names.ts';

/** What five languages call a substance, the formulas that it is given as, and whether it may hang on particles. Typed here. */
const substances: readonly { id: ParameterId; names: readonly string[]; forms: readonly string[]; isBound?: true }[] = [
  { id: 'nitrate', names: ['Nitrate', 'Nitrato', 'Nitrates', 'Nitrat', 'Nitratos'], forms: ['N', 'NO3', 'NO₃⁻'] },
  { id: 'ammonium', names: ['Ammonium', 'Amónio', 'Amonio'], forms: ['N', 'NH4', 'NH₄⁺'] },
  { id: 'sulfate', names: ['Sulfate', 'Sulphate', 'Sulfatos', 'Sulfat', 'Sulfates'], forms: ['S', 'SO4'] },
  { id: 'orthophosphate', names: ['Orthophosphate', 'Ortofosfato'], forms: ['P', 'PO4', 'P2O5'] },
  { id: 'alkalinity', names: ['Alkalinity', 'Alcalinidade', 'Alcalinidad'], forms: ['CaCO3', 'HCO3'] },
  { id: 'iron', names: ['Iron', 'Ferro', 'Hierro', 'Fer', 'Eisen'], forms: [], isBound: true },
  { id: 'chromium', names: ['Chromium', 'Crómio', 'Cromo', 'Chrome', 'Chrom'], forms: [], isBound: true },
];
const said = [
  (form: string) => ` as ${form}`,
  (form: string) => ` (as ${form})`,
  (form: string) => ` (em ${form})`,
  (form: string) => `, expressed as ${form}`,
  (form: string) => ` (als ${form})`,
];
const fractions = {
  total: ['total', 'gesamt', 'unfiltered', 'total recoverable'],
  dissolved: ['dissolved', 'gelöst', 'disuelto', 'dissous', 'filtered'],
} as const;
const units = { '': null, ' (mg/L)': 'mg/L', ' [µg/l]': 'ug/L', ', mg/L': 'mg/L' } as const;
const plain = (form: string) =>
  form
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]/g, '')
    .toLowerCase();

describe('a name by its parts', () => {
  it('says the substance, the form, the fraction and the unit, in whatever order they stand', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...substances),
        fc.nat(4),
        fc.nat(4),
        fc.constantFrom(...said),
        fc.constantFrom(...(Object.keys(fractions) as (keyof typeof fractions)[])),
        fc.nat(4),
        fc.boolean(),
        fc.constantFrom(...(Object.keys(units) as (keyof typeof units)[])),
        ({ id, names, forms, isBound }, name, form, say, fraction, word, isFirst, unit) => {
          const spelt = names[name % names.length]!;
          const formula = forms[form % Math.max(1, forms.length)];
          const part = isBound ? fractions[fraction][word % fractions[fraction].length]! : '';
          const whole = formula === undefined ? spelt : `${spelt}${say(formula)}`;
          const text = `${part === '' ? whole : isFirst ? `${part} ${whole}` : `${whole}, ${part}`}${unit}`;
          const read = named(text);
          expect(read, text).not.toBeNull();
          expect([text, read!.parameter, read!.fraction, read!.unit?.unit ?? null]).toEqual([
            text,
            id,
            isBound ? fraction : null,
            units[unit],
          ]);
          if (formula !== undefined) expect([text, factorOf(id, read!.as!)]).toEqual([text, factorOf(id, plain(formula))]);
        },
      ),
      { numRuns: 500 },
    );
  });

  it.each([
    ['Chromium (VI)', 'chromium6'],
    ['Hardness (Ca)', null],
    ['Nitrate as CaCO3', null],
    ['Iron, total, dissolved', null],
    ['Sulfate reducing bacteria', null],
    ['Conductivity at 30 °C', null],
    ['Phosphate, total', null],
    ['pH at 12.3 °C', 'ph'],
    ['Manganese Mn', 'manganese'],
    ['Manganese Fe', null],
  ])('%s is %s, and nothing of it is dropped', (text, id) => expect(named(text)?.parameter ?? null).toBe(id));
});

describe('a unit by its parts', () => {
  // A milligram in a litre is a gram in a cubic metre and a microgram in a millilitre.
  const masses = { 'mg/L': ['mg', 'l'], 'ug/L': ['µg', 'l'], 'ng/L': ['ng', 'L'], 'g/L': ['g', 'L'] } as const;
  const writings = [
    (mass: string, volume: string, form: string) => `${mass}/${volume}${form && ` ${form}`}`,
    (mass: string, volume: string, form: string) => `${mass}${form && ` ${form}`}/${volume}`,
    (mass: string, volume: string, form: string) => `${mass}${form && `(${form})`}/${volume}`,
    (mass: string, volume: string, form: string) => `${mass}/${volume}${form && ` as ${form}`}`,
    (mass: string, volume: string, form: string) => `${mass} ${volume}-1${form && ` ${form}`}`,
    (mass: string, volume: string, form: string) => `${mass}·${volume}⁻¹${form && ` (${form})`}`,
  ];
  it('says mass, volume and form, however they are written', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(masses) as (keyof typeof masses)[])),
        fc.constantFrom(...writings),
        fc.constantFrom('', 'N', 'NO3', 'P2O5', 'SiO2', 'Cl', 'Fe'),
        (id, write, form) => {
          const text = write(masses[id][0], masses[id][1], form);
          expect([text, unitCalled(text)]).toEqual([text, { unit: id, as: form === '' ? null : form.toLowerCase() }]);
        },
      ),
      { numRuns: 300 },
    );
  });

  it.each([
    ['mg/m³', 'ug/L'],
    ['g/m3', 'mg/L'],
    ['ug/mL', 'mg/L'],
    ['µS·cm⁻¹', 'uS/cm'],
    ['dS/m', 'dS/m'],
    ['n/(100 mL)', 'per100mL'],
    ['en 100 ml', 'per100mL'],
    ['UFC por 100 mL', 'per100mL'],
    ['KBE/ml', 'permL'],
    ['unité pH', 'pH'],
    ['S.U.', 'pH'],
    ['NFU', 'FNU'],
    ['‰', 'g/kg'],
    ['% sat.', '%'],
    ['°e', 'eH'],
  ])('%s is %s', (text, unit) => expect(unitCalled(text)?.unit).toBe(unit));

  it('is none where a part is not known, or a litre stands alone', () => {
    for (const text of ['mg/kg', 'mg/L Xy', 'L', 'ml', 'drops/L', 'mg/L N as P', 'µS/cm (30 °C)'])
      expect([text, unitCalled(text)]).toEqual([text, null]);
  });
});
