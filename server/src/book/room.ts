import type { Route } from '../http/index.ts';
import type { Derived } from './derivation.ts';

/** A room of the work as the server has it: what it derives from the books, and what can be asked there. */
export interface ServerRoom<S> {
  name: string;
  derived?: readonly Partial<Derived>[];
  /** Made once for each server; `S` is all that it works with. */
  routes?: (services: S) => readonly Route[];
}
