import { parameter, type ParameterId } from '../../parameters/index.ts';
import type { UnitId } from '../../units/index.ts';
import { fold } from './fold.ts';
import type { Basis } from '../tables/bases.ts';
import { fractionWords, type Fraction } from '../tables/fractions.ts';
import { sumCalled } from '../tables/names/groups.ts';
import { elements } from '../tables/bases.ts';
import { parameterBySpelling as byParameterSpelling, unitSpellings } from '../tables/spellings.ts';

/** The longest cell that names a parameter, or a unit with what it is expressed as. */
const longestName = 200;

/** A unit as a lab writes it, with the expression it names. */
export interface CalledUnit {
  unit: UnitId;
  as: Basis | null;
}

/** What a lab's wording for a parameter says; null for each thing that it does not say. */
export interface Named {
  parameter: ParameterId;
  fraction: Fraction | null;
  as: Basis | null;
  unit: CalledUnit | null;
}

/** An index as a digit, a micro sign as u, small letters without accents. */
const plainly = (text: string) =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[μµ]/g, 'u')
    .replace(/[₀-₉]/g, (digit) => String(digit.charCodeAt(0) - 0x2080));

const lead = '(^|[^a-z])';
/** How a unit says what it is expressed as: `mg/L N`, `mg/L NO3-N`, `mg/L as PO4`. */
const inUnits = elements.flatMap(({ as, element, wholes }) => {
  const like = (words: string) => new RegExp(`${lead}(?:(?:as|em|como)\\s+)?(?:${words})(?![a-z0-9])`);
  return [
    { as, pattern: like(`${element}-(?:${wholes})|(?:${wholes})-${element}|${element}`) },
    { as: 'ion' as const, pattern: like(`(?:${element}-)?(?:${wholes})[+-]?`) },
  ];
});
const at = /(?:(?:at|a|bei|@)\s*)?(20|25)\s*[°oº]?\s*c(?![a-z])/;

/** Takes what is said of the expression out of a unit. */
function splitBasis(plain: string): { rest: string; as: Basis | null } {
  const without = (pattern: RegExp, as: Basis) => {
    const match = pattern.exec(plain);
    return match ? { rest: plain.replace(match[0], ' '), as } : null;
  };
  if (plain.includes('/100')) return { rest: plain, as: null };
  if (/s\/c?m/.test(plain)) {
    const degrees = at.exec(plain);
    return degrees ? { rest: plain.replace(degrees[0], ' '), as: degrees[1] as Basis } : { rest: plain, as: null };
  }
  if (!/[mun]g/.test(plain)) return { rest: plain, as: null };
  for (const { as, pattern } of inUnits) {
    const split = without(pattern, as);
    if (split) return split;
  }
  return { rest: plain, as: null };
}

/** A unit as a lab writes it, with the expression it names: `mg/L N` is mg/L, expressed as nitrogen. Null for what is not known. */
export function unitCalled(text: string): CalledUnit | null {
  if (text.length > longestName) return null;
  const plain = plainly(text);
  const whole = unitSpellings[plain.replace(/\s+/g, '')];
  if (whole) return { unit: whole, as: null };
  const { rest, as } = splitBasis(plain);
  if (as === null) return null;
  const bare = unitSpellings[rest.replace(/\(\s*\)/g, '').replace(/\s+/g, '')];
  return bare ? { unit: bare, as } : null;
}

/** Whether a unit may be parts in a thousand or in a million million: nobody can tell from itself. */
export const isPartsPerT = (text: string) => /^\s*ppt\s*$/i.test(text);

/** Whether a name says that it is expressed as an element or as the whole: `Phosphate as P`, `PO4-P`, `Silica (SiO₂)`. */
function basisOf(name: string, folded: string, element: string, whole: string, as: Basis): Basis | null {
  const isElement = new RegExp(
    `(as|em|en|como|als)\\s+${element}\\b|[([]\\s*${element}\\s*[)\\]]|${whole}[0-9+-]*\\s*-\\s*${element}\\b|\\b${element}\\s*-\\s*${whole}`,
  );
  if (isElement.test(plainly(name))) return as;
  return folded.includes(whole) ? 'ion' : null;
}

/** How a name says that its result is expressed; null where it does not. */
function basisIn(id: ParameterId, name: string): Basis | null {
  const ways = parameter(id).expressedAs;
  if (!ways) return null;
  const folded = fold(name);
  if ('25' in ways) {
    const degrees = at.exec(plainly(name))?.[1] ?? /^ec(20|25)$/.exec(folded)?.[1];
    return (degrees as Basis | undefined) ?? (folded.startsWith('specificconductance') ? '25' : null);
  }
  if ('P' in ways) return basisOf(name, folded, 'p', 'po4', 'P');
  if ('Si' in ways) return basisOf(name, folded, 'si', 'sio2', 'Si');
  const isN =
    /(as|em|como)n$|^nitrogen|nitrogen$|stickstoff$|^azotoamoniacal$|^azoteammoniacal$|^azoto?(nitrico|nitroso)|^azotenitrique|^nitrogenonitrico/.test(
      folded,
    ) || /[([]\s*N\s*[)\]]|\bas\s+N\b|\bN\s*[-–]?\s*N[OH][₂₃₄234]|N[OH][₂₃₄234][+-]?\s*[-–]?\s*N\b|[-–]\s*N\b/.test(name);
  return isN ? 'N' : /no3|no2|nh4/.test(folded) ? 'ion' : null;
}

/** The fraction that a word names; a letter alone only in a column of its own. */
export function fractionCalled(text: string, { letters = false } = {}): Fraction | null {
  const word = fold(text).replace(/^(\w+?)0?45um$/, '$1');
  return (word.length > 1 || letters) && Object.hasOwn(fractionWords, word) ? fractionWords[word]! : null;
}

