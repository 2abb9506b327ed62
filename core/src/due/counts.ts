import { countRules, type CountRule } from './tables/counts.ts';

export type { CountRule };
export type CountRuleId = keyof typeof countRules;
export const countRuleIds = Object.keys(countRules) as [CountRuleId, ...CountRuleId[]];
export const countRule = (id: CountRuleId): CountRule => countRules[id];

/**
 * How many samples a rule asks for in its period, by the size of the supply; null for none or less.
 * @example countFor('us-coliform', 5000) // 6
 */
export function countFor(id: CountRuleId, size: number): number | null {
  const { rows, more } = countRule(id);
  if (!(size > 0)) return null;
  const row = rows.find(([most]) => size <= most);
  if (row) return row[1];
  const [most, count] = rows.at(-1)!;
  return more ? count + Math.ceil((size - most) / more.each) * more.count : count;
}
