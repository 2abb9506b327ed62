import type { ParameterId } from '../../parameters/index.ts';
import type { BottleRule } from '../rule.ts';
import { rules as before } from './bottles-2026-5.ts';

/** A card as before, of which what is measured is read and judged: nobody compares it by hand any more. */
function judged({ measures: _, ...card }: BottleRule, parameters: readonly ParameterId[], more: Partial<BottleRule> = {}): BottleRule {
  return { ...card, parameters, ...more };
}

const moreMetals = [
  'mercury',
  'barium',
  'beryllium',
  'cobalt',
  'lithium',
  'molybdenum',
  'silver',
  'strontium',
  'thallium',
  'tin',
  'titanium',
  'vanadium',
  'zinc',
] as const;
const metals = { also: [...moreMetals, 'calcium', 'magnesium', 'sodium', 'potassium', 'hardness', 'silica'] } as const;
const either = { isAnyOf: true, parameters: ['legionella', 'legionellaPneumophila'] } as const;

const solvents = ['benzene', 'trichloroethene', 'tetrachloroethene', 'dichloroethane12', 'vinylChloride'] as const;
const moreVolatiles = [
  ...['toluene', 'ethylbenzene', 'xylenes', 'oXylene', 'mpXylene', 'styrene', 'naphthalene', 'mtbe', 'chlorobenzene'],
  ...['dichlorobenzene12', 'dichlorobenzene14', 'trichlorobenzene124', 'dichloromethane', 'tetrachloromethane', 'dichloroethane11'],
  ...['trichloroethane111', 'trichloroethane112', 'dichloroethene11', 'cisDichloroethene12', 'transDichloroethene12', 'chloroethenes'],
  ...['dichloropropane12', 'trichloropropane123', 'dibromoethane12', 'dibromochloropropane', 'dioxane14', 'hexachlorobutadiene'],
  ...['chloroform', 'bromodichloromethane', 'dibromochloromethane', 'bromoform', 'trihalomethanes'],
] as readonly ParameterId[];

/** EPA Method 533 (2019), table of analytes (from memory). */
const of533 = [
  ...['pfba', 'pfmpa', 'pfpea', 'pfbs', 'pfmba', 'pfeesa', 'nfdha', 'fts42', 'pfhxa', 'pfpes', 'hfpoDa', 'pfhpa', 'pfhxs'],
  ...['adona', 'fts62', 'pfoa', 'pfhps', 'pfna', 'pfos', 'clPf3ons9', 'fts82', 'pfda', 'pfunda', 'clPf3ouds11', 'pfdoda'],
] as readonly ParameterId[];
/** EPA Method 537.1 (2018), table of analytes (from memory). */
const of537 = [
  ...['pfhxa', 'pfhpa', 'pfoa', 'pfna', 'pfda', 'pfunda', 'pfdoda', 'pftrda', 'pftetda', 'pfbs', 'pfhxs', 'pfos', 'hfpoDa'],
  ...['adona', 'clPf3ons9', 'clPf3ouds11', 'netFosaa', 'nmeFosaa'],
] as readonly ParameterId[];
const pfasSums = ['pfasSum4', 'pfasSum20', 'pfasTotal'] as const;
const otherPfas = (named: readonly ParameterId[]) => {
  const all = ['pfns', 'pfds', 'pfunds', 'pfdods', 'pftrds', ...of533, ...of537] as readonly ParameterId[];
  return [...new Set(all.filter((id) => !named.includes(id))), ...pfasSums];
};

/** What else comes out of pipes and fittings. */
const fittings = ['nickel', 'iron', 'zinc', 'cadmium', 'chromium', 'tin', 'antimony'] as const;

/** What is sprayed: labs report those that are used where the water comes from, no two the same list. */
const sprayed = [
  ...['pesticidesSum', 'alachlor', 'aldicarb', 'aldrin', 'ampa', 'atrazine', 'desethylatrazine', 'bentazone', 'carbofuran', 'chlordane'],
  ...['chlorpyrifos', 'chlortoluron', 'cyanazine', 'dalapon', 'd24', 'db24', 'ddt', 'dicamba', 'dichlorprop', 'dieldrin', 'dimethoate'],
  ...[
    'dinoseb',
    'diquat',
    'diuron',
    'endothall',
    'endrin',
    'fenoprop',
    'glyphosate',
    'heptachlor',
    'heptachlorEpoxide',
    'hexachlorobenzene',
  ],
  ...['isoproturon', 'lindane', 'mcpa', 'mecoprop', 'methoxychlor', 'metolachlor', 'metribuzin', 'molinate', 'oxamyl', 'pendimethalin'],
  ...['picloram', 'simazine', 't245', 'terbuthylazine', 'toxaphene', 'trifluralin', 'pentachlorophenol'],
] as readonly ParameterId[];

const tars = ['benzoAPyrene', 'benzoBFluoranthene', 'benzoKFluoranthene', 'benzoGhiPerylene', 'indenoPyrene'] as const;

/**
 * As the edition before; and what is measured in each bottle is read and judged. What a lab reports beside what was asked for is read as
 * well, and not waited for.
 */
