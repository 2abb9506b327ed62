import type { HandCompared, ReadBook } from '../read/index.ts';
import type { BottleState } from './bottle.ts';
import type { VisitState } from './visit.ts';

/** A sample of which Fonte has no values: a person compares its report with the limits. */
export interface HandSample {
  /** The label of the sample. */
  set: string;
  visit: string;
  pointName: string;
  /** What is measured in it, in words. */
  measures: string;
  /** Null until it was compared. */
  given: HandCompared | null;
}

/** A bottle that the lab has, as far as it said. */
export const isAtLab = (bottle: BottleState) => bottle.handedOver && !bottle.lost && bottle.accepted !== false;

/** The first bottle of each sample: several vials are one. */
export const onePerSample = <B extends Pick<BottleState, 'set'>>(bottles: readonly B[]): B[] =>
  bottles.filter((bottle, place) => bottles.findIndex(({ set }) => set === bottle.set) === place);

/** Samples at the lab that a person compares with the limits, each once. */
export function handSamples(visits: readonly VisitState[], { byHand }: ReadBook): HandSample[] {
  const all = visits.flatMap((visit) =>
    visit.bottles.filter(isAtLab).flatMap(({ set, card: { measures } }): HandSample[] => {
      if (measures === undefined) return [];
      return [{ set, visit: visit.id, pointName: visit.name, measures, given: byHand.find((one) => one.set === set) ?? null }];
    }),
  );
  return [...new Map(all.map((one) => [one.set, one])).values()];
}
