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
  /** Depth of the intake below the mark of the level. */
  intake: typedOf('length', { title: 'Intake below the mark', units: ['m', 'ft'], min: 0.1, max: 2000 }).optional(),
  water: z.enum(purgeWaters).meta({ title: 'Purge water goes' }).optional(),
};

/** From the intake to the flow cell: what water is in before it is measured. */
export const driveTrainFields = {
  tubing: typedOf('length', length),
  tubingInside: typedOf('length', bore),
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

/** The drive train of what was typed. */
export const driveTrainOf = (typed: { tubing: Typed; tubingInside: Typed; pumpHolds?: Typed | undefined; cellHolds?: Typed | undefined }) =>
  driveTrain({
    inside: base(typed.tubingInside),
    length: base(typed.tubing),
    ...(typed.pumpHolds ? { pump: base(typed.pumpHolds) } : {}),
    ...(typed.cellHolds ? { cell: base(typed.cellHolds) } : {}),
  });

/**
 * How high a suction pump lifts water at an elevation, in m: what it does at sea level, as the air there presses.
 * Source: pressure by the ICAO standard atmosphere (Doc 7488); 7.5 m at sea level, common practice.
 * @param elevation in m above sea level; sea level where it is not known
 */
export function suctionLift(elevation = 0): number {
  return suctionAtSeaLevel * pressureAt(elevation);
}
