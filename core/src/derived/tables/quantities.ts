import { charges, molarMass, type ParameterId } from '../../parameters/index.ts';

/** A substance that goes into a quantity, in its parameter's own unit. */
export interface Part {
  parameter: ParameterId;
  /** Without it nothing is worked out; else it counts where the lab has it. */
  isNeeded: boolean;
}

/** From a value on a quantity is called so, up to the next. */
export interface ClassRow {
  from: number;
  name: string;
}

/** A quantity that follows from others. Its function must rise all along or fall all along with each of its parts. */
export interface QuantityRow {
  id: string;
  name: string;
  /** As it is written behind the number. */
  unit: string;
  decimals: number;
  parts: readonly Part[];
  formula: string;
  /** `of` gives each part in its own unit, 0 where there is none. */
  compute: (of: (id: ParameterId) => number) => number;
  /** The parameter that a lab may report of the same thing. */
  same?: ParameterId;
  classes?: readonly { by: string; rows: readonly ClassRow[] }[];
  source: string;
}

const needed = (...ids: readonly ParameterId[]): Part[] => ids.map((parameter) => ({ parameter, isNeeded: true }));
const counted = (...ids: readonly ParameterId[]): Part[] => ids.map((parameter) => ({ parameter, isNeeded: false }));

const carbonate = molarMass('CaCO3');
/** mg/L of calcium and magnesium as mg/L of calcium carbonate. */
const hardnessOf = (of: (id: ParameterId) => number) =>
  (of('calcium') * carbonate) / molarMass('Ca') + (of('magnesium') * carbonate) / molarMass('Mg');

/** Charges of ions, and the g/mol of what is in the parameter's own unit; meq/L is mg/L by mass by charge. */
const equivalents: Readonly<Partial<Record<ParameterId, { mass: number; charge: number }>>> = {
  calcium: { mass: molarMass('Ca'), charge: charges.calcium },
  magnesium: { mass: molarMass('Mg'), charge: charges.magnesium },
  sodium: { mass: molarMass('Na'), charge: charges.sodium },
  potassium: { mass: molarMass('K'), charge: charges.potassium },
  ammonium: { mass: molarMass('NH4'), charge: charges.ammonium },
  chloride: { mass: molarMass('Cl'), charge: charges.chloride },
  sulfate: { mass: molarMass('SO4'), charge: charges.sulfate },
  nitrate: { mass: molarMass('NO3'), charge: charges.nitrate },
  fluoride: { mass: molarMass('F'), charge: charges.fluoride },
  // As calcium carbonate: two equivalents to a mole.
  alkalinity: { mass: carbonate, charge: 2 },
};

/**
 * meq/L of what is given in the parameter's own unit.
 * @throws Error for what is no ion of the table
 * @example milliequivalents('calcium', 40.078) // 2
 */
export function milliequivalents(id: ParameterId, value: number): number {
  const ion = equivalents[id];
  if (!ion) throw new Error(`${id} has no charge in the table`);
  return (value / ion.mass) * ion.charge;
}

const cations = ['calcium', 'magnesium', 'sodium', 'potassium', 'ammonium'] as const;
const anions = ['alkalinity', 'chloride', 'sulfate', 'nitrate', 'fluoride'] as const;
const sumOf = (ids: readonly ParameterId[], of: (id: ParameterId) => number) =>
  ids.reduce((sum, id) => sum + milliequivalents(id, of(id)), 0);

export const cationSum = (of: (id: ParameterId) => number): number => sumOf(cations, of);
export const anionSum = (of: (id: ParameterId) => number): number => sumOf(anions, of);

