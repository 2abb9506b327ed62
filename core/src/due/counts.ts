import { countRules, type CountRule } from './tables/counts.ts';

export type { CountRule };
export type CountRuleId = keyof typeof countRules;
export const countRuleIds = Object.keys(countRules) as [CountRuleId, ...CountRuleId[]];
export const countRule = (id: CountRuleId): CountRule => countRules[id];

/**
 * How many samples a rule asks for in its period, by the size of the supply; null for none, and for less than the rule has a number for.
 * @example countFor('us-coliform', 5000) // 6
 * @example countFor('eu-group-b', 5600) // 3
 */
export function countFor(id: CountRuleId, size: number): number | null {
  const { rows, steps = [], leftUpTo = 0 } = countRule(id);
  if (!(size > leftUpTo)) return null;
  const row = rows.find(([most]) => size <= most);
  if (row) return row[1];
  const step = steps.find(({ upTo }) => size <= upTo);
  return step ? step.base + Math.ceil((size - step.over) / step.each) * step.count : rows.at(-1)![1];
}