export const rules = {
  ...before,
  bacteria: {
    ...before.bacteria,
    also: ['thermotolerant', 'enterococci', 'clostridium', 'pseudomonas', 'plateCount22', 'plateCount36', 'heterotrophic'],
  },
  lead: { ...before.lead, also: fittings },
  leadFifth: { ...before.leadFifth, also: fittings },
  general: {
    ...before.general,
    also: ['hardness', 'bicarbonate', 'carbonate', 'bromide', 'dissolvedSolids', 'colour', 'silica', 'nitrate', 'nitrite', 'sar'],
  },
  nitrogen: { ...before.nitrogen, also: ['nitrateNitrite', 'orthophosphate'] },
  metals: { ...before.metals, ...metals },
  totalMetals: { ...before.totalMetals, ...metals },
  anions: { ...before.anions, also: ['bromide', 'iodide', 'nitrate', 'nitrite', 'orthophosphate', 'perchlorate'] },
  hardness: { ...before.hardness, parameters: ['hardness', 'calcium', 'magnesium'], isAnyOf: true },
  alkalinity: { ...before.alkalinity, also: ['bicarbonate', 'carbonate'] },
  turbidity: { ...before.turbidity, also: ['colour'] },

  plate: judged(before.plate, ['plateCount22', 'plateCount36', 'heterotrophic'], { isAnyOf: true }),
  enterococci: judged(before.enterococci, ['enterococci']),
  clostridium: judged(before.clostridium, ['clostridium']),
  pseudomonas: judged(before.pseudomonas, ['pseudomonas'], {
    holdingHours: 12,
    source: 'ISO 19458:2006 (8 h recommended, 12 h at most; from memory)',
  }),
  legionella: judged(before.legionella, either.parameters, { isAnyOf: true }),
  legionellaFlushed: judged(before.legionellaFlushed, either.parameters, { isAnyOf: true }),

  mercury: judged(before.mercury, ['mercury']),
  chromium6: judged(before.chromium6, ['chromium6']),
  silica: judged(before.silica, ['silica']),
  nitratePreserved: judged(before.nitratePreserved, ['nitrateNitrite'], { also: ['nitrate', 'nitrite'] }),
  totalNitrogen: judged(before.totalNitrogen, ['totalNitrogen'], { also: ['kjeldahlNitrogen'] }),
  phosphorus: judged(before.phosphorus, ['totalPhosphorus']),
  orthophosphate: judged(before.orthophosphate, ['orthophosphate']),
  cyanide: judged(before.cyanide, ['cyanide'], { also: ['freeCyanide'] }),
  sulfide: judged(before.sulfide, ['sulfide']),

  solids: judged(before.solids, ['dissolvedSolids', 'suspendedSolids', 'totalSolids'], { isAnyOf: true }),
  colour: judged(before.colour, ['colour'], { also: ['odour', 'taste', 'absorbance254', 'absorbance436'] }),
  bod: judged(before.bod, ['bod'], {
    fill: 'To overflowing, without bubbles, stopper without air',
    mark: 0.98,
    headspace: 'None: air would add oxygen',
    source: '40 CFR 136.3 Table II (BOD: ≤ 6 °C, 48 h); no air: ISO 5815-1 (from memory)',
  }),
  cod: judged(before.cod, ['cod'], { also: ['oxidisability'] }),
  carbon: judged(before.carbon, ['organicCarbon', 'dissolvedOrganicCarbon'], { isAnyOf: true }),
  phenols: judged(before.phenols, ['phenols']),
  oil: judged(before.oil, ['oilAndGrease', 'hydrocarbons'], { isAnyOf: true }),

  volatiles: judged(before.volatiles, solvents, { also: moreVolatiles }),
  trihalomethanes: judged(before.trihalomethanes, ['chloroform', 'bromodichloromethane', 'dibromochloromethane', 'bromoform'], {
    also: ['trihalomethanes'],
  }),
  haloacetic: judged(
    before.haloacetic,
    ['monochloroaceticAcid', 'dichloroaceticAcid', 'trichloroaceticAcid', 'monobromoaceticAcid', 'dibromoaceticAcid'],
    { also: ['haloaceticAcids', 'bromochloroaceticAcid'] },
  ),
  oxyhalides: judged(before.oxyhalides, ['bromate', 'chlorate', 'chlorite'], { also: ['perchlorate'] }),
  pfas533: judged(before.pfas533, of533, { also: otherPfas(of533) }),
  pfas537: judged(before.pfas537, of537, { also: otherPfas(of537) }),
  pesticides: judged(before.pesticides, sprayed, { isAnyOf: true }),
  polycyclic: judged(before.polycyclic, tars, {
    also: ['polycyclicSum', 'naphthalene', 'fluoranthene', 'anthracene', 'phenanthrene', 'pyrene'],
  }),
  radon: judged(before.radon, ['radon']),
  grossActivity: judged(before.grossActivity, ['grossAlpha', 'grossBeta'], {
    also: ['radium226', 'radium228', 'radium', 'uranium', 'strontium90', 'lead210', 'polonium210', 'tritium', 'indicativeDose'],
  }),
} as const satisfies Record<string, BottleRule>;
