import { parameter, type ParameterId, type ParameterKind } from '../../parameters/index.ts';
import type { LimitRow, LimitSet } from './limit-set.ts';

const lifetime = 'A health value for drinking over a lifetime: one number over it is no emergency, and something is to be done.';
const infants = 'Set for infants fed by bottle and for pregnancy: it hinders the blood from carrying oxygen, within days.';
const taste = 'Taste; people turn to other water, which may be worse.';

/**
 * What a number over a value means for people, in a sentence of its own. After the WHO Guidelines for drinking-water quality, 4th
 * edition with the first and second addenda (2022), chapters 7, 10 and 12, in our own words (from memory).
 */
const sentences: Readonly<Partial<Record<ParameterId, string>>> = {
  ecoli: 'Faeces have reached the water: it can make people ill at once.',
  coliforms: 'A sign that something gets in or grows; not of faeces by itself, and a reason to look for E. coli and for the way in.',
  antimony: lifetime,
  arsenic: `${lifetime} Cancer is the concern.`,
  boron: lifetime,
  cadmium: `${lifetime} It harms the kidneys.`,
  chromium: lifetime,
  copper: 'It upsets the stomach, and comes from pipes and fittings.',
  fluoride: 'Over years it stains teeth and, higher, harms the bones.',
  lead: 'It harms unborn and small children even in small amounts; no amount is known to be safe.',
  nickel: `${lifetime} Who is allergic to it may react sooner.`,
  nitrate: infants,
  nitrite: infants,
  selenium: lifetime,
  uranium: `${lifetime} The kidneys are the concern, not its radiation.`,
  totalChlorine: 'An average of the year; people smell and taste it long before.',
  aluminium: 'A sign that the treatment does not work as it should. For dialysis such water has to be treated.',
  ammonium: 'A sign of sewage, manure or of groundwater without oxygen; it uses up chlorine.',
  chloride: `${taste} It attacks metal.`,
  conductivity: 'Much dissolved salt: taste, scale, attack on metal. Crops may suffer.',
  ph: 'Outside the range water attacks pipes and metals come out of them, or chlorine works badly.',
  iron: 'Taste, colour, stains. Not a matter of health at what people would still drink.',
  manganese: 'Stains and colour; and not harmless for infants fed by bottle over 80 µg/L (WHO, provisional).',
  sodium: 'Taste; who must eat little salt needs to be told from 20 mg/L on.',
  sulfate: 'Taste; it purges who is not used to it.',
};

