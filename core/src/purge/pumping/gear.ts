import { z } from 'zod';
import { pressureAt } from '../../parameters/index.ts';
import { computed } from '../../working/index.ts';
import { base, typedOf, type Typed } from '../../units/index.ts';
import { pumps, suctionAtSeaLevel, type PumpRow } from '../tables/pumps.ts';

export type PumpId = keyof typeof pumps;
export const pumpIds = Object.keys(pumps) as [PumpId, ...PumpId[]];
export const pump = (id: PumpId): PumpRow => pumps[id];

/** Where purge water goes. */
export const purgeWaters = ['ground', 'container', 'leave'] as const;
export type PurgeWaterTo = (typeof purgeWaters)[number];

const length = { title: 'Length of the tubing', units: ['m', 'ft'] as const, min: 0.1, max: 2000 };
const bore = { title: 'Inside diameter of the tubing', units: ['mm', 'in'] as const, min: 0.001, max: 0.2 };

/** What is brought along to pump with, as far as a method wants to know. */
export const pumpFields = {
  pump: z.enum(pumpIds).meta({ title: 'Pump' }).optional(),
  /** What it is called, where it is the well's own. */
  pumpNamed: z.string().trim().min(1).max(80).meta({ title: 'Its name' }).optional(),
  /** Depth of the intake below the mark of the level. */
  intake: typedOf('length', { title: 'Intake below the mark', units: ['m', 'ft'], min: 0.1, max: 2000 }).optional(),
  water: z.enum(purgeWaters).meta({ title: 'Purge water goes' }).optional(),
};

/** From the intake to the flow cell: what water is in before it is measured. */
export const driveTrainFields = {
  /** All of it as one number, in place of its parts. */
  holdsInAll: typedOf('volume', { title: 'Pump, tubing and cell hold in all', units: ['mL', 'L'], min: 1e-5, max: 0.1 }).optional(),
  tubing: typedOf('length', length).optional(),
  tubingInside: typedOf('length', bore).optional(),
  pumpHolds: typedOf('volume', { title: 'The pump holds', units: ['mL', 'L'], min: 0, max: 0.05 }).optional(),
  cellHolds: typedOf('volume', { title: 'The flow cell holds', units: ['mL', 'L'], min: 0, max: 0.02 }).optional(),
};

/**
 * What pump, tubing and flow cell hold together, in m³: readings before that much was pumped are of other water.
 * Source: US EPA Region 1, EQASOP-GW4 (2017).
 */
export const driveTrain = computed(
  {
    formula: 'V = π/4 · d² · L + P + C',
    unit: 'm3',
    shown: ['L', 3],
    source: 'US EPA Region 1, EQASOP-GW4, rev. 4 (2017); geometry',
    inputs: {
      inside: { symbol: 'd', name: 'inside diameter of the tubing', unit: 'mm', decimals: 1 },
      length: { symbol: 'L', name: 'length of the tubing', unit: 'm', decimals: 2 },
      pump: { symbol: 'P', name: 'the pump holds', unit: 'L', decimals: 3, usual: 0 },
      cell: { symbol: 'C', name: 'the flow cell holds', unit: 'L', decimals: 3, usual: 0 },
    },
  },
  ({ inside, length: long, pump: held, cell }) => (Math.PI / 4) * inside ** 2 * long + held + cell,
);

/** The same where it is known as one number: measured with a jug, or from the maker. */
export const driveTrainInAll = computed(
  {
    formula: 'V',
    unit: 'm3',
    shown: ['L', 3],
    source: 'Measured, or the maker’s',
    inputs: { held: { symbol: 'V', name: 'pump, tubing and flow cell hold in all', unit: 'L', decimals: 3 } },
  },
  ({ held }) => held,
);

/** A drive train as it is typed: whole, or by its parts. */
export interface DriveTrain {
  holdsInAll?: Typed | undefined;
  tubing?: Typed | undefined;
  tubingInside?: Typed | undefined;
  pumpHolds?: Typed | undefined;
  cellHolds?: Typed | undefined;
}

/** What of a drive train nobody said; empty where it is known, as one number or by its tubing. */
export const missingOf = ({ holdsInAll, tubing, tubingInside }: DriveTrain): ('tubing' | 'tubingInside')[] =>
  holdsInAll ? [] : [...(tubing ? [] : (['tubing'] as const)), ...(tubingInside ? [] : (['tubingInside'] as const))];

/**
 * The drive train of what was typed.
 * @throws Error where neither the whole nor its tubing was said: no set-up is accepted so
 */
export function driveTrainOf({ holdsInAll, tubing, tubingInside, pumpHolds, cellHolds }: DriveTrain) {
  if (holdsInAll) return driveTrainInAll({ held: base(holdsInAll) });
  if (!tubing || !tubingInside) throw new Error('A drive train without its tubing is not accepted.');
  return driveTrain({
    inside: base(tubingInside),
    length: base(tubing),
    ...(pumpHolds ? { pump: base(pumpHolds) } : {}),
    ...(cellHolds ? { cell: base(cellHolds) } : {}),
  });
}

/**
 * How high a suction pump lifts water at an elevation, in m: what it does at sea level, as the air there presses.
 * Source: pressure by the ICAO standard atmosphere (Doc 7488); 7.5 m at sea level, common practice.
 * @param elevation in m above sea level; sea level where it is not known
 */
export function suctionLift(elevation = 0): number {
  return suctionAtSeaLevel * pressureAt(elevation);
}
