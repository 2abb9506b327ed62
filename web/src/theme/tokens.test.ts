import { describe, expect, it } from 'vitest';
import { cssVariables, palettes, target, type Palette, type Variant } from './tokens.ts';

/** Contrast ratio of two colours, as WCAG 2.2 defines it. */
function contrast(a: string, b: string): number {
  const luminance = (hex: string) => {
    const [red, green, blue] = [1, 3, 5]
      .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
      .map((part) => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4)) as [number, number, number];
    return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
  };
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

const pairs: [keyof Palette, keyof Palette, number][] = [
  ['ink', 'ground', 7],
  ['ink', 'surface', 7],
  ['ink', 'raised', 7],
  ['ink', 'ochreTint', 7],
  ['ink', 'rustTint', 7],
  ['ink', 'springTint', 7],
  ['ink', 'water', 4.5],
  ['soft', 'ground', 4.5],
  ['soft', 'surface', 4.5],
  ['spring', 'ground', 4.5],
  ['spring', 'surface', 4.5],
  ['onSpring', 'spring', 4.5],
  ['ochre', 'ground', 4.5],
  ['ochre', 'ochreTint', 4.5],
  ['rust', 'ground', 4.5],
  ['rust', 'rustTint', 4.5],
  ['casing', 'ground', 3],
  ['waterDeep', 'surface', 3],
];

describe.each(Object.keys(palettes) as Variant[])('the %s light', (variant) => {
  it.each(pairs)('shows %s on %s at %f : 1 or more (WCAG 2.2; readings 7 : 1)', (front, back, least) => {
    expect(contrast(palettes[variant][front], palettes[variant][back])).toBeGreaterThanOrEqual(least);
  });
});

it('checks its own arithmetic against the known extremes', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
});

it('gives the page every token as a variable, the same names in every light', () => {
  const day = cssVariables('day');
  expect(day['--on-spring']).toBe('#ffffff');
  expect(Object.keys(cssVariables('night'))).toEqual(Object.keys(day));
  expect(target).toBeGreaterThanOrEqual(48);
});
