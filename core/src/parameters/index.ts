import { z } from 'zod';
import type { Finding } from '../findings/index.ts';
import { base, convert, fromBase, readNumber, showNumber, unit, unitLabel, type Typed } from '../units/index.ts';
import { parameters, type ParameterRow } from './tables/parameters.ts';

export type ParameterId = keyof typeof parameters;
export const parameterIds = Object.keys(parameters) as [ParameterId, ...ParameterId[]];
export const ParameterId = z.enum(parameterIds);

export function parameter(id: ParameterId): ParameterRow {
  return parameters[id];
}

/** The name of a parameter inside a sentence: `dissolved oxygen`, `pH`. */
export function inText(id: ParameterId): string {
  const short = parameter(id).name.replace(/ (at 25 °C|\(as .*\))$/, '');
  return /^(pH|E\. )/.test(short) ? short : short.charAt(0).toLowerCase() + short.slice(1);
}

/** A typed reading of a parameter, in the parameter's own unit. */
export function inOwnUnit(id: ParameterId, typed: Typed): number {
  return fromBase(base(typed), parameter(id).unit);
}

/**
 * Judges a typed reading of a parameter as it is entered. `stop` is a number that cannot be (wrong dimension, outside
 * what is possible); `question` is one that is unusual enough to look at the instrument again.
 */
export function questionReading(id: ParameterId, typed: Typed): Finding[] {
  const row = parameter(id);
  const reading = readNumber(typed.text);
  if (!reading.ok) return [{ code: reading.code, severity: 'stop', message: reading.message, about: id }];
  if (unit(typed.unit).dimension !== unit(row.unit).dimension) {
    return [
      { code: 'wrong-unit', severity: 'stop', message: `${unitLabel(typed.unit)} is not a unit of ${row.name.toLowerCase()}.`, about: id },
    ];
  }
  const value = convert(reading.value, typed.unit, row.unit);
  const inside = (range: readonly [number, number]) => value >= range[0] && value <= range[1];
  const between = (range: readonly [number, number]) =>
    `${showNumber(convert(range[0], row.unit, typed.unit), 0)} to ${showNumber(convert(range[1], row.unit, typed.unit), 0)} ${unitLabel(typed.unit)}`;
  if (!inside(row.possible)) {
    return [
      {
        code: 'impossible',
        severity: 'stop',
        about: id,
        message: `${row.name} can only be ${between(row.possible)}.`,
        advice: 'Look at the decimal mark and the unit.',
      },
    ];
  }
  if (row.usual && !inside(row.usual)) {
    return [
      {
        code: 'unusual',
        severity: 'question',
        about: id,
        message: `${row.name} is usually ${between(row.usual)}.`,
        advice: 'Read the instrument again. Keep it if it says the same.',
      },
    ];
  }
  return [];
}
