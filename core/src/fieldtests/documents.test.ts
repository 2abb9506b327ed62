import { describe, expect, it } from 'vitest';
import { isFreeAboveTotal, questionTest, type Told } from './judge.ts';
import { method, methodIds, type MethodId } from './methods.ts';

/*
 * What each test shows and how long it is waited for, typed from instructions of use: DPD, free: within the first minute; DPD, total: three
 * to six minutes (ISO 7393-2, times common practice); monochloramine by indophenol: five minutes; fluoride by a zirconium dye: one; phenol
 * red between 6.5 and 8.4 (from memory). In mg/L and seconds.
 */
const printed: Partial<Record<MethodId, { shows?: number; step?: number; wait: readonly [least: number, most: number] | null }>> = {
  'free-chlorine-low': { shows: 2, step: 0.02, wait: [10, 60] },
  'free-chlorine-high': { shows: 10, step: 0.1, wait: [10, 60] },
  'total-chlorine-low': { shows: 2, step: 0.02, wait: [3 * 60, 6 * 60] },
  'total-chlorine-high': { shows: 10, step: 0.1, wait: [3 * 60, 6 * 60] },
  monochloramine: { shows: 4.5, step: 0.04, wait: [5 * 60, 15 * 60] },
  fluoride: { shows: 2, step: 0.1, wait: [60, 120] },
  'ph-colour': { wait: [10, 120] },
  turbidity: { step: 0.02, wait: null },
  'free-chlorine-colour': { wait: [10, 60] },
  'fluoride-colour': { wait: [60, 5 * 60] },
  'nitrate-colour': { wait: [60, 120] },
};

/** The steps of the charts, as they are printed beside their colours; common practice. */
const charts: Partial<Record<MethodId, string>> = {
  'free-chlorine-colour': '0 0.1 0.2 0.4 0.6 0.8 1 1.5 2 3',
  'fluoride-colour': '0 0.5 1 1.5 2 3 5',
  'nitrate-colour': '0 10 25 50 100 250',
};

describe('a test at the point', () => {
  it.each(methodIds)('%s shows what is printed with it, and is waited for as long', (id) => {
    const { name, range, step, tells, clock, chart } = method(id);
    const { shows, step: smallest, wait = null } = printed[id] ?? {};
    expect({ most: range?.[1], step, wait: clock ? [clock.least, clock.most] : null }).toEqual({ most: shows, step: smallest, wait });
    expect(chart?.join(' ')).toBe(charts[id]);
    // The name says between what it shows or changes colour.
    const [, least, most] = / ([\d.]+) to ([\d.]+)/.exec(name) ?? [];
    if (least) expect(range ?? tells).toEqual([Number(least), Number(most)]);
  });
});

const told = (parameter: Told['parameter'], value: number): Told => ({ parameter, form: 'value', low: value, high: value });

describe('what cannot be, or hardly', () => {
  // One step of a photometer of the low range is 0.02 mg/L; above 0.4 mg/L a twentieth of the reading is more.
  it.each([
    [0.119, 0.1, false],
    [0.121, 0.1, true],
    [1.04, 1, false],
    [1.06, 1, true],
  ])('free chlorine of %d beside a total of %d mg/L is more than there is: %s', (free, total, isMore) => {
    expect(isFreeAboveTotal(told('freeChlorine', free), told('totalChlorine', total))).toBe(isMore);
    expect(isFreeAboveTotal(told('totalChlorine', total), told('freeChlorine', free))).toBe(isMore);
  });

  // At 20 °C and sea level air gives 9.09 mg/L (Benson and Krause 1984): a tenth more is 10.00.
  it.each([
    ['9.95', false],
    ['10.05', true],
  ])('oxygen of %s mg/L at 20 °C is asked about: %s', (text, isAsked) => {
    const shown = { is: 'number', reading: { text, unit: 'mg/L' } } as const;
    const beside = { parts: 1, temperature: { text: '20', unit: 'degC' }, elevation: { text: '0', unit: 'm' } } as const;
    const found = questionTest('oxygen', shown, beside as never, { isRaw: true, other: null }).map(({ code }) => code);
    expect(found.includes('over-saturated')).toBe(isAsked);
  });
});
