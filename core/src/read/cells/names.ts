import { parameter, type ParameterId } from '../../parameters/index.ts';
import { fractionWords, type Fraction } from '../tables/fractions.ts';
import { factorOf, tokenOfWay } from '../tables/forms.ts';
import { sumCalled } from '../tables/names/groups.ts';
import { methodWords, placeWords } from '../tables/said-beside.ts';
import { parameterBySpelling } from '../tables/spellings.ts';
import { fold } from './fold.ts';
import { formulaCalled, unitCalled, type CalledUnit } from './units.ts';

export { isPartsPerT, unitCalled, type CalledUnit } from './units.ts';

/** The longest cell that names a parameter. */
const longestName = 200;

/** What a lab's wording for a parameter says; null for each thing that it does not say. */
export interface Named {
  parameter: ParameterId;
  fraction: Fraction | null;
  /** The formula that results are expressed as, as a token: `n`, `no3`, `caco3`; a temperature of conductivity. */
  as: string | null;
  /** It says so of its own accord (`as N`, `NO3-N`), and does not only name the ion; a unit that says otherwise contradicts it. */
  isFirm: boolean;
  unit: CalledUnit | null;
}

/** The fraction that a word names; a letter alone only in a column of its own. */
export function fractionCalled(text: string, { letters = false } = {}): Fraction | null {
  const word = fold(text).replace(/^(\w+?)0?45um$/, '$1');
  return (word.length > 1 || letters) && Object.hasOwn(fractionWords, word) ? fractionWords[word]! : null;
}

/** What was found beside the substance in a wording. */
interface Said {
  fractions: ReadonlySet<Fraction>;
  /** Formulas and temperatures that it says of its own accord. */
  forms: ReadonlySet<string>;
  /** The element that a word names, as `nitrate nitrogen` does: a unit may say otherwise. */
  weak: string | null;
  unit: CalledUnit | null;
  /** At a temperature that only what does not depend on it may be measured at. */
  isAtOther?: boolean;
}

const nothing: Said = { fractions: new Set(), forms: new Set(), weak: null, unit: null };

