import type { ParameterId } from '../../parameters/index.ts';
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

/** A later edition of a set in which each value has a sentence of its own. */
export function withSentences(
  set: LimitSet,
  change: Partial<LimitSet> & { edition: string },
  rows: readonly LimitRow[] = set.rows,
): LimitSet {
  return {
    ...set,
    ...change,
    rows: rows.map((row) => {
      const says = row.kind === 'aesthetic' && row.parameter === 'copper' ? taste : sentences[row.parameter];
      return says ? { ...row, says } : row;
    }),
  };
}
