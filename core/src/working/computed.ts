import { fromBase, showNumber, toBase, unitLabel, type UnitId } from '../units/index.ts';
import type { Computed } from './working.ts';

/** A quantity that a formula takes: its symbol there, and the unit and decimals in which it is shown. */
export interface Taken {
  symbol: string;
  name: string;
  unit: UnitId;
  decimals: number;
  /** What it is where nobody says it, in base units. */
  usual?: number;
}

/** What a formula is given, in base units; a computed value brings its own working along. */
export type Given<I extends Record<string, Taken>> = {
  [K in keyof I as I[K] extends { usual: number } ? never : K]: number | Computed;
} & { [K in keyof I as I[K] extends { usual: number } ? K : never]?: number | Computed };

interface Declared<I extends Record<string, Taken>> {
  /** `V = π/4 · d² · h`, with the symbols of the inputs on its right side. */
  formula: string;
  /** The base unit of the result. */
  unit: UnitId;
  /** How the result is shown. */
  shown: readonly [UnitId, decimals: number];
  source: string;
  inputs: I;
}

/** A formula that computes and explains itself. */
export interface Formula<I extends Record<string, Taken>> extends Declared<I> {
  (given: Given<I>): Computed;
}

const shownIn = (value: number, id: UnitId, decimals: number) => `${showNumber(value, decimals)} ${unitLabel(id)}`.trim();

/** The right side of a formula with numbers in the place of its symbols. */
function filledIn(formula: string, numbers: ReadonlyMap<string, string>): string {
  const right = formula.slice(formula.indexOf('=') + 1).trim();
  return right.replace(/\p{L}+/gu, (word, at: number) => {
    const number = numbers.get(word);
    if (number === undefined) return word;
    return /[²³]/.test(right[at + word.length] ?? '') && /[^\d.]/.test(number) ? `(${number})` : number;
  });
}

/**
 * A calculation declared once: the formula as people read it, what goes in, and the arithmetic over the inputs in base units.
 * The steps are the formula with its numbers, so that the explanation cannot tell of another calculation; a test reads every
 * formula as arithmetic and compares.
 * @example computed({ formula: 'h = B − d', unit: 'm', shown: ['m', 3], source, inputs }, ({ bottom, depth }) => bottom - depth)
 */
export function computed<const I extends Record<string, Taken>>(
  declared: Declared<I>,
  arithmetic: (values: { [K in keyof I]: number }) => number,
): Formula<I> {
  const { formula, unit: own, shown, source } = declared;
  const inputs = Object.entries(declared.inputs);
  const compute = (given: Given<I>): Computed => {
    const taken = (name: string) => (given as Record<string, number | Computed | undefined>)[name];
    const valueOf = (name: string) => {
      const one = taken(name) ?? declared.inputs[name]!.usual ?? NaN;
      return typeof one === 'number' ? one : one.value;
    };
    const values = Object.fromEntries(inputs.map(([name]) => [name, valueOf(name)])) as { [K in keyof I]: number };
    const value = arithmetic(values);
    const read = inputs.map(([name, { symbol, name: title, unit: id, decimals }]) => ({
      symbol,
      name: title,
      value: fromBase(values[name]!, id),
      unit: id,
      decimals,
    }));
    const numbers = new Map(read.map((one) => [one.symbol, shownIn(one.value, one.unit, one.decimals)]));
    const before = inputs.flatMap(([name]) => {
      const one = taken(name);
      return typeof one === 'object' ? one.working.steps : [];
    });
    const result = shownIn(fromBase(toBase(value, own), shown[0]), ...shown);
    return {
      value,
      unit: own,
      working: { formula, inputs: read, steps: [...before, `${filledIn(formula, numbers)} = ${result}`], source },
    };
  };
  return Object.assign(compute, declared);
}
