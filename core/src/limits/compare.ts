import { parameter, parameterIds, type ParameterId } from '../parameters/index.ts';
import { convert } from '../units/index.ts';
import { limitsFor } from './judge.ts';
import { limitKinds, type LimitKind, type LimitRow, type LimitSet } from './tables/limit-set.ts';

/** The values of one parameter and kind in two sets. */
export interface ComparedValue {
  parameter: ParameterId;
  kind: LimitKind;
  /** What each set says on the day, strictest first; empty where it has no value of that kind. */
  first: readonly LimitRow[];
  second: readonly LimitRow[];
  /** Which set asks for more; null where one of them has no value, or one is stricter above and the other below. */
  stricter: 'first' | 'second' | 'same' | null;
}

/** The range that rows leave, in the parameter's own unit. */
function rangeOf(id: ParameterId, rows: readonly LimitRow[]): { least: number; most: number } {
  const own = (value: number | undefined, row: LimitRow) => (value === undefined ? null : convert(value, row.unit, parameter(id).unit));
  const known = (values: (number | null)[]) => values.filter((value) => value !== null);
  return {
    least: Math.max(-Infinity, ...known(rows.map((row) => own(row.least, row)))),
    most: Math.min(Infinity, ...known(rows.map((row) => own(row.most, row)))),
  };
}

/** −1 where a is less, 1 where it is more; alike within a billionth, for units that no binary fraction holds. */
const order = (a: number, b: number) => (a === b || Math.abs(a - b) <= Math.abs(b) * 1e-9 ? 0 : a < b ? -1 : 1);

function stricterOf(id: ParameterId, first: readonly LimitRow[], second: readonly LimitRow[]): ComparedValue['stricter'] {
  if (first.length === 0 || second.length === 0) return null;
  const [a, b] = [rangeOf(id, first), rangeOf(id, second)];
  const [above, below] = [order(a.most, b.most), -order(a.least, b.least)];
  if (above === 0 && below === 0) return 'same';
  if (above <= 0 && below <= 0) return 'first';
  return above >= 0 && below >= 0 ? 'second' : null;
}

/**
 * Two sets beside each other as they hold on a day of sampling (`YYYY-MM-DD`), wherever the water is taken: a row for each parameter and kind
 * of which one of them has a value, in the order of the parameters.
 */
export function compareSets(first: LimitSet, second: LimitSet, day: string): ComparedValue[] {
  return parameterIds.flatMap((id) => {
    const [ofFirst, ofSecond] = [limitsFor(first, id, day), limitsFor(second, id, day)];
    return limitKinds.flatMap((kind): ComparedValue[] => {
      const own = (rows: readonly LimitRow[]) => rows.filter((row) => row.kind === kind);
      const [a, b] = [own(ofFirst), own(ofSecond)];
      return a.length + b.length === 0 ? [] : [{ parameter: id, kind, first: a, second: b, stricter: stricterOf(id, a, b) }];
    });
  });
}
