import type { ParameterId } from '../../parameters/index.ts';
import type { InstrumentKind } from '../../registers/index.ts';
import type { UnitId } from '../../units/index.ts';

/** What is done before the reagent goes in or the reading is taken, in the imperative. */
export interface GuideStep {
  say: string;
  why: string;
}

/** A test that is made at the point. Numbers are in `unit`. */
export interface MethodRow {
  name: string;
  parameter: ParameterId;
  unit: UnitId;
  /** What it is read with; null for what is compared by eye. */
  instrument: InstrumentKind | null;
  /** What it shows in one piece, its parameter's range; above it is diluted. Left out where the instrument's own range is all there is. */
  range?: readonly [least: number, most: number];
  /** Between what its dye changes colour: at an end it is known only to be there or beyond, and no dilution helps. */
  tells?: readonly [least: number, most: number];
  /** The smallest amount that it tells from nothing. */
  step?: number;
  reagent?: string;
  /** From reagent to reading, in s. */
  clock?: { least: number; most: number };
  /** The steps of a chart of colours, compared with by eye: a class and no number. */
  chart?: readonly number[];
  /** Its chart is the one that came with the kit: volume, drops and shades are filled in from it, as each maker's runs its own way. */
  asksKit?: true;
  /** A reading says something only beside these, which are asked for with it. */
  beside?: 'temperature-and-elevation' | 'compensation';
  guide: readonly GuideStep[];
  source: string;
}

const dpd = 'DPD, ISO 7393-2:2017 and Standard Methods 4500-Cl G (from memory); times: common practice, your kit’s own come first';
const practice = 'Common practice; the maker’s instructions come first';

const cuvette: GuideStep = {
  say: 'Rinse the cuvette three times with the sample, fill it to the mark, wipe it dry',
  why: 'Drops, scratches and fingerprints read as colour. Gloves on.',
};
const zero: GuideStep = {
  say: 'Mark to the front, lid on: set zero with this water',
  why: 'What colour and cloud this water has is taken off. The zero of another water is none.',
};
const swirl: GuideStep = {
  say: 'Reagent in; turn it gently until it is dissolved, no bubbles on the wall',
  why: 'A bubble in the light reads as more.',
};
const fresh: GuideStep = {
  say: 'Pour it out, rinse three times, fill it with a new portion',
  why: 'What is left of the reagent before works on in the next test.',
};

const photometer = { instrument: 'photometer', unit: 'mg/L' } as const;
const low = { range: [0, 2], step: 0.02 } as const;
const high = { range: [0, 10], step: 0.1 } as const;
/** Free chlorine colours as the reagent dissolves; what is bound follows, and is read as free if one waits. */
const atOnce = { least: 10, most: 60 } as const;
const slowly = { least: 180, most: 360 } as const;

const settle = (what: string): GuideStep => ({
  say: `Rinse the sensor with the sample, hold it in gently running water, wait until ${what} holds`,
  why: 'The first number is that of the water before.',
});

