import { molarMass, parameter, parameterIds, perPart, type ParameterId } from '../../parameters/index.ts';
import { fold } from '../cells/fold.ts';

/**
 * What else results are expressed as where a report says it, with what takes the number to the parameter's own unit and form. The forms that
 * a report has to name (nitrate, phosphate, silica, conductivity) stand with the parameters. Molar masses: IUPAC 2021. Hardness and alkalinity
 * are kept as CaCO3; 1 meq of them is half a mole of it.
 */
export const otherForms: Readonly<Partial<Record<ParameterId, Readonly<Record<string, number>>>>> = {
  sulfate: { so4: 1, s: perPart('SO4', 'S') },
  sulfide: { s: 1, h2s: perPart('S', 'H2S') },
  orthophosphate: { p2o5: (2 * molarMass('PO4')) / molarMass('P2O5') },
  totalPhosphorus: { p2o5: (2 * molarMass('P')) / molarMass('P2O5') },
  ammonium: { nh3: perPart('NH4', 'NH3') },
  hardness: { caco3: 1, cao: perPart('CaCO3', 'CaO'), ca: perPart('CaCO3', 'Ca') },
  alkalinity: { caco3: 1, hco3: molarMass('CaCO3') / (2 * molarMass('HCO3')) },
  bicarbonate: { hco3: 1, caco3: (2 * molarMass('HCO3')) / molarMass('CaCO3') },
  calciumHardness: { caco3: 1, cao: perPart('CaCO3', 'CaO'), ca: perPart('CaCO3', 'Ca') },
  alkalinityP: { caco3: 1 },
  carbonate: { co3: 1, caco3: perPart('CO3', 'CaCO3') },
  calcium: { caco3: perPart('Ca', 'CaCO3') },
  magnesium: { caco3: perPart('Mg', 'CaCO3') },
  oxidisability: { o2: 1 },
  oxygen: { o2: 1 },
  bod: { o2: 1 },
  cod: { o2: 1 },
  freeChlorine: { cl2: 1 },
  totalChlorine: { cl2: 1 },
  chlorineDioxide: { clo2: 1 },
  monochloramine: { cl2: 1 },
  organicCarbon: { c: 1 },
  dissolvedOrganicCarbon: { c: 1 },
  cyanide: { cn: 1 },
  freeCyanide: { cn: 1 },
};

/** What one mole, and one equivalent, of hardness and alkalinity are as CaCO3, in g. Acid capacity to pH 4.3 in mmol/L is alkalinity in meq/L. */
export const asCarbonate = { mol: { hardness: molarMass('CaCO3'), alkalinity: molarMass('CaCO3') / 2 }, eq: molarMass('CaCO3') / 2 };

/** What a way of expressing that is named by a letter or a word is as a token. */
const wayTokens: Readonly<Partial<Record<ParameterId, string>>> = {
  nitrateNitrite: 'no3',
  totalPhosphorus: 'po4',
  unionisedAmmonia: 'nh3',
};

/** The tokens of the ways in which a parameter is expressed, with their factors. */
function formsOf(id: ParameterId): ReadonlyMap<string, number> {
  const { symbol, expressedAs = {} } = parameter(id);
  const own = wayTokens[id] ?? (symbol ? fold(symbol) : undefined);
  return new Map([
    ...Object.entries(otherForms[id] ?? {}),
    // Its own symbol says nothing else than its name.
    ...(symbol && Object.keys(expressedAs).length === 0 ? [[fold(symbol), 1] as const] : []),
    ...Object.entries(expressedAs).flatMap(([way, factor]) =>
      way === 'ion' ? (own ? [[own, factor] as const] : []) : [[way.toLowerCase(), factor] as const],
    ),
  ]);
}
const byParameter = new Map(parameterIds.map((id) => [id, formsOf(id)]));

/** What takes a result that is expressed as a formula to the parameter's own form; null where it is not expressed so. */
export const factorOf = (id: ParameterId, as: string): number | null => byParameter.get(id)!.get(as) ?? null;

/** The token of a way that a person chose. */
export const tokenOfWay = (id: ParameterId, way: string): string =>
  way === 'ion' ? (wayTokens[id] ?? fold(parameter(id).symbol ?? '')) : way.toLowerCase();

/** Every formula that a unit or a name may end in. */
export const formulas: ReadonlySet<string> = new Set([...byParameter.values()].flatMap((forms) => [...forms.keys()]));
