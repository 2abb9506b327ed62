import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { base, convert, convertTyped, readNumber, readStyled, show, Typed, typedOf, unit, unitIds, unitsOf } from './index.ts';

describe('conversion', () => {
  it.each([
    [1, 'ft', 0.3048, 'm'],
    [1, 'in', 25.4, 'mm'], // NIST Handbook 44, app. C, exact
    [1, 'gal', 3.785411784, 'L'],
    [1, 'gpm', 3.785411784, 'L/min'],
    [212, 'degF', 100, 'degC'],
    [-40, 'degF', -40, 'degC'],
    [1, 'mg/L', 1000, 'ug/L'],
    [1, 'ug/L', 1000, 'ng/L'],
    [5, 'ppb', 0.005, 'mg/L'], // dilute water, common practice
    [57.2, 'mS/m', 572, 'uS/cm'],
    [1, 'gpg', 17.11806, 'mg/L CaCO3'], // definition
  ] as const)('%f %s is %f %s', (value, from, expected, to) => {
    expect(convert(value, from, to)).toBeCloseTo(expected, 4);
  });

  it('is undone by its inverse, for every pair of one dimension', () => {
    const pairs = unitIds.flatMap((from) => unitsOf(unit(from).dimension).map((to) => [from, to] as const));
    fc.assert(
      fc.property(fc.constantFrom(...pairs), fc.double({ min: -1e6, max: 1e6, noNaN: true }), ([from, to], value) => {
        expect(convert(convert(value, from, to), to, from)).toBeCloseTo(value, 4);
      }),
    );
  });

  it('refuses to mix dimensions', () => {
    expect(() => convert(1, 'm', 'L')).toThrow(RangeError);
  });
});

describe('reading a number', () => {
  it.each([
    ['7.40', 7.4, 2],
    ['7,40', 7.4, 2],
    [' 12 ', 12, 0],
    ['-0.5', -0.5, 1],
    ['−0,5', -0.5, 1],
    ['.5', 0.5, 1],
    ['3.', 3, 0],
    ['1 234,5', 1234.5, 1],
    ['1.234,5', 1234.5, 1],
    ['1,234.5', 1234.5, 1],
  ])('%s', (text, value, decimals) => {
    expect(readNumber(text)).toEqual({ ok: true, value, decimals });
  });

  it.each(['', '   ', 'abc', '1e9', 'Infinity', '∞', 'NaN', '0x10', '7.4.1', '1,2,3', '--5', '5-', '12 ft', '6 ft 12 in', "6'12.5"])(
    'refuses %j',
    (text) => {
      expect(readNumber(text).ok).toBe(false);
    },
  );

  it.each(['12\' 7"', '12 ft 7 in', "12'7"])('asks about %s instead of reading 12.7', (text) => {
    const reading = readNumber(text);
    expect(reading).toMatchObject({ ok: false, code: 'feet-and-inches', suggestion: '12.58' });
  });

  it.each([
    ['24\' 7 3/8"', '24.61'],
    ["24'7-1/2", '24.63'],
    ['6 ft 1/2 in', '6.04'],
    ["24' 7.5''", '24.63'],
    ['24′', '24.00'],
  ])('asks about %s as %s ft', (text, suggestion) => {
    expect(readNumber(text)).toMatchObject({ ok: false, code: 'feet-and-inches', suggestion });
  });

  it.each(['24\' 13"', "24' 7 3/0", "24' 7/"])('makes nothing of %s', (text) => {
    expect(readNumber(text)).toMatchObject({ ok: false, code: 'not-a-number' });
  });
});

describe('a typed quantity', () => {
  it('keeps the text and gives the base unit', () => {
    const typed = Typed.parse({ text: '12,57', unit: 'ft' });
    expect(typed.text).toBe('12,57');
    expect(base(typed)).toBeCloseTo(3.8313, 4);
  });

  it('names the field and the bound it passes, in the unit typed', () => {
    const result = typedOf('length', { min: 0, max: 300 }).safeParse({ text: '99999', unit: 'ft' });
    expect(result.error?.issues[0]).toMatchObject({ path: ['text'], message: 'Cannot be more than 984.25 ft.' });
  });

  it('refuses a unit of another dimension', () => {
    expect(typedOf('length').safeParse({ text: '5', unit: 'L' }).error?.issues[0]?.path).toEqual(['unit']);
  });
});

it('shows a true minus sign and no negative zero', () => {
  expect([show(-0.5, 'm', 2), show(-0.001, 'm', 2), show(0.0127, 'mm', 1)]).toEqual(['−0.50 m', '0.00 m', '12.7 mm']);
});

it('reads no number that is a thousand by the other habit: it is asked about at its field', () => {
  const two = (text: string, decimals: 'point' | 'comma') => {
    const reading = readStyled(text, { decimals, isSaid: false });
    return reading.ok ? reading.value : [reading.code, reading.suggestion];
  };
  expect([two('1,050', 'point'), two('1.100', 'comma')]).toEqual([
    ['two-ways', '1.050'],
    ['two-ways', '1,100'],
  ]);
  expect([
    two('1.050', 'point'),
    two('1,050', 'comma'),
    two('7,40', 'point'),
    two('0,125', 'point'),
    two('1050', 'point'),
    two('1250,5', 'point'),
  ]).toEqual([1.05, 1.05, 7.4, 0.125, 1050, 1250.5]);
});

// NIST SP 811 (2008), app. B: 1 ft = 0.3048 m, 1 US gal = 3.785412 L; °F = 1.8 °C + 32.
it.each([
  ['7.40', 'm', 'ft', '24.28'],
  ['24.28', 'ft', 'm', '7.401'],
  ['7,401', 'm', 'mm', '7401'],
  ['12', 'gal', 'L', '45'],
  ['12.0', 'degC', 'degF', '53.6'],
] as const)('%s %s is %s in the other unit, with the decimals that keep it', (text, from, to, there) => {
  expect(convertTyped({ text, unit: from }, to)).toEqual({ text: there, unit: to });
});

it('never converts between dimensions', () => {
  expect(() => convertTyped({ text: '7', unit: 'm' }, 'L')).toThrow(RangeError);
});
