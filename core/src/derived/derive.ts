import { boundsOf, type Bounded } from '../limits/index.ts';
import { bareName, molarMass, parameter, type ParameterId } from '../parameters/index.ts';
import type { LabResult } from '../read/index.ts';
import { showNumber } from '../units/index.ts';
import type { Working } from '../working/index.ts';
import { quantities, type QuantityRow } from './tables/quantities.ts';

/** A quantity that was worked out, from what it is at least to what it is at most. */
export interface Derived {
  row: QuantityRow;
  low: number;
  high: number;
  /** What would count and was not reported. */
  without: readonly ParameterId[];
  /** What it is called, by whom; only where the whole span falls into one class. */
  classes: readonly { by: string; name: string }[];
  working: Working;
}

interface Span {
  low: number;
  high: number;
}

/** mg/L of calcium carbonate in one of bicarbonate and of carbonate, which a lab may report in place of alkalinity. */
const asAlkalinity = {
  bicarbonate: molarMass('CaCO3') / 2 / molarMass('HCO3'),
  carbonate: molarMass('CaCO3') / molarMass('CO3'),
} as const;

/** The span of each parameter that was reported: of several results of one, dissolved before total, since ions are dissolved. */
function spansOf(results: readonly Bounded[]): Map<ParameterId, Span> {
  const spans = new Map<ParameterId, Span>();
  const fraction = (result: Bounded) => ((result as Partial<LabResult>).fraction === 'dissolved' ? 0 : 1);
  for (const result of [...results].sort((a, b) => fraction(a) - fraction(b)))
    if (!spans.has(result.parameter)) spans.set(result.parameter, boundsOf(result));
  const [bicarbonate, carbonate] = [spans.get('bicarbonate'), spans.get('carbonate')];
  if (!spans.has('alkalinity') && bicarbonate)
    spans.set('alkalinity', {
      low: bicarbonate.low * asAlkalinity.bicarbonate + (carbonate?.low ?? 0) * asAlkalinity.carbonate,
      high: bicarbonate.high * asAlkalinity.bicarbonate + (carbonate?.high ?? 0) * asAlkalinity.carbonate,
    });
  return spans;
}

/** Every way in which parts may lie at one end of their spans: at the ends a quantity is least and most. */
function* corners(parts: readonly (readonly [ParameterId, Span])[]): Generator<Map<ParameterId, number>> {
  const open = parts.filter(([, { low, high }]) => low !== high);
  for (let mask = 0; mask < 2 ** open.length; mask += 1) {
    const ends = new Map(parts.map(([id, { low }]) => [id, low]));
    for (const [place, [id, { high }]] of open.entries()) if (mask & (1 << place)) ends.set(id, high);
    yield ends;
  }
}

function classOf({ classes = [] }: QuantityRow, low: number, high: number): Derived['classes'] {
  return classes.flatMap(({ by, rows }) => {
    const at = (value: number) => rows.findLast(({ from }, place) => (place === 0 ? value >= from : value > from))?.name;
    const name = at(low);
    return name !== undefined && name === at(high) ? [{ by, name }] : [];
  });
}

function deriveOne(row: QuantityRow, spans: ReadonlyMap<ParameterId, Span>): Derived | null {
  const there = row.parts.flatMap(({ parameter: id }) => {
    const span = spans.get(id);
    return span && Number.isFinite(span.high) ? [[id, span] as const] : [];
  });
  const has = (id: ParameterId) => there.some(([one]) => one === id);
  if (row.parts.some(({ parameter: id, isNeeded }) => isNeeded && !has(id))) return null;
  let [low, high] = [Infinity, -Infinity];
  for (const ends of corners(there)) {
    const value = row.compute((id) => ends.get(id) ?? 0);
    if (!Number.isFinite(value)) return null;
    [low, high] = [Math.min(low, value), Math.max(high, value)];
  }
  const shown = (value: number) => `${showNumber(value, row.decimals)} ${row.unit}`.trim();
  return {
    row,
    low,
    high,
    without: row.parts.flatMap(({ parameter: id, isNeeded }) => (isNeeded || has(id) ? [] : [id])),
    classes: classOf(row, low, high),
    working: {
      formula: row.formula,
      inputs: there.map(([id, span]) => ({
        symbol: parameter(id).symbol ?? bareName(id),
        name: bareName(id),
        value: span.high,
        unit: parameter(id).unit,
        decimals: parameter(id).decimals,
      })),
      steps: [low === high || shown(low) === shown(high) ? shown(high) : `${shown(low)} to ${shown(high)}`],
      source: row.source,
    },
  };
}

/**
 * What follows from the results of one water: hardness and its classes, dissolved solids, SAR, sums of ions. Each from what it is at least to
 * what it is at most, since a result may be known only to lie below a bound; left out where a part that it needs was not reported.
 * @example derive([{ parameter: 'calcium', form: 'value', value: 40 }, { parameter: 'magnesium', form: 'value', value: 12 }])[0]?.row.id // 'hardness'
 */
export function derive(results: readonly Bounded[]): Derived[] {
  const spans = spansOf(results);
  return quantities.flatMap((row) => deriveOne(row, spans) ?? []);
}