/** Every test is a row. The maker's instructions and the employer's own come first. */
export const methods = {
  'free-chlorine-low': {
    ...photometer,
    ...low,
    name: 'Free chlorine, 0 to 2 mg/L',
    parameter: 'freeChlorine',
    reagent: 'DPD, free chlorine',
    clock: atOnce,
    guide: [cuvette, zero, swirl],
    source: dpd,
  },
  'free-chlorine-high': {
    ...photometer,
    ...high,
    name: 'Free chlorine, 0 to 10 mg/L',
    parameter: 'freeChlorine',
    reagent: 'DPD, free chlorine, high range',
    clock: atOnce,
    guide: [cuvette, zero, swirl],
    source: dpd,
  },
  'total-chlorine-low': {
    ...photometer,
    ...low,
    name: 'Total chlorine, 0 to 2 mg/L',
    parameter: 'totalChlorine',
    reagent: 'DPD, total chlorine',
    clock: slowly,
    guide: [fresh, cuvette, zero, swirl],
    source: dpd,
  },
  'total-chlorine-high': {
    ...photometer,
    ...high,
    name: 'Total chlorine, 0 to 10 mg/L',
    parameter: 'totalChlorine',
    reagent: 'DPD, total chlorine, high range',
    clock: slowly,
    guide: [fresh, cuvette, zero, swirl],
    source: dpd,
  },
  monochloramine: {
    ...photometer,
    name: 'Monochloramine, 0 to 4.5 mg/L',
    parameter: 'monochloramine',
    range: [0, 4.5],
    step: 0.04,
    reagent: 'Indophenol',
    clock: { least: 300, most: 900 },
    guide: [fresh, cuvette, zero, swirl],
    source: `Indophenol method (from memory). ${practice}`,
  },
  fluoride: {
    ...photometer,
    name: 'Fluoride, 0 to 2 mg/L',
    parameter: 'fluoride',
    range: [0, 2],
    step: 0.1,
    reagent: 'Zirconium dye',
    clock: { least: 60, most: 120 },
    guide: [
      cuvette,
      { say: 'Measure sample and reagent exactly, at eye level', why: 'A drop more of the reagent is less fluoride.' },
      zero,
      swirl,
    ],
    source: `Standard Methods 4500-F D (from memory). ${practice}`,
  },
  'ph-colour': {
    ...photometer,
    unit: 'pH',
    name: 'pH by photometer, 6.5 to 8.4',
    parameter: 'ph',
    tells: [6.5, 8.4],
    reagent: 'Phenol red',
    clock: { least: 10, most: 120 },
    guide: [fresh, cuvette, zero, swirl],
    source: `Phenol red, yellow at 6.4 and red at 8.2 (from memory). Much chlorine bleaches it. ${practice}`,
  },
  temperature: {
    name: 'Temperature',
    parameter: 'temperature',
    unit: 'degC',
    instrument: 'thermometer',
    guide: [settle('it')],
    source: practice,
  },
  ph: {
    name: 'pH by probe',
    parameter: 'ph',
    unit: 'pH',
    instrument: 'probe',
    guide: [settle('it')],
    source: 'ISO 10523:2008 (from memory)',
  },
  conductivity: {
    name: 'Conductivity',
    parameter: 'conductivity',
    unit: 'uS/cm',
    instrument: 'probe',
    beside: 'compensation',
    guide: [settle('it')],
    source: 'ISO 7888:1985 (from memory)',
  },
  oxygen: {
    name: 'Dissolved oxygen',
    parameter: 'oxygen',
    unit: 'mg/L',
    instrument: 'probe',
    beside: 'temperature-and-elevation',
    guide: [settle('it'), { say: 'Keep air out: no splashing, no bubbles at the sensor', why: 'Air is full of what is measured.' }],
    source: 'ISO 17289:2014 (from memory); saturation: Benson and Krause (1984)',
  },
  redox: { name: 'Redox potential', parameter: 'redox', unit: 'mV', instrument: 'probe', guide: [settle('it')], source: practice },
  turbidity: {
    name: 'Turbidity',
    parameter: 'turbidity',
    unit: 'NTU',
    instrument: 'turbidimeter',
    step: 0.02,
    guide: [
      cuvette,
      { say: 'Turn it over gently, no bubbles, mark to the front, read at once', why: 'What sinks is not seen; what bubbles is.' },
    ],
    source: 'ISO 7027-1:2016 (from memory)',
  },
  'free-chlorine-colour': {
    name: 'Free chlorine by colour',
    parameter: 'freeChlorine',
    unit: 'mg/L',
    instrument: null,
    chart: [0, 0.1, 0.2, 0.4, 0.6, 0.8, 1, 1.5, 2, 3],
    reagent: 'DPD, free chlorine',
    clock: atOnce,
    guide: [{ ...cuvette, say: 'Rinse everything with the sample three times; fill to the mark, at eye level' }, swirl],
    source: practice,
  },
  'fluoride-colour': {
    name: 'Fluoride by colour',
    parameter: 'fluoride',
    unit: 'mg/L',
    instrument: null,
    // That of the days before kits were asked for: their tests stand as they were.
    chart: [0, 0.5, 1, 1.5, 2, 3, 5],
    asksKit: true,
    reagent: 'Zirconium dye',
    clock: { least: 60, most: 300 },
    guide: [
      { say: 'Rinse tube and syringe with the sample three times', why: 'What is left of the last farm is in the next.' },
      {
        say: 'Measure the sample at eye level, the lower edge of its curve at the mark',
        why: 'A millimetre more or less moves the colour.',
      },
      { say: 'Reagent in, close, turn it over; compare against white, out of the sun', why: 'Shade and background change the step.' },
    ],
    source: practice,
  },
  'nitrate-colour': {
    name: 'Nitrate by colour',
    parameter: 'nitrate',
    unit: 'mg/L',
    instrument: null,
    chart: [0, 10, 25, 50, 100, 250],
    clock: { least: 60, most: 120 },
    reagent: 'Strip',
    guide: [{ say: 'Dip the strip for a second, shake it off, keep it level', why: 'Drops carry the colour from field to field.' }],
    source: practice,
  },
} as const satisfies Record<string, MethodRow>;
