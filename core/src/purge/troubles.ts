import { troubles, type ChoiceRow, type Makes, type TroubleRow } from './tables/troubles.ts';

export type { ChoiceRow, Makes, TroubleRow };
export type TroubleId = keyof typeof troubles;
export const troubleIds = Object.keys(troubles) as [TroubleId, ...TroubleId[]];
export const trouble = (id: TroubleId): TroubleRow => troubles[id];

/** A way on from a trouble, or null where the table has none of that name. */
export function choiceOf(id: TroubleId, choice: string): ChoiceRow | null {
  const { choices } = trouble(id);
  return Object.hasOwn(choices, choice) ? choices[choice]! : null;
}
