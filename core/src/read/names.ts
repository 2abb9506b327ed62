import { parameter, type ParameterId } from '../parameters/index.ts';
import type { UnitId } from '../units/index.ts';
import { fold } from './mapping.ts';
import { parameterSpellings, unitSpellings } from './tables/spellings.ts';

/** The longest cell that names a parameter, or a unit with what it is expressed as. */
const longestName = 200;

const byParameterSpelling = new Map<string, ParameterId>(
  Object.entries(parameterSpellings).flatMap(([id, names]) => names.map((name) => [name, id as ParameterId])),
);

/** What may stand in brackets behind any name and changes nothing that is read. */
const harmless: ReadonlySet<string> = new Set([
  '',
  '25c',
  'at25c',
  'a25c',
  'total',
  'dissolved',
  'dissolvido',
  'dissous',
  'gelost',
  'disuelto',
]);
const basis = /^(as|em|como)?(n|no3|no2|nh4)$/;

/** Whether brackets say of a parameter what is known of it anyway: its symbol, its basis, a fraction. */
function isKnownOf(id: ParameterId, bracket: string): boolean {
  const said = fold(bracket);
  return (
    harmless.has(said) ||
    byParameterSpelling.get(said) === id ||
    unitCalled(bracket) !== null ||
    ('N' in (parameter(id).expressedAs ?? {}) && basis.test(said))
  );
}

/**
 * The parameter a lab's wording means, or null: the whole of it, or what stands before brackets that say nothing else. What is
 * in brackets is never dropped unread: `chromium (VI)` is not chromium, and `sulfate (as S)` not sulfate.
 */
export function parameterCalled(name: string): ParameterId | null {
  if (name.length > longestName) return null;
  const whole = byParameterSpelling.get(fold(name));
  if (whole) return whole;
  const before = name.replace(/\([^()]*\)/g, ' ');
  const plain = before.replace(/,?\s*(dissolved|total|dissolvido|dissous|gelöst)\s*$/i, '');
  const id = byParameterSpelling.get(fold(before)) ?? byParameterSpelling.get(fold(plain));
  const brackets = [...name.matchAll(/\(([^()]*)\)/g)].map((match) => match[1]!);
  return id && brackets.every((bracket) => isKnownOf(id, bracket)) ? id : null;
}

/** A unit as a lab writes it, with the expression it names: `mg/L N` is mg/L, expressed as nitrogen. Null for any other bracket. */
export function unitCalled(text: string): { unit: UnitId; as: 'N' | 'ion' | null } | null {
  if (text.length > longestName) return null;
  const plain = text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[μµ]/g, 'u')
    .replace(/[₀-₉]/g, (digit) => String(digit.charCodeAt(0) - 0x2080));
  const as =
    /(^|[^a-z])(as\s+)?n(\)|$|\/l)/.test(plain.replace('n/100', '')) && /mg|ug/.test(plain)
      ? 'N'
      : /no3|no2|nh4/.test(plain)
        ? 'ion'
        : null;
  const brackets = plain.match(/\([^()]*\)/g) ?? [];
  if (brackets.some((bracket) => !/^\(\s*((as\s+)?(n|no3|no2|nh4)|(at|a)?\s*25\s*(°|o)?\s*c)\s*\)$/.test(bracket))) return null;
  const bare = plain
    .replace(/\([^()]*\)/g, '')
    .replace(/\b(as\s+)?(n|no3|no2|nh4)\b/g, '')
    .replace(/\s+/g, '');
  const found = unitSpellings[plain.replace(/\s+/g, '')] ?? unitSpellings[bare];
  return found ? { unit: found, as } : null;
}

/** The unit that stands in brackets behind a name: `Turbidity (NTU)`. */
export const unitIn = (name: string) => {
  for (const [, bracket] of name.slice(0, longestName).matchAll(/\(([^()]*)\)/g)) {
    const called = unitCalled(bracket!);
    if (called) return called;
  }
  return null;
};

/** How a name says that its nitrogen is expressed; null where it does not. */
function basisIn(name: string): 'N' | 'ion' | null {
  const folded = fold(name);
  const isN =
    /(as|em|como)n$|^azotoamoniacal$/.test(folded) ||
    /\(\s*N\s*\)|\bas\s+N\b|\bN\s*[-–]?\s*N[OH][₂₃₄234]|N[OH][₂₃₄234][+-]?\s*[-–]?\s*N\b|[-–]\s*N\b/.test(name);
  return isN ? 'N' : /no3|no2|nh4/.test(folded) ? 'ion' : null;
}

/** How nitrogen is expressed in a row; `contradicts` where name and unit say different things, null where neither does. */
export function expression(id: ParameterId, name: string, unitAs: 'N' | 'ion' | null): 'N' | 'ion' | 'contradicts' | null {
  if (!('N' in (parameter(id).expressedAs ?? {}))) return 'ion';
  const nameAs = basisIn(name) ?? unitIn(name)?.as ?? null;
  return nameAs && unitAs && nameAs !== unitAs ? 'contradicts' : (unitAs ?? nameAs);
}
