import type { Coded } from '../findings/index.ts';

/**
 * Why an entry does not fit its book at its own time: a code, the path of the field it concerns, and what the words need.
 * It is data of the book, not a refusal: the entry stands set aside until a person places or strikes it.
 */
export interface Misfit extends Coded {
  field: string;
}

export function misfit(code: string, field: string, data?: Misfit['data']): Misfit {
  return data ? { code, field, data } : { code, field };
}

/** An entry that stands in the book and takes no part in its state, and why. */
export interface Aside<E> {
  entry: E;
  misfit: Misfit;
}