const temperature = /(?:^|[\s,;(])(?:@|at|à|a|bei)?\s*(20|25)\s*(?:°|º|o|deg\.?(?:rees)?)?\s*C(?![\p{L}])\.?/iu;
const otherTemperature = /(?:^|[\s,;(])(?:@|at|à|a|bei)?\s*\d{1,2}(?:[.,]\d)?\s*°\s*C(?![\p{L}])/iu;
const introduced =
  /[\s,;]+(?:(?:expressed|reported|calculated|calc\.?|exprim\p{L}*|expres\p{L}*|berechnet|angegeben|ausgedr\p{L}*)\s+)?(?:as|en|em|como|als|comme)\s+([A-Za-z][A-Za-z0-9₀-₉⁰-⁹⁺⁻+-]*)\s*$/iu;
/** `NO3-N`, `Nitrate-N`, `SO4-S`; `N-NO3`. Capitals: a name may well end in the letter. */
const withElement = /^(.+?)\s*[-–_]\s*(N|P|S|Si)$/;
const elementFirst = /^(N|P|S|Si)\s*[-–]\s*(.+)$/;
/** `NO3N`, the hyphen left out. */
const joined = /^((?:NO|NH|PO|SO)[2-4₂-₄])(N|P|S)$/;
const fractionPhrase = /total recoverable|acid.?soluble|(?:non|não|sin)\s+filtr\p{L}+|\p{L}{3,}/giu;

/** A word for an element beside a substance: `nitrate nitrogen`, `nitrógeno de nitratos`, `Sulfat-Schwefel`. */
const elementWord =
  /(?:^|[\s,-])(nitrogen|nitrogenio|nitrogénio|azoto|nitr[óo]geno|azote|stickstoff|phosphorus|f[óo]sforo|phosphore|phosphor|sul(?:f|ph)ur|enxofre|azufre|soufre|schwefel)(?:\s+(?:de|des|do|dos|del|of|in|en|em|from)\b)?(?=$|[\s,-])/iu;
const elementCalled = (word: string) =>
  /^[sea][a-z]*(?:x|z?uf|ou?f|ul|ch)/i.test(word) && !/^azot/i.test(word) ? 's' : /^[pf]/i.test(word) ? 'p' : 'n';

/** What can be taken off a wording, each with what is left of it and what it said. */
function peeled(name: string, said: Said): [string, Said][] {
  const found: [string, Said][] = [];
  const withForm = (rest: string, form: string | null) => {
    if (form !== null) found.push([rest, { ...said, forms: new Set([...said.forms, form]) }]);
  };
  const degrees = temperature.exec(name);
  if (degrees) withForm(name.replace(degrees[0], ' '), degrees[1]!);
  const warmth = degrees ? null : otherTemperature.exec(name);
  if (warmth) found.push([name.replace(warmth[0], ' '), { ...said, isAtOther: true }]);
  // A name and its symbol: `Manganese Mn`.
  const [, spelt = '', symbol = ''] = /^(.+)\s([A-Z][A-Za-z0-9₀-₉]{0,5})$/u.exec(name) ?? [];
  const own = symbol === '' ? undefined : parameterBySpelling.get(fold(symbol));
  if (own !== undefined && parameterBySpelling.get(fold(spelt)) === own) found.push([spelt, said]);
  const phrase = introduced.exec(name);
  if (phrase) withForm(name.slice(0, phrase.index), formulaCalled(phrase[1]!));
  const behind = withElement.exec(name) ?? joined.exec(name);
  if (behind) withForm(behind[1]!, behind[2]!.toLowerCase());
  const before = elementFirst.exec(name);
  if (before) withForm(before[2]!, before[1]!.toLowerCase());
  for (const word of name.match(fractionPhrase) ?? []) {
    const fraction = fractionCalled(word);
    if (fraction) found.push([name.replace(word, ' '), { ...said, fractions: new Set([...said.fractions, fraction]) }]);
  }
  const element = elementWord.exec(name);
  if (element) found.push([name.replace(element[0], ' '), { ...said, weak: elementCalled(element[1]!) }]);
  const place = placeWords.exec(name);
  if (place) found.push([name.replace(place[0], ' '), said]);
  if (!said.unit)
    for (const gap of name.matchAll(/[\s,;_]+/g)) {
      const unit = unitCalled(name.slice(gap.index + gap[0].length));
      if (unit) found.push([name.slice(0, gap.index), { ...said, unit }]);
    }
  return found;
}

/** How often something may be taken off a wording: more is prose. */
const mostPeeled = 4;

const trimmed = (name: string) => name.replace(/^[\s,;:._–-]+|[\s,;:._–-]+$/g, '');

/** A substance that is called so, whole, with what was taken off before; null where nothing of it is known. */
function substanceOf(written: string, said: Said, left = mostPeeled): { id: ParameterId; said: Said; spelt: string } | null {
  const name = trimmed(written);
  if (name === '') return null;
  const id = parameterBySpelling.get(fold(name)) ?? sumCalled(name);
  if (id) return { id, said: { ...said, forms: new Set([...said.forms, ...formsInSpelling(id, name).forms]) }, spelt: name };
  if (left === 0) return null;
  for (const [rest, more] of peeled(name, said)) {
    const found = substanceOf(rest, more, left - 1);
    if (found) return found;
  }
  return null;
}

const introducing = /^(?:(?:expressed|exprim\p{L}*|expres\p{L}*|berechnet)\s+)?(?:as|en|em|como|als|comme)\s+/iu;

/** What may stand in brackets behind a name; null for what nobody knows. */
function bracketSays(id: ParameterId, bracket: string, said: Said): Said | null {
  const text = trimmed(bracket);
  if (text === '') return said;
  const fraction = fractionCalled(text);
  if (fraction) return { ...said, fractions: new Set([...said.fractions, fraction]) };
  const form = formulaCalled(text.replace(introducing, ''));
  // `Hardness (Ca)` is that of calcium; `Hardness (as Ca)` is how it is given.
  const other = introducing.test(text) ? undefined : parameterBySpelling.get(fold(text));
  if (other !== undefined && other !== id) return null;
  const isOwn = parameterBySpelling.get(fold(text)) === id;
  const isSymbol = isOwn && form === null;
  if (isSymbol) return said;
  // `Nitrate (NO3)` names the ion; `Nitrate (as NO3)` says how it is given.
  if (form !== null && factorOf(id, form) !== null)
    return isOwn && fold(text) === form ? said : { ...said, forms: new Set([...said.forms, form]) };
  const degrees = temperature.exec(` ${text}`);
  if (degrees && trimmed(` ${text}`.replace(degrees[0], ' ')) === '') return { ...said, forms: new Set([...said.forms, degrees[1]!]) };
  const unit = unitCalled(text);
  if (unit && !said.unit) return { ...said, unit };
  return isOwn || placeWords.test(text) || methodWords.test(text) ? said : null;
}

/** How a name itself says what it is expressed as, without saying “as”: a symbol in it, or the word for nitrogen. */
function weakForm(id: ParameterId, name: string): string | null {
  const { expressedAs: ways } = parameter(id);
  if (!ways) return null;
  const folded = fold(name);
  if ('25' in ways) return /^ec(20|25)$/.exec(folded)?.[1] ?? (folded.includes('specificconductance') ? '25' : null);
  if ('N' in ways && /nitrogen|stickstoff|^azot|azote?(nitr|ammon)|nitrogeno/.test(folded)) return 'n';
  if ('N' in ways && /(^|[^a-z])n(no3|no2|nh4|nh3)|(no3|no2|nh4|nh3)n$/.test(folded)) return 'n';
  const ion = tokenOfWay(id, 'ion');
  return 'ion' in ways && ion !== '' && folded.includes(ion) ? ion : null;
}

/** A fraction says something of what may hang on particles; of a salt it says nothing, and of anything else it makes another thing of it. */
function fractionOf(id: ParameterId, fractions: ReadonlySet<Fraction>): { fraction: Fraction | null } | null {
  if (fractions.size === 0) return { fraction: null };
  if (fractions.size > 1) return null;
  const { isBound, kind, expressedAs } = parameter(id);
  if (isBound) return { fraction: [...fractions][0]! };
  return kind === 'ion' || (kind === 'nutrient' && 'N' in (expressedAs ?? {})) ? { fraction: null } : null;
}

/** What the parts of a wording say together; null where they do not agree. */
function together(id: ParameterId, name: string, said: Said): Named | null {
  const fraction = fractionOf(id, said.fractions);
  if (!fraction) return null;
  if (said.isAtOther && id !== 'ph' && id !== 'turbidity') return null;
  const { expressedAs } = parameter(id);
  // Of what has no temperature in its number it is that of the lab's room.
  const isOfConductivity = expressedAs !== undefined && '25' in expressedAs;
  const forms = [...said.forms].filter((form) => isOfConductivity || !/^2[05]$/.test(form));
  if (forms.length > 1 || forms.some((form) => factorOf(id, form) === null)) return null;
  const [firm] = forms;
  const weak = said.weak !== null && factorOf(id, said.weak) !== null ? said.weak : null;
  if (said.weak !== null && weak === null) return null;
  return { parameter: id, ...fraction, as: firm ?? weak ?? weakForm(id, name), isFirm: firm !== undefined, unit: said.unit };
}

/**
 * What a lab's wording means, or null: a substance with what is said beside it, in any order. Nothing in it is dropped unread: `chromium
 * (VI)` is not chromium, and `sulfate (as S)` not sulfate.
 * @example named('Ammonium (als NH4), gelöst').as // 'nh4'
 */
export function named(written: string): Named | null {
  if (written.length > longestName || written.trim() === '') return null;
  const name = written.replaceAll('[', '(').replaceAll(']', ')').replace(/\s+/g, ' ').trim();
  const whole = parameterBySpelling.get(fold(name));
  if (whole) return together(whole, name, formsInSpelling(whole, name));
  const { outside, brackets } = splitBrackets(name);
  const found = substanceOf(outside, nothing);
  if (!found) return null;
  let said: Said | null = found.said;
  for (const bracket of brackets) if (said) said = bracketSays(found.id, bracket, said);
  return said && together(found.id, `${found.spelt} ${brackets.join(' ')}`, said);
}

/** A spelling that is known as a whole may say how it is expressed all the same: `Nitrate as N`, `Conductivity at 20 °C`. */
function formsInSpelling(id: ParameterId, name: string): Said {
  const { outside, brackets } = splitBrackets(name);
  const forms = new Set<string>();
  const phrase = introduced.exec(outside) ?? brackets.map((one) => introduced.exec(` ${one}`)).find((one) => one !== null);
  const form = phrase ? formulaCalled(phrase[1]!) : null;
  if (form !== null && factorOf(id, form) !== null) forms.add(form);
  const element = (withElement.exec(outside) ?? joined.exec(outside))?.[2] ?? elementFirst.exec(outside)?.[1];
  if (element && factorOf(id, element.toLowerCase()) !== null) forms.add(element.toLowerCase());
  const degrees = '25' in (parameter(id).expressedAs ?? {}) ? temperature.exec(name) : null;
  if (degrees) forms.add(degrees[1]!);
  return { ...nothing, forms };
}

/** A wording without its brackets, and what stands in them; brackets within brackets belong to the outer ones. */
function splitBrackets(name: string): { outside: string; brackets: string[] } {
  const brackets: string[] = [];
  let outside = '';
  let open = '';
  let depth = 0;
  for (const letter of name) {
    if (letter === ')' && depth > 0 && --depth === 0) {
      brackets.push(open);
      open = '';
      outside += ' ';
      continue;
    }
    if (depth > 0) open += letter;
    else if (letter !== '(') outside += letter;
    if (letter === '(' && depth++ > 0 && depth > 8) return { outside: name, brackets: [] };
  }
  return depth === 0 ? { outside, brackets } : { outside: name, brackets: [] };
}

/** The unit that stands in a heading: `Result (µg/L)`, `RL mg/L`; `%` where it speaks of a share. */
export function unitInHeading(heading: string): CalledUnit | '%' | null {
  if (heading.length > longestName) return null;
  if (heading.includes('%')) return '%';
  const bracket = /[[(]([^()[\]]*)[)\]]/.exec(heading)?.[1];
  const inBracket = bracket === undefined ? null : unitCalled(bracket);
  if (inBracket) return inBracket;
  for (const gap of heading.trim().matchAll(/[\s,;_]+/g)) {
    const unit = unitCalled(heading.trim().slice(gap.index + gap[0].length));
    if (unit) return unit;
  }
  return null;
}

/** The parameter a lab's wording means, or null. */
export const parameterCalled = (name: string): ParameterId | null => named(name)?.parameter ?? null;
