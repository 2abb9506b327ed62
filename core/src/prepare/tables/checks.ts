import type { ParameterId } from '../../parameters/index.ts';
import type { InstrumentKind } from '../../registers/index.ts';

/** How far a reading may lie from what it should be: an absolute distance in the parameter's own unit, a part of the nominal value, or the larger of both. */
export interface Tolerance {
  absolute?: number;
  relative?: number;
}

/** A check of an instrument before it is used. */
export interface CheckRow {
  kind: InstrumentKind;
  name: string;
  /** What is done, in the imperative. */
  do: string;
  why: string;
  /** What readings it bears on: another range has its own dye, cuvette and curve. Left out where it bears on all that the instrument reads. */
  of?: readonly ParameterId[];
  /** Asked for from this day on (`YYYY-MM-DD`); what was read before it is judged by the checks of its day. */
  since?: string;
  /** What is read; a check without it is answered by yes or no. */
  parameter?: ParameterId;
  /** What it should read, in the parameter's own unit, where that is always the same; else the standard says it. */
  nominal?: number;
  tolerance?: Tolerance;
  /** What the nominal value of its standard lies between, in the parameter's own unit, where another standard checks something else. */
  standards?: readonly (readonly [number, number])[];
  /** A standard solution is used up for it: its lot and expiry are written down. */
  isOfLot?: true;
  /** It can be left out where it is not used that day. */
  isOptional?: true;
  source: string;
}

const nfm = 'USGS National Field Manual, chapter A6';
const practice = 'Common practice';

/** Every range of a photometer is checked by itself since this day; before it the free chlorine range stood for all. */
const ofRanges = '2026-11-20';

const photometer = { kind: 'photometer' } as const;

/** What a range reads of blank water: no more than a cuvette's own mark. */
const zeroOf = <const T extends ParameterId>(parameter: T, what: string, most: number) =>
  ({
    ...photometer,
    of: [parameter],
    name: `Zero of ${what}`,
    do: 'Clean dry cuvette with blank water, this range: read',
    why: `A scratched or wet cuvette reads as ${what}.`,
    parameter,
    nominal: 0,
    standards: [[0, 0]],
    tolerance: { absolute: most },
    source: practice,
  }) as const;

const standardOf = <const T extends ParameterId>(parameter: T, what: string) =>
  ({
    ...photometer,
    of: [parameter],
    name: `Standard of ${what}`,
    do: `Read the standard of ${what} in its own cuvette, this range`,
    why: 'Lamp and filter drift, and every range has a curve of its own.',
    parameter,
    tolerance: { absolute: 0.1, relative: 0.1 },
    isOfLot: true,
    source: 'Common practice: 1.00 mg/L passes at ±0.10',
  }) as const;

