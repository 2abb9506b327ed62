/** What many bottles have in common. */

export const day = 24;
export const table2 = '40 CFR 136.3 Table II';

const acid = (name: string, more = '') => ({
  name,
  hazard: `${more || 'Strong acid'}: gloves and eye protection, open slowly, keep upright.`,
});
export const nitric = acid('Nitric acid to pH < 2');
export const sulfuric = acid('Sulfuric acid to pH < 2');
export const hydrochloric = acid('Hydrochloric acid to pH < 2');
export const thiosulfate = { name: 'Sodium thiosulfate', hazard: 'Leave the powder or drop in: it takes up the chlorine.' };

export const unrinsed = 'Never rinse';
export const rinsed = 'Rinse three times with the sample';
const shoulder = { fill: 'To the shoulder', mark: 0.9, headspace: 'A little air' };

/** A plastic bottle without anything in it, cooled. */
export const plain = {
  container: 'Polyethylene',
  volume: 250,
  preservative: null,
  rinse: rinsed,
  ...shoulder,
  filter: null,
  mix: null,
  temperature: 'chilled',
  temperatureText: '≤ 6 °C, not frozen',
  parameters: [],
} as const;

/** A bottle with a preservative in it: never rinsed, never overfilled, mixed. */
export const preserved = {
  ...plain,
  rinse: unrinsed,
  fill: 'To the shoulder, do not overflow',
  mix: 'Invert gently three times',
} as const;

/** A vial that takes no bubble. */
export const vial = {
  container: 'Amber glass vial with septum',
  volume: 40,
  rinse: unrinsed,
  fill: 'Slowly to a dome over the rim, cap, turn over: no bubble',
  mark: 0.99,
  headspace: 'No air at all',
  filter: null,
  mix: 'Invert three times, then look for a bubble',
  temperature: 'chilled',
  temperatureText: '≤ 6 °C, not frozen',
  parameters: [],
} as const;

/** Sterile, with what takes up the chlorine. */
export const sterile = {
  container: 'Sterile plastic, sealed',
  volume: 250,
  preservative: thiosulfate,
  rinse: unrinsed,
  fill: 'Past the line, below the neck',
  mark: 0.84,
  headspace: 'Leave about 2 cm of air',
  filter: null,
  mix: null,
  temperature: 'bacteria',
  temperatureText: 'Dark, in the cooler at once',
  parameters: [],
  spareEach: 5,
  gear: ['sterile-kit'],
} as const;

/** Glass for what clings to plastic. */
export const amber = {
  ...plain,
  container: 'Amber glass, lined cap',
  volume: 1000,
  rinse: unrinsed,
  headspace: 'A little air',
} as const;

/** One in ten, at least one where there are five or more. Common practice. */
export const duplicates = { purpose: 'duplicate', every: 10 } as const;
export const tripBlank = { purpose: 'trip-blank', every: 'round' } as const;
export const fieldBlank = { purpose: 'field-blank', every: 'building' } as const;
export const equipmentBlank = { purpose: 'equipment-blank', every: 'round' } as const;
