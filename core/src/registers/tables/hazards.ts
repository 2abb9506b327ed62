/** What may hurt whoever works at a point, and what to do about it. */
export interface HazardRow {
  name: string;
  caution: string;
  /** Nobody goes on alone. */
  stops?: true;
}

/** Common practice; the employer's own rules come first. */
export const hazards = {
  'lone-work': { name: 'Lone work', caution: 'Say where you are and when you will call.' },
  traffic: { name: 'Traffic', caution: 'High-visibility vest; park where you are seen.' },
  dogs: { name: 'Dogs', caution: 'Ring first, and wait.' },
  insects: { name: 'Wasps, bees, ticks', caution: 'Look under the cover before you put a hand in.' },
  pit: { name: 'Pit or vault', caution: 'Never enter one without a permit, a gas meter and a second person.', stops: true },
  electricity: { name: 'Electricity at the pump', caution: 'Keep tape and hands off cables; wet panels are left alone.' },
  'hot-water': { name: 'Hot water', caution: 'It may be over 60 °C: open slowly.' },
  aerosol: { name: 'Spray that is breathed in', caution: 'Open slowly, no spray; a mask where Legionella is looked for.' },
  contaminated: { name: 'Contaminated water', caution: 'Gloves and eye protection; the water goes into a container.' },
  ground: { name: 'Steep or slippery ground', caution: 'Boots, both hands free.' },
} as const satisfies Record<string, HazardRow>;