/** Tolerances are those of the sources or common practice; the maker's and the employer's own come first. */
export const checks = {
  'photometer-zero': zeroOf('freeChlorine', 'free chlorine', 0.02),
  'photometer-standard': standardOf('freeChlorine', 'free chlorine'),
  'photometer-total-zero': { ...zeroOf('totalChlorine', 'total chlorine', 0.02), since: ofRanges },
  'photometer-total-standard': { ...standardOf('totalChlorine', 'total chlorine'), since: ofRanges },
  'photometer-monochloramine-zero': { ...zeroOf('monochloramine', 'monochloramine', 0.04), since: ofRanges },
  'photometer-monochloramine-standard': { ...standardOf('monochloramine', 'monochloramine'), since: ofRanges },
  'photometer-fluoride-zero': { ...zeroOf('fluoride', 'fluoride', 0.1), since: ofRanges },
  'photometer-fluoride-standard': { ...standardOf('fluoride', 'fluoride'), since: ofRanges },
  'photometer-ph-zero': {
    ...photometer,
    of: ['ph'],
    since: ofRanges,
    name: 'Zero of pH',
    // Blank water with its dye has no pH of its own to be read against.
    do: 'Clean dry cuvette with blank water and no dye, pH range: it takes its zero without an error',
    why: 'A lamp that is too weak and a cuvette that is scratched are refused here.',
    source: practice,
  },
  'photometer-ph-standard': {
    ...photometer,
    of: ['ph'],
    since: ofRanges,
    name: 'Standard of pH',
    do: 'Read the pH standard in its own cuvette, pH range',
    why: 'That chlorine reads right says nothing of the colour of another dye.',
    parameter: 'ph',
    // What phenol red tells apart.
    standards: [[6.5, 8.4]],
    tolerance: { absolute: 0.1 },
    isOfLot: true,
    source: practice,
  },
  'probe-ph7': {
    kind: 'probe',
    name: 'pH 7',
    do: 'Rinse, buffer of pH 7, wait until it holds, read',
    why: 'The zero of the glass electrode wanders.',
    parameter: 'ph',
    nominal: 7,
    // Buffers called 7 are 6.86 to 7.02 at 25 °C.
    standards: [[6.8, 7.2]],
    tolerance: { absolute: 0.1 },
    isOfLot: true,
    source: `${nfm}.4 (pH; from memory)`,
  },
  'probe-ph-slope': {
    kind: 'probe',
    name: 'pH 4 or 10',
    do: 'Second buffer, on the side of the water you expect',
    why: 'The slope ages faster than the zero.',
    parameter: 'ph',
    // A slope needs two different buffers.
    standards: [
      [1, 5],
      [9, 13],
    ],
    tolerance: { absolute: 0.1 },
    isOfLot: true,
    source: `${nfm}.4 (pH; from memory)`,
  },
  'probe-conductivity': {
    kind: 'probe',
    name: 'Conductivity',
    do: 'Rinse three times with the standard, then read',
    why: 'A fouled cell reads too low.',
    parameter: 'conductivity',
    tolerance: { relative: 0.05 },
    isOfLot: true,
    source: `${nfm}.3 (±5 % to 100 µS/cm, ±3 % above, is asked of the water; of the check: common practice)`,
  },
  'probe-oxygen': {
    kind: 'probe',
    name: 'Oxygen in moist air',
    do: 'Wet sponge in the cup, wait ten minutes, read; type what air holds here at this temperature',
    why: 'A torn membrane and a dry cap read anything.',
    parameter: 'oxygen',
    tolerance: { absolute: 0.3 },
    source: `${nfm}.2 (oxygen; from memory)`,
  },
  'probe-redox': {
    kind: 'probe',
    name: 'Redox',
    do: 'Redox solution at its temperature, read',
    why: 'Platinum takes up a film.',
    parameter: 'redox',
    tolerance: { absolute: 10 },
    isOfLot: true,
    isOptional: true,
    source: `${nfm}.5 (redox; from memory)`,
  },
  'turbidimeter-zero': {
    kind: 'turbidimeter',
    name: 'Low standard',
    do: 'Wipe the cuvette, mark to the front, read',
    why: 'Fingerprints and scratches scatter light.',
    parameter: 'turbidity',
    tolerance: { absolute: 0.1, relative: 0.1 },
    isOfLot: true,
    source: `${nfm}.7 (turbidity; from memory)`,
  },
  'thermometer-compare': {
    kind: 'thermometer',
    name: 'Against a reference',
    do: 'Both in one beaker, stir, read; type what the reference shows',
    why: 'The cooler is judged by it.',
    parameter: 'temperature',
    tolerance: { absolute: 0.5 },
    source: practice,
  },
  'tape-signal': {
    kind: 'tape',
    name: 'Signal in water',
    do: 'Dip it into a bucket: it sounds, and stops when lifted',
    why: 'A weak battery is found at 40 m.',
    source: 'USGS TM 1-A1, GWPD 4; common practice',
  },
  'tape-marks': {
    kind: 'tape',
    name: 'Marks and cable',
    do: 'Look at the first metres: marks legible, no kink, splice or stretch',
    why: 'A tape that was cut short is wrong for ever.',
    source: 'USGS TM 1-A1, GWPD 1; common practice',
  },
  'pump-runs': {
    kind: 'pump',
    name: 'Runs',
    do: 'In a bucket: it runs, cable and plug whole, tubing clean',
    why: 'Electricity and water: a residual-current device goes along.',
    source: practice,
  },
} as const satisfies Record<string, CheckRow>;

/**
 * From which state on work with an instrument waits; `asked` does not wait for a check that is missing, and says that it is. What goes
 * onto the form must stand on a check; a tape or a pump that works shows it at the first dip. Common practice.
 */
export const shutAt = {
  photometer: 'unchecked',
  probe: 'unchecked',
  turbidimeter: 'unchecked',
  thermometer: 'asked',
  tape: 'failed',
  pump: 'failed',
} as const satisfies Record<InstrumentKind, 'unchecked' | 'asked' | 'failed'>;

/** What a number on site is read with. */
export const readWith: Partial<Record<ParameterId, InstrumentKind>> = {
  freeChlorine: 'photometer',
  totalChlorine: 'photometer',
  turbidity: 'turbidimeter',
  temperature: 'thermometer',
};