export const quantities: readonly QuantityRow[] = [
  {
    id: 'hardness',
    name: 'Total hardness',
    unit: 'mg/L CaCO₃',
    decimals: 0,
    parts: needed('calcium', 'magnesium'),
    formula: '100.1 · Ca / 40.08 + 100.1 · Mg / 24.31',
    compute: hardnessOf,
    same: 'hardness',
    classes: [
      {
        by: 'USGS',
        rows: [
          { from: 0, name: 'soft' },
          { from: 60, name: 'moderately hard' },
          { from: 120, name: 'hard' },
          { from: 180, name: 'very hard' },
        ],
      },
      {
        by: 'WRMG 2007, § 9',
        rows: [
          { from: 0, name: 'soft' },
          { from: 150.1, name: 'medium' },
          { from: 250.2, name: 'hard' },
        ],
      },
    ],
    source: 'Standard Methods 2340 B; classes of USGS (Durfor and Becker 1964) and of the German WRMG (1.5 and 2.5 mmol/L; from memory)',
  },
  {
    id: 'carbonate-hardness',
    name: 'Carbonate hardness',
    unit: 'mg/L CaCO₃',
    decimals: 0,
    parts: needed('calcium', 'magnesium', 'alkalinity'),
    formula: 'The smaller of total hardness and alkalinity',
    compute: (of) => Math.min(hardnessOf(of), of('alkalinity')),
    source: 'Standard Methods 2340 A (from memory)',
  },
  {
    id: 'other-hardness',
    name: 'Non-carbonate hardness',
    unit: 'mg/L CaCO₃',
    decimals: 0,
    parts: needed('calcium', 'magnesium', 'alkalinity'),
    formula: 'Total hardness − alkalinity, at least 0',
    compute: (of) => Math.max(0, hardnessOf(of) - of('alkalinity')),
    source: 'Standard Methods 2340 A (from memory)',
  },
  {
    id: 'dissolved-solids',
    name: 'Dissolved solids, calculated',
    unit: 'mg/L',
    decimals: 0,
    parts: [
      ...needed('alkalinity', 'sodium', 'calcium', 'magnesium', 'chloride', 'sulfate'),
      ...counted('potassium', 'silica', 'nitrate', 'fluoride'),
    ],
    formula: '0.6 · alkalinity + Na + K + Ca + Mg + Cl + SO₄ + SiO₃ + N of nitrate + F',
    compute: (of) =>
      0.6 * of('alkalinity') +
      (['sodium', 'potassium', 'calcium', 'magnesium', 'chloride', 'sulfate', 'fluoride'] as const).reduce((sum, id) => sum + of(id), 0) +
      of('silica') * (molarMass('SiO3') / molarMass('SiO2')) +
      of('nitrate') * (molarMass('N') / molarMass('NO3')),
    same: 'dissolvedSolids',
    source: 'Standard Methods 1030 E (from memory)',
  },
  {
    id: 'sar',
    name: 'Sodium adsorption ratio',
    unit: '',
    decimals: 1,
    parts: needed('sodium', 'calcium', 'magnesium'),
    formula: 'Na / √((Ca + Mg) / 2), each in meq/L',
    compute: (of) =>
      milliequivalents('sodium', of('sodium')) /
      Math.sqrt((milliequivalents('calcium', of('calcium')) + milliequivalents('magnesium', of('magnesium'))) / 2),
    same: 'sar',
    source: 'FAO Irrigation and Drainage Paper 29 rev. 1 (Ayers and Westcot 1985)',
  },
  {
    id: 'cations',
    name: 'Sum of cations',
    unit: 'meq/L',
    decimals: 2,
    parts: [...needed('calcium', 'magnesium', 'sodium'), ...counted('potassium', 'ammonium')],
    formula: 'Ca + Mg + Na + K + NH₄, each in meq/L',
    compute: cationSum,
    source: 'Standard Methods 1030 E (from memory)',
  },
  {
    id: 'anions',
    name: 'Sum of anions',
    unit: 'meq/L',
    decimals: 2,
    parts: [...needed('alkalinity', 'chloride', 'sulfate'), ...counted('nitrate', 'fluoride')],
    formula: 'Alkalinity + Cl + SO₄ + NO₃ + F, each in meq/L',
    compute: anionSum,
    source: 'Standard Methods 1030 E (from memory)',
  },
];

/** How far apart the sums of ions may be: by so many meq/L, or so many per cent of both together, up to a sum of anions in meq/L. */
export const balance: readonly { upTo: number; absolute?: number; percent?: number }[] = [
  { upTo: 3, absolute: 0.2 },
  { upTo: 10, percent: 2 },
  { upTo: Infinity, percent: 5 },
];

/** Reported dissolved solids by calculated ones: least and most. Standard Methods 1030 E (from memory). */
export const solidsRatio = { least: 1, most: 1.2 } as const;

/** Reported hardness and that of calcium and magnesium differ by no more than this part. Common practice. */
export const hardnessMayDiffer = 0.1;