/** A name without its words for a fraction, which say one thing or nothing. */
function splitFraction(name: string): { rest: string; fraction: Fraction | null } | null {
  const found = new Set<Fraction>();
  const rest = name.replace(/total recoverable|(?:non|não|sin)\s+filtr\p{L}+|\p{L}{3,}/giu, (word) => {
    const fraction = fractionCalled(word);
    if (fraction) found.add(fraction);
    return fraction ? ' ' : word;
  });
  return found.size > 1 ? null : { rest, fraction: [...found][0] ?? null };
}

/** What may stand in brackets behind a name and changes nothing that is read of it. */
function isHarmless(id: ParameterId, bracket: string): boolean {
  const said = fold(bracket);
  return (
    said === '' ||
    byParameterSpelling.get(said) === id ||
    (basisIn(id, `(${bracket})`) !== null && /^(as|em|en|como|als|at|a|bei)?(n|no3|no2|nh4|p|po4|si|sio2|2[05]c)$/.test(said)) ||
    // Of pH and of turbidity it is the temperature of the lab's room.
    (id === 'ph' && /^(at|a|bei)?2[05]c$/.test(said))
  );
}

/** The parameter that a name without units and brackets means, with its fraction. */
function bareName(name: string): Pick<Named, 'parameter' | 'fraction'> | null {
  const whole = byParameterSpelling.get(fold(name));
  if (whole) return { parameter: whole, fraction: null };
  const sum = sumCalled(name);
  if (sum) return { parameter: sum, fraction: null };
  const split = splitFraction(name);
  const id = split && byParameterSpelling.get(fold(split.rest));
  if (!id || !split.fraction) return null;
  const { isBound, kind, expressedAs } = parameter(id);
  if (isBound) return { parameter: id, fraction: split.fraction };
  // A salt is dissolved in any case; of anything else a fraction would be another thing: total phosphate is not orthophosphate.
  const isSalt = kind === 'ion' || (kind === 'nutrient' && 'N' in (expressedAs ?? {}));
  return isSalt ? { parameter: id, fraction: null } : null;
}

/** A name with its unit behind it: `Iron mg/L`, `Iron, µg/L`, `Iron_mg/L`. */
function nameThenUnit(name: string): Named | null {
  for (const gap of name.matchAll(/[\s,;_]+/g)) {
    const unit = unitCalled(name.slice(gap.index + gap[0].length));
    const before = unit && bareName(name.slice(0, gap.index));
    if (before) return { ...before, as: basisIn(before.parameter, name.slice(0, gap.index)) ?? unit.as, unit };
  }
  return null;
}

/** A name with its unit in brackets that hold brackets: `Conductivity [µS/cm (25 °C)]`. */
function nameAndNested(name: string): Named | null {
  const [, before, inner] = /^([^([]+)[([](.*[([].*)[)\]]\s*$/.exec(name) ?? [];
  const unit = inner && unitCalled(inner);
  const bare = unit && bareName(before!);
  if (!bare) return null;
  const as = basisIn(bare.parameter, before!);
  return as && unit.as && as !== unit.as ? null : { ...bare, as: unit.as ?? as, unit };
}

/**
 * What a lab's wording means, or null: the whole of it, or what stands before brackets that say nothing else. What is in brackets
 * is never dropped unread: `chromium (VI)` is not chromium, and `sulfate (as S)` not sulfate.
 */
export function named(written: string): Named | null {
  if (written.length > longestName) return null;
  const nested = nameAndNested(written);
  if (nested) return nested;
  const name = written.replaceAll('[', '(').replaceAll(']', ')');
  const brackets = [...name.matchAll(/\(([^()]*)\)/g)].map((match) => match[1]!);
  const outside = name.replace(/\([^()]*\)/g, ' ');
  const whole = byParameterSpelling.get(fold(name));
  const bare = whole ? { parameter: whole, fraction: null } : bareName(outside);
  if (!bare) return brackets.length === 0 ? nameThenUnit(name) : null;
  const { parameter: id } = bare;
  const found: Named = { ...bare, as: basisIn(id, name), unit: null };
  for (const bracket of whole ? [] : brackets) {
    if (isHarmless(id, bracket)) continue;
    const fraction = fractionCalled(bracket);
    const unit = unitCalled(bracket);
    if (fraction && (!parameter(id).isBound || (found.fraction ?? fraction) === fraction)) {
      if (parameter(id).isBound) found.fraction = fraction;
    } else if (unit && !found.unit) found.unit = unit;
    else return null;
  }
  if (found.as && found.unit?.as && found.as !== found.unit.as && !whole) {
    // `Nitrate (mg/L N)` names the ion and says how it is given; only a basis of the name's own contradicts.
    const own =
      basisIn(id, outside) ?? brackets.map((one) => (unitCalled(one) ? null : basisIn(id, `(${one})`))).find((one) => one !== null);
    if (own && own !== found.unit.as) return null;
  }
  return { ...found, as: found.unit?.as ?? found.as };
}

/** The unit that stands in a heading: `Result (µg/L)`, `RL mg/L`; `%` where it speaks of a share. */
export function unitInHeading(heading: string): CalledUnit | '%' | null {
  if (heading.length > longestName) return null;
  if (heading.includes('%')) return '%';
  const bracket = /[[(]([^()[\]]*)[)\]]/.exec(heading)?.[1];
  const inBracket = bracket === undefined ? null : unitCalled(bracket);
  if (inBracket) return inBracket;
  const last = heading.trim().split(/[\s,;_]+/);
  return last.length > 1 ? unitCalled(last.at(-1)!) : null;
}

/** The parameter a lab's wording means, or null. */
export const parameterCalled = (name: string): ParameterId | null => named(name)?.parameter ?? null;
