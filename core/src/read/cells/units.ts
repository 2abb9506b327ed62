import type { UnitId } from '../../units/index.ts';
import { formulas } from '../tables/forms.ts';
import { unitSpellings } from '../tables/spellings.ts';

/** A unit as a lab writes it, with what it says of the expression. */
export interface CalledUnit {
  unit: UnitId;
  /** The formula that a result is expressed as, in small letters: `no3`, `n`, `caco3`; or the temperature of a conductivity. */
  as: string | null;
  /** An amount of substance, which is a mass only of a known one: the unit is then that of the mass. */
  amount?: 'mol' | 'eq';
  /** Another unit that is written alike: a French degree, or Fahrenheit. */
  or?: UnitId;
}

/** The longest cell that names a unit. */
const longest = 60;

/** Small letters without accents; a micro sign as u, indices and powers as digits, a dot between units as a blank. */
export const plainUnit = (text: string): string =>
  text
    .replace(/[⁻−]/g, '-')
    .replace(/⁺/g, '+')
    .replace(/º/g, '°')
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[μµ]/g, 'u')
    .replace(/[·⋅]/g, ' ')
    .toLowerCase()
    .trim();

const massUnits: Readonly<Record<string, UnitId>> = { g: 'g/L', mg: 'mg/L', ug: 'ug/L', mcg: 'ug/L', ng: 'ng/L', pg: 'pg/L' };
/** What a thousandth or a thousandfold of a unit is. */
const steps: readonly UnitId[] = ['g/L', 'mg/L', 'ug/L', 'ng/L', 'pg/L'];
const amounts: Readonly<Record<string, { unit: UnitId; amount: 'mol' | 'eq' }>> = {
  mmol: { unit: 'mg/L', amount: 'mol' },
  umol: { unit: 'ug/L', amount: 'mol' },
  mol: { unit: 'g/L', amount: 'mol' },
  meq: { unit: 'mg/L', amount: 'eq' },
  mval: { unit: 'mg/L', amount: 'eq' },
  ueq: { unit: 'ug/L', amount: 'eq' },
  eq: { unit: 'g/L', amount: 'eq' },
};

/** Volumes by how many steps of a thousand they are away from a litre. */
const volumes: Readonly<Record<string, number>> = { l: 0, liter: 0, litre: 0, litro: 0, dm3: 0, ml: -1, cm3: -1, m3: 1 };

const formulaPattern = '[a-z][a-z0-9]*(?:[+-]|[0-9][+-])?(?:-[a-z][a-z0-9]*)?';
const introduced = String.raw`(?:(?:expressed\s+as|expres\w+\s+(?:como|em|en)|exprime\w*\s+en|as|als|como|em|en|de|of)\s+)?`;
/** `mg/L`, `mg N/L`, `mg(SO4)/L`, `mg/L NO3`, `mg/L as CaCO3`, `mg L-1`, `mg/(L)`. */
const perVolume = new RegExp(
  String.raw`^(mcg|[munp]?g|[mu]?mol|[mu]?eq|mval)\s*(?:[(]?\s*(${formulaPattern})\s*[)]?)?\s*(?:\/|\s+per\s+)\s*\(?(dm3|cm3|m3|ml|liter|litre|litro|l)\)?\s*[,;-]?\s*(?:[(]?\s*${introduced}(${formulaPattern})\s*[)]?)?\.?$`,
);

/** The formula in a text of a unit or a name, as its token; null for what is none that is known. `no3-n` is n, and so is `n-no3`. */
export function formulaCalled(text: string): string | null {
  const plain = plainUnit(text).replace(/\s/g, '');
  const uncharged = plain.replace(/[+-]+$/, '');
  for (const one of [plain, uncharged, plain.replace(/\d?[+-]+$|[+-]\d$/, '')]) if (formulas.has(one)) return one;
  const [one, other, more] = uncharged.split('-');
  if (!one || !other || more !== undefined || !formulas.has(one) || !formulas.has(other)) return null;
  return elements.has(one) ? one : elements.has(other) ? other : null;
}
const elements: ReadonlySet<string> = new Set(['n', 'p', 's', 'si']);

function massCalled(plain: string): CalledUnit | null {
  // A power in place of a stroke: `mg l-1`, `mg.l-1`.
  const stroked = plain.replace(/[\s.]*\b(l|ml|dm3|m3)-1\b/, '/$1');
  const match = perVolume.exec(stroked);
  if (!match) return null;
  const [, amount, inside, volume, behind] = match;
  const said = [inside, behind].flatMap((one) => (one ? [one] : []));
  const forms = said.map((one) => formulaCalled(one));
  if (forms.includes(null) || new Set(forms).size > 1) return null;
  const as = forms[0] ?? null;
  const away = volumes[volume!]!;
  const of = amounts[amount!];
  const unit = of?.unit ?? massUnits[amount!]!;
  const at = steps[steps.indexOf(unit) + away];
  return at ? { unit: at, as, ...(of ? { amount: of.amount } : {}) } : null;
}

