import { describe, expect, it } from 'vitest';
import { changed, mutantsOf } from './mutants.ts';

const numbers = (file: string, text: string) => mutantsOf(file, text).map(({ from, to }) => [from, to]);

describe('the numbers that are changed', () => {
  it('are those of tables, and constants that have a name, each into one near by', () => {
    expect(numbers('core/src/x/x.ts', 'const least = 0.2;\nconst hours = 24;\nconst one = 1;')).toEqual([
      [0.2, 0.2 * 1.1],
      [24, 26],
      [1, 2],
    ]);
    const row = "export const rows = [{ id: 'a', due: { hours: 24 } }];";
    expect(numbers('core/src/x/tables/rows.ts', row)).toEqual([[24, 26]]);
    expect(numbers('core/src/x/rows.ts', row)).toEqual([]);
  });

  it('are those that something is compared with, also within a function', () => {
    expect(numbers('core/src/x/x.ts', 'const over = (volumes: number) => volumes >= 5;')).toEqual([[5, 6]]);
    expect(numbers('core/src/x/x.ts', 'const some = (list: []) => list.length > 3 || list.length < 1;')).toEqual([]);
  });

  it('are not those of a formula, of a type, of an index, of nothing, and of how long a text may be', () => {
    const text = [
      'const area = (d: number) => (Math.PI * d * d) / 4;',
      'type Two = 2;',
      'const first = list[1];',
      'const none = 0;',
      'const reason = z.string().trim().min(3).max(500);',
      'const names = z.array(name).max(20);',
    ].join('\n');
    expect(numbers('core/src/x/x.ts', text)).toEqual([]);
    expect(numbers('core/src/x/x.ts', 'const ph = z.number().max(14);')).toEqual([[14, 15]]);
  });

  it('always become another', () => {
    for (const value of [0.001, 0.5, 1, 9, 10, 12.5, 100, 86_400_000]) expect(changed(value)).not.toBe(value);
    expect([9, 10, 0.5].map(changed)).toEqual([10, 11, 0.55]);
  });
});
