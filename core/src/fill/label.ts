import type { FieldBottle } from './fill.ts';

/** Whose a code is that was read where one bottle is expected. */
export type Scanned =
  | { is: 'this' }
  /** The label of another bottle of the round. */
  | { is: 'other'; bottle: string; visit: string }
  /** No label of ours: the lab's own code, or anything else that has one. */
  | { is: 'unknown'; code: string };

type Labelled = Pick<FieldBottle, 'id' | 'visit' | 'supply'> & { code: string | null };

/**
 * Whose a code is: our own label, the lab's code that was written down for a bottle, or nobody's yet. Case and blanks about it do not
 * matter; anything else does.
 */
export function readCode(said: string, expected: Pick<FieldBottle, 'id'>, bottles: readonly Labelled[]): Scanned | null {
  const code = said.trim();
  if (code === '') return null;
  const fold = (text: string) => text.toUpperCase();
  const owner = bottles.find((one) => [one.id, one.code].some((name) => name !== null && fold(name) === fold(code)));
  if (owner) return owner.id === expected.id ? { is: 'this' } : { is: 'other', bottle: owner.id, visit: owner.visit };
  const supplied = bottles.find((one) => one.supply !== null && fold(one.supply) === fold(code));
  return supplied ? { is: 'other', bottle: supplied.supply!, visit: supplied.visit } : { is: 'unknown', code };
}