const counted = String.raw`(?:n|no|nb|nr|nombre|numero|anzahl|count|counts|colonies|colonias|col|org|cells|pfu|ufp|cfu|ufc|kbe|kve|mpn|nmp|npp)\.?`;
const volumesOfGerms: Readonly<Record<string, UnitId>> = {
  '100ml': 'per100mL',
  '250ml': 'per250mL',
  '1ml': 'permL',
  ml: 'permL',
  '1l': 'perL',
  l: 'perL',
};
const perSample = new RegExp(
  String.raw`^(?:1\s*\/|${counted}|-)?\s*(?:\/|per|pro|je|par|por|in|en|em|dans|pour)?\s*\(?\s*((?:100|250|1)?\s*m?l)\)?$`,
);

function countCalled(plain: string): UnitId | null {
  const match = perSample.exec(plain);
  // A litre alone is a volume and no count.
  if (!match || /^(1\s*)?m?l$/.test(plain)) return null;
  return volumesOfGerms[match[1]!.replace(/\s/g, '')] ?? null;
}

const siemens: Readonly<Record<string, UnitId>> = {
  'us/cm': 'uS/cm',
  'ms/cm': 'mS/cm',
  'ms/m': 'mS/m',
  'ds/m': 'dS/m',
  's/m': 'S/m',
  'us/m': 'uS/m',
};
const degrees = /(?:at|a|bei|@|,)?\s*\(?(20|25)\s*(?:°|deg\.?(?:rees)?)?\s*c\)?/;

function conductivityCalled(plain: string): CalledUnit | null {
  const at = degrees.exec(plain);
  const rest = (at ? plain.replace(at[0], ' ') : plain).replace(/[()]/g, ' ').trim();
  const bare = rest
    .replace(/mhos?\b/, 's')
    .replace(/[\s.]*\b(cm|m)-1$/, '/$1')
    .replace(/\s+/g, '');
  const unit = siemens[bare];
  return unit ? { unit, as: at?.[1] ?? null } : null;
}

const acidity = new RegExp(
  String.raw`^(?:(?:std|standard|ud|uds|unid|unidad|unidades|unite|unites|unit|units|einheit|einheiten|escala|u)\.?\s*(?:de\s+)?(?:ph|sorensen)` +
    String.raw`|(?:std\.?|standard)\s*units?|ph(?:[\s-]*(?:units?|einheiten|wert|value))?|s\.?\s*u\.?|sorensen)$`,
);

/**
 * A unit as a lab writes it, by its parts: what is counted or weighed, in which volume, expressed as what. Null for what is not known.
 * @example unitCalled('mg NO₃⁻/l') // { unit: 'mg/L', as: 'no3' }
 */
export function unitCalled(text: string): CalledUnit | null {
  if (text.length > longest) return null;
  const plain = plainUnit(text);
  const tight = plain.replace(/\s+/g, '');
  // A French degree is written small, and Fahrenheit never is.
  if (tight === '°f') return text.includes('F') ? { unit: 'degF', as: null } : { unit: 'fH', as: null, or: 'degF' };
  const whole = Object.hasOwn(unitSpellings, tight) ? unitSpellings[tight]! : null;
  if (whole) return { unit: whole, as: null };
  const count = countCalled(plain);
  if (count) return { unit: count, as: null };
  if (acidity.test(plain)) return { unit: 'pH', as: null };
  return massCalled(plain) ?? conductivityCalled(plain) ?? ppCalled(plain);
}

/** Parts in a million or a thousand million with what they are of, or with the unit that they stand for: `ppt (ng/L)`. */
function ppCalled(plain: string): CalledUnit | null {
  const [, pp, open, inside] = /^(pp[mbt])\s*(\()?\s*(?:as\s+)?([^()]+?)\s*\)?$/.exec(plain) ?? [];
  if (!pp || !inside) return null;
  const same = open ? massCalled(inside) : null;
  const own: UnitId = pp === 'ppm' ? 'ppm' : pp === 'ppb' ? 'ppb' : 'ppt';
  if (same) return pp === 'ppt' || same.unit === (pp === 'ppm' ? 'mg/L' : 'ug/L') ? same : null;
  const as = formulaCalled(inside);
  return as && pp !== 'ppt' ? { unit: own, as } : null;
}

/** Whether a unit may be parts in a thousand or in a million million: nobody can tell from itself. */
export const isPartsPerT = (text: string): boolean => /^\s*ppt\s*$/i.test(text);
