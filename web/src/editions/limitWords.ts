import type { LimitKind, LimitRow } from '@fonte/core/limits';
import { parameter, type ParameterId } from '@fonte/core/parameters';
import { showExact, unitLabel } from '@fonte/core/units';

/** What a value protects. */
export const limitKindNames: Readonly<Record<LimitKind, string>> = {
  health: 'Health',
  action: 'Action level',
  operational: 'Crops, animals, plant',
  indicator: 'Indicator',
  aesthetic: 'Taste and looks',
};

/** A value as a person reads it: `50 mg/L`, `6.5 to 9.5`, `at least 0.2 mg/L`. */
export function sayLimit({ most, least, unit }: Pick<LimitRow, 'most' | 'least' | 'unit'>): string {
  const of = unit === 'pH' ? '' : ` ${unitLabel(unit)}`;
  const shown = (value: number) => showExact(Number(value.toPrecision(4)));
  if (most === undefined) return `at least ${shown(least ?? 0)}${of}`.trim();
  return `${least === undefined ? '' : `${shown(least)} to `}${shown(most)}${of}`.trim();
}

/** Under what it holds besides. */
export function sayCondition({ at, isTreated, from, until, note }: LimitRow): string {
  const parts = [
    at ? `at: ${at.map((kind) => kind.replaceAll('-', ' ')).join(', ')}` : '',
    isTreated === undefined ? '' : isTreated ? 'treated water' : 'untreated water',
    from ? `from ${from}` : '',
    until ? `until ${until}` : '',
    note ?? '',
  ];
  return parts.filter(Boolean).join('; ');
}

/** In which way a value is given, by a key of the parameter's ways: `as N`, `as NO₃`, `at 20 °C`. */
export function sayWay(id: ParameterId, way: string): string {
  if (/^\d/.test(way)) return `at ${way} °C`;
  if (way !== 'ion') return `as ${way}`;
  const { symbol, expressedAs = {} } = parameter(id);
  return `as ${symbol ?? ('P' in expressedAs ? 'PO₄' : 'NO₃')}`;
}
