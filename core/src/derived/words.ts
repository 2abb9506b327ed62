import type { FindingWords } from '../findings/index.ts';
import { showNumber } from '../units/index.ts';
import type { Infiltration } from './uses.ts';

const shown = (value: unknown, decimals: number) => showNumber(Number(value), decimals);

export const derivedFindings: FindingWords = {
  'ions-apart': [
    ({ cations, anions, percent }) =>
      `The ions do not balance: ${shown(cations, 2)} meq/L of cations, ${shown(anions, 2)} meq/L of anions, ${shown(percent, 1)} % apart.`,
    'Ask the lab whether a result is wrong or an ion was not measured.',
  ],
  'hardness-apart': [
    ({ reported, own }) => `Hardness is reported as ${shown(reported, 0)} mg/L; calcium and magnesium make ${shown(own, 0)} mg/L.`,
    'Ask the lab which result is right.',
  ],
  'solids-apart': [
    ({ reported, own }) =>
      `Dissolved solids are reported as ${shown(reported, 0)} mg/L; what they are made of adds up to ${shown(own, 0)} mg/L.`,
    'Ask the lab which result is right.',
  ],
};

const infiltrationWords: Readonly<Record<Infiltration, string>> = {
  none: 'Soil takes this water in well: sodium and salt are in proportion.',
  'slight-to-moderate': 'Soil may take this water in slowly: slight to moderate restriction on use.',
  severe: 'Soil seals up under this water: severe restriction on use.',
  open: 'Whether soil takes this water in cannot be told from these numbers.',
};

/** What water does to how soil takes it in, as a sentence. */
export const sayInfiltration = (found: Infiltration): string => infiltrationWords[found];
