import { boundsOf, type Bounded } from '../limits/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { Derived } from './derive.ts';
import { animals, boronTolerance, infiltration } from './tables/irrigation.ts';

export type Infiltration = 'none' | 'slight-to-moderate' | 'severe' | 'open';

/**
 * What water does to how soil takes water in, by its SAR and its conductivity (µS/cm at 25 °C) together: little salt makes sodium worse.
 * `open` where the spans fall into more than one class, or SAR is over 40.
 * @throws RangeError for a span that ends before it begins
 * @example infiltrationBy({ low: 5, high: 5 }, { low: 1500, high: 1500 }) // 'none'
 */
export function infiltrationBy(sar: { low: number; high: number }, conductivity: { low: number; high: number }): Infiltration {
  if (sar.low > sar.high || conductivity.low > conductivity.high) throw new RangeError('A span ends before it begins.');
  const at = (ratio: number, microsiemens: number): Infiltration => {
    const row = infiltration.find(({ upTo }) => ratio <= upTo);
    if (!row) return 'open';
    const salt = microsiemens / 1000;
    return salt > row.noneOver ? 'none' : salt < row.severeUnder ? 'severe' : 'slight-to-moderate';
  };
  const found = new Set([sar.low, sar.high].flatMap((ratio) => [conductivity.low, conductivity.high].map((salt) => at(ratio, salt))));
  const [only] = found;
  return found.size === 1 ? only! : 'open';
}

/** What water for crops says beside the values of a set. */
export interface ForCrops {
  infiltration: Infiltration | null;
  /** Groups of crops that suffer from its boron, the most sensitive first. */
  boron: readonly { name: string; crops: string }[];
}

const spanOf = (results: readonly Bounded[], id: ParameterId) => {
  const result = results.find((one) => one.parameter === id);
  return result ? boundsOf(result) : null;
};

/** What the results of one water say of crops: of a SAR that was reported, else of one that was worked out. */
export function forCrops(results: readonly Bounded[], derived: readonly Derived[]): ForCrops {
  const sar = spanOf(results, 'sar') ?? derived.find(({ row }) => row.id === 'sar') ?? null;
  const conductivity = spanOf(results, 'conductivity');
  const boron = spanOf(results, 'boron');
  return {
    infiltration: sar && conductivity ? infiltrationBy(sar, conductivity) : null,
    boron: boron ? boronTolerance.filter(({ most }) => boron.low > most) : [],
  };
}

/** Kinds of animals for which water is too salty or has too much magnesium, with which of them. */
export function notForAnimals(results: readonly Bounded[]): { name: string; of: readonly ParameterId[] }[] {
  const conductivity = spanOf(results, 'conductivity');
  const magnesium = spanOf(results, 'magnesium');
  return animals.flatMap(({ name, ...most }) => {
    const of: ParameterId[] = [
      ...(conductivity && conductivity.low / 1000 > most.conductivity ? (['conductivity'] as const) : []),
      ...(magnesium && magnesium.low > most.magnesium ? (['magnesium'] as const) : []),
    ];
    return of.length > 0 ? [{ name, of }] : [];
  });
}
