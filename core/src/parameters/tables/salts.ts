import { perPart } from './atoms.ts';
import { rowsOfKind } from './row.ts';

const ion = rowsOfKind('ion', [0, 5000]);
const nutrient = rowsOfKind('nutrient', [0, 1000]);
const one = { unit: 'mg/L', decimals: 1 } as const;

/** What water dissolves of rock, soil and salt. Silica is kept as SiO₂. */
export const salts = {
  calcium: ion('Calcium', 'Ca', '7440-70-2', { ...one, usualAtLab: [0.005, 1000] }),
  magnesium: ion('Magnesium', 'Mg', '7439-95-4', { ...one, usualAtLab: [0.005, 500] }),
  sodium: ion('Sodium', 'Na', '7440-23-5', { ...one, possible: [0, 20_000], usualAtLab: [0.005, 5000] }),
  potassium: ion('Potassium', 'K', '7440-09-7', { ...one, usualAtLab: [0.005, 500] }),
  chloride: ion('Chloride', 'Cl', '16887-00-6', { ...one, possible: [0, 30_000], usualAtLab: [0.005, 10_000] }),
  sulfate: ion('Sulfate', 'SO₄', '14808-79-8', { ...one, possible: [0, 10_000], usualAtLab: [0.005, 3000] }),
  alkalinity: ion('Alkalinity', null, null, { unit: 'mg/L CaCO3', decimals: 0, usualAtLab: [0.5, 1500] }),
  fluoride: ion('Fluoride', 'F', '16984-48-8', { unit: 'mg/L', decimals: 2, possible: [0, 200], usualAtLab: [0.005, 20] }),
  hardness: ion('Total hardness', null, null, { unit: 'mg/L CaCO3', decimals: 0, usualAtLab: [0.5, 3000] }),
  calciumHardness: ion('Calcium hardness', null, null, { unit: 'mg/L CaCO3', decimals: 0 }),
  alkalinityP: ion('Alkalinity to pH 8.3', null, null, { unit: 'mg/L CaCO3', decimals: 0 }),
  bicarbonate: ion('Bicarbonate', 'HCO₃', '71-52-3', { unit: 'mg/L', decimals: 0, usualAtLab: [0.5, 2000] }),
  carbonate: ion('Carbonate', 'CO₃', '3812-32-6', one),
  bromide: ion('Bromide', 'Br', '24959-67-9', { unit: 'mg/L', decimals: 3 }),
  iodide: ion('Iodide', 'I', '20461-54-5', { unit: 'mg/L', decimals: 3 }),
  sulfide: ion('Sulfide', 'S', '18496-25-8', { unit: 'mg/L', decimals: 3 }),
  silica: ion('Silica (as SiO₂)', 'SiO₂', '7631-86-9', {
    ...one,
    usualAtLab: [0.05, 200],
    expressedAs: { Si: perPart('SiO2', 'Si'), ion: 1 },
  }),
  cyanide: ion('Cyanide, total', 'CN', '57-12-5', { unit: 'ug/L', decimals: 0, possible: [0, 1e6], usualAtLab: [0.5, 1000] }),
  freeCyanide: ion('Cyanide, free', null, null, { unit: 'ug/L', decimals: 0, possible: [0, 1e6] }),
  perchlorate: ion('Perchlorate', 'ClO₄', '14797-73-0', { unit: 'ug/L', decimals: 1, possible: [0, 1e6] }),
};

const ofNitrogen = (whole: string) => ({ N: perPart(whole, 'N'), ion: 1 });

/** What feeds plants. Nitrate, nitrite and ammonium are kept as the ion, sums as the element. */
export const nutrients = {
  nitrate: nutrient('Nitrate (as NO₃)', 'NO₃', '14797-55-8', {
    unit: 'mg/L',
    decimals: 1,
    possible: [0, 5000],
    usualAtLab: [0.005, 1000],
    expressedAs: ofNitrogen('NO3'),
  }),
  nitrite: nutrient('Nitrite (as NO₂)', 'NO₂', '14797-65-0', {
    unit: 'mg/L',
    decimals: 3,
    possible: [0, 500],
    usualAtLab: [0.0005, 50],
    expressedAs: ofNitrogen('NO2'),
  }),
  ammonium: nutrient('Ammonium (as NH₄)', 'NH₄', '14798-03-9', {
    unit: 'mg/L',
    decimals: 3,
    usualAtLab: [0.0005, 100],
    expressedAs: ofNitrogen('NH4'),
  }),
  unionisedAmmonia: nutrient('Un-ionised ammonia (as NH₃)', null, null, {
    unit: 'mg/L',
    decimals: 4,
    expressedAs: { N: perPart('NH3', 'N'), ion: 1 },
  }),
  nitrateNitrite: nutrient('Nitrate + nitrite (as N)', null, null, {
    unit: 'mg/L',
    decimals: 2,
    usualAtLab: [0.005, 250],
    expressedAs: { N: 1, ion: perPart('N', 'NO3') },
  }),
  orthophosphate: nutrient('Orthophosphate (as PO₄)', 'PO₄', '14265-44-2', {
    unit: 'mg/L',
    decimals: 3,
    usualAtLab: [0.001, 50],
    expressedAs: { P: perPart('PO4', 'P'), ion: 1 },
  }),
};