/** What came with later editions: said of a parameter, else of its kind. */
const more: Readonly<Partial<Record<ParameterId, string>>> = {
  enterococci: 'Faeces have reached the water, maybe some time ago: it can make people ill.',
  thermotolerant: 'Faeces have most likely reached the water: it can make people ill.',
  clostridium: 'Its spores outlive chlorine: a sign of faeces, old ones too, or of a filter that lets particles through.',
  pseudomonas: 'It grows in pipes, taps and filters. It harms people with wounds or weak defences.',
  legionella: 'Breathed in with spray it can cause pneumonia, above all in older and ill people. Drinking it is not the danger.',
  legionellaPneumophila: 'Breathed in with spray it can cause pneumonia, above all in older and ill people. Drinking it is not the danger.',
  coliphages: 'A sign that viruses of faeces may be in the water.',
  turbidity: 'Cloudy water hides germs from disinfection.',
  colour: 'People see it; it may come from peat, iron or pipes.',
  odour: 'People smell it, and turn to other water, which may be worse.',
  hardness: 'Scale in kettles and boilers, more soap. Not a matter of health.',
  alkalinity: 'Scale; by itself not a matter of health.',
  calcium: 'Scale; not a matter of health.',
  magnesium: 'Scale; with much sulfate it purges who is not used to it.',
  dissolvedSolids: `${taste} Scale, attack on metal.`,
  oxidisability: 'Much that can be oxidised: it uses up chlorine and feeds germs.',
  sulfide: 'It smells of rotten eggs.',
  surfactants: 'Foam, and a sign of waste water.',
  phenols: 'With chlorine they taste of medicine at very little.',
  zinc: 'Taste, and a milky look. It comes from galvanised pipes.',
  silver: 'Over years it can turn skin and eyes grey.',
  mercury: `${lifetime} It harms the kidneys and the nerves.`,
  barium: `${lifetime} The kidneys and the blood pressure are the concern.`,
  thallium: `${lifetime} It harms nerves, hair and kidneys.`,
  chromium6: `${lifetime} Cancer is the concern.`,
  nitrateNitrite: infants,
  chlorate: 'It comes with old bleach. Over years it harms the thyroid and the blood.',
  chlorite: 'It comes from chlorine dioxide. It harms the blood.',
  perchlorate: 'It hinders the thyroid; unborn and small children need it most.',
  freeChlorine: 'An average of the year; people smell and taste it long before.',
  monochloramine: 'An average of the year. For dialysis and for fish it has to be taken out.',
  chlorineDioxide: 'It harms the blood of infants and the unborn.',
  microcystin: 'A poison of blue-green algae: it harms the liver within days. Boiling does not help.',
  radon: 'It goes into the air of rooms. Breathing it there is the greater risk.',
  freeCyanide: 'It hinders breathing inside the body; much of it harms at once.',
  cyanide: 'It hinders breathing inside the body; much of it harms at once.',
  absorbance436: 'People see it; it may come from peat, iron or pipes.',
};
const byKind: Readonly<Record<ParameterKind, string>> = {
  physical: 'Something to look into; by itself not a matter of health.',
  disinfectant: 'People smell and taste it.',
  germ: 'A sign that something gets in or grows: look for the way in.',
  count: 'The number itself harms nobody: it shows that something grows or gets in.',
  ion: lifetime,
  nutrient: infants,
  metal: lifetime,
  aggregate: 'Something to look into; by itself not a matter of health.',
  'by-product':
    'Made by disinfection from what is in the water. It may harm over many years; germs harm within days, so disinfection goes on.',
  organic: lifetime,
  PFAS: 'It stays in the body for years. A value for a lifetime: one number over it is not an emergency, but something has to be done.',
  pesticide: lifetime,
  radiological: 'A value for drinking over a lifetime: over it the dose is worked out, and something is done.',
};
const noticed = 'People smell, taste or see it, and turn to other water, which may be worse.';

/** Substances that people notice long before they harm. */
const noticedFirst: readonly ParameterKind[] = ['organic', 'pesticide', 'by-product', 'disinfectant'];

/** What a number over a value means for people, by its parameter and kind. */
export function sentenceOf({ kind, parameter: id }: Pick<LimitRow, 'kind' | 'parameter'>): string {
  const of = parameter(id).kind;
  if (kind === 'aesthetic' && id === 'copper') return taste;
  if (kind === 'aesthetic' && noticedFirst.includes(of)) return noticed;
  return sentences[id] ?? more[id] ?? (kind === 'aesthetic' ? noticed : byKind[of]);
}

/**
 * A set in which each value has a sentence of its own; where it is a later edition, with what changes in it. `own` says what stands for a
 * row in this set alone.
 */
export function withSentences(
  set: LimitSet,
  change: Partial<LimitSet> = {},
  rows: readonly LimitRow[] = set.rows,
  own: (row: LimitRow) => string | null = () => null,
): LimitSet {
  return { ...set, ...change, rows: rows.map((row) => ({ ...row, says: own(row) ?? sentenceOf(row) })) };
}

/** Of pesticides in sets that want none of them. */
export const noneWanted = ({ parameter: id, kind }: LimitRow): string | null =>
  parameter(id).kind === 'pesticide' && kind === 'health'
    ? 'Set so that pesticides stay out of drinking water; harm begins far above it.'
    : null;
