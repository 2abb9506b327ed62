import { countBottles } from '../plan/index.ts';
import type { BottleState } from './bottle.ts';
import type { RoundState } from './fold.ts';

/** How many spare bottles of a kind were to be packed, and how many of them have not taken a place yet; never below none. */
export function sparesOf(
  { bottles, tables }: RoundState,
  { rule, card }: Pick<BottleState, 'rule' | 'card'>,
): { packed: number; left: number } {
  const planned = bottles.filter(({ spare }) => !spare);
  const counts = tables.bottles ? countBottles(tables.bottles, planned) : [];
  const packed = counts.find((one) => one.rule === rule && one.card.container === card.container)?.spares ?? 0;
  const used = bottles.filter((one) => one.spare && one.rule === rule && one.card.container === card.container).length;
  return { packed, left: Math.max(0, packed - used) };
}

/** What is said of the spares before a bottle is thrown away. */
export function saySpares({ packed, left }: { packed: number; left: number }): string {
  if (left > 0)
    return left === 1 ? 'One spare of this kind was packed and is left.' : `${left} of ${packed} packed spares of this kind are left.`;
  return 'No packed spare of this kind is left. Keep this one unless you have another bottle with you.';
}
