/**
 * Rules whose duty is done once another rule's is, at the same point: a round that is judged by other limits does not ask twice for one
 * call. By the rule that asks.
 */
export const doneBy: Readonly<Record<string, readonly string[]>> = {
  'ecoli-authority': ['ecoli-at-once'],
  'ecoli-at-once': ['ecoli-authority'],
  'coliform-repeats': ['coliform-cause'],
  'action-level-operator': ['chemical-authority'],
  'chemical-authority': ['action-level-operator'],
};
