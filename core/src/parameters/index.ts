import { z } from 'zod';
import type { Finding } from '../findings/index.ts';
import { base, convert, fromBase, readNumber, unit, type Typed } from '../units/index.ts';
import { parameters, type ParameterRow } from './tables/parameters.ts';

export { parameterKinds, type ParameterKind, type ParameterRow } from './tables/parameters.ts';
export { molarMass, perPart } from './tables/atoms.ts';
export { charges } from './tables/charges.ts';

export type ParameterId = keyof typeof parameters;
export const parameterIds = Object.keys(parameters) as [ParameterId, ...ParameterId[]];
export const ParameterId = z.enum(parameterIds);

export function parameter(id: ParameterId): ParameterRow {
  return parameters[id];
}

/** Whether it lives and is looked for as such: one of it may be too many. A count of colonies is not one. */
export const isGerm = (id: ParameterId): boolean => parameter(id).kind === 'germ';

/** Whether it is counted: a number of it is exact, and nothing found of it is none. */
export const isCounted = (id: ParameterId): boolean => ['germ', 'count'].includes(parameter(id).kind);

/** The name of a parameter without how its results are kept: `Nitrate`, `Conductivity`. */
export const bareName = (id: ParameterId): string => parameter(id).name.replace(/ (at 25 °C|\(as [^()]*\))$/, '');

/** Of these the name begins with a capital inside a sentence too: short names, and germs after who found them. */
const isProper = (name: string) =>
  /^(pH|E\. |[A-Z][A-Z0-9]|Clostridium|Pseudomonas|Staphylococcus|Salmonella|Legionella|Cryptosporidium|Giardia)/.test(name);

/** The name of a parameter inside a sentence: `dissolved oxygen`, `pH`. */
export function inText(id: ParameterId): string {
  const short = bareName(id);
  return isProper(short) ? short : short.charAt(0).toLowerCase() + short.slice(1);
}

/** A typed reading of a parameter, in the parameter's own unit. */
export function inOwnUnit(id: ParameterId, typed: Typed): number {
  return fromBase(base(typed), parameter(id).unit);
}

/**
 * Judges a typed reading of a parameter as it is entered. `stop` is a number that cannot be (wrong dimension, outside
 * what is possible); `question` is one that is unusual enough to look at the instrument again.
 * @example questionReading('ph', { text: '15', unit: 'pH' })[0].severity // 'stop'
 */
export function questionReading(id: ParameterId, typed: Typed): Finding[] {
  const row = parameter(id);
  const reading = readNumber(typed.text);
  if (!reading.ok)
    return [
      {
        code: 'no-number',
        severity: 'stop',
        field: id,
        data: { number: reading.code, text: reading.text, suggestion: reading.suggestion ?? '', unit: typed.unit },
      },
    ];
  if (unit(typed.unit).dimension !== unit(row.unit).dimension)
    return [{ code: 'wrong-unit', severity: 'stop', field: id, data: { parameter: id, unit: typed.unit } }];
  const value = convert(reading.value, typed.unit, row.unit);
  const isIn = ([least, most]: readonly [number, number]) => value >= least && value <= most;
  const range = ([least, most]: readonly [number, number]) => ({
    parameter: id,
    least: convert(least, row.unit, typed.unit),
    most: convert(most, row.unit, typed.unit),
    unit: typed.unit,
  });
  if (!isIn(row.possible)) return [{ code: 'impossible', severity: 'stop', field: id, data: range(row.possible) }];
  if (row.usual && !isIn(row.usual)) return [{ code: 'unusual', severity: 'question', field: id, data: range(row.usual) }];
  return [];
}

export * from './words.ts';
export { conductivityAt25, conductivityFactor, conductivityFrom20 } from './conductivity.ts';
export { oxygenAtSea, oxygenSaturation, pressureAt } from './oxygen.ts';
