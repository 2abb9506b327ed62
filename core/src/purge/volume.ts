import { belowMark, type MeasuringPoint, type Well } from '../registers/index.ts';
import { computed, type Computed } from '../working/index.ts';

const geometry = 'Geometry';

/** Height of the water column in m. Negative when the level is below the bottom, which callers have asked about. */
export const waterColumn = computed(
  {
    formula: 'h = B − d',
    unit: 'm',
    shown: ['m', 3],
    source: 'US EPA Region 4, groundwater sampling procedure',
    inputs: {
      bottom: { symbol: 'B', name: 'bottom below the mark', unit: 'm', decimals: 3 },
      depth: { symbol: 'd', name: 'depth to water below the mark', unit: 'm', decimals: 3 },
    },
  },
  ({ bottom, depth }) => bottom - depth,
);

/**
 * Volume of water standing in a casing in m³: π/4 · d² · column, with the true inside diameter. Both in m, ≥ 0.
 * Source: geometry; tables of the kind in the US EPA Region 4 groundwater sampling procedure.
 * @example casingVolume({ insideDiameter: 0.05, column: 1 }).value * 1000 // 1.9635 L
 */
export const casingVolume = computed(
  {
    formula: 'V = π/4 · d² · h',
    unit: 'm3',
    shown: ['L', 2],
    source: geometry,
    inputs: {
      insideDiameter: { symbol: 'd', name: 'true inside diameter', unit: 'mm', decimals: 1 },
      column: { symbol: 'h', name: 'water column', unit: 'm', decimals: 3 },
    },
  },
  ({ insideDiameter, column }) => (Math.PI / 4) * insideDiameter ** 2 * column,
);

/** Two volumes as one, in m³: a casing, and what stands in the narrower one below it. */
export const bothVolumes = computed(
  {
    formula: 'V = A + B',
    unit: 'm3',
    shown: ['L', 2],
    source: geometry,
    inputs: {
      above: { symbol: 'A', name: 'above', unit: 'L', decimals: 2 },
      below: { symbol: 'B', name: 'below', unit: 'L', decimals: 2 },
    },
  },
  ({ above, below }) => above + below,
);

/**
 * The water that stands in a well between its level and its bottom, each piece of the casing by its own diameter; null where there is
 * none, or where it is not known how deep a narrower casing begins below the mark. All in m, depths below the mark.
 */
export function standingWater(
  { narrower = [] }: Pick<Well, 'narrower'>,
  mark: MeasuringPoint,
  { insideDiameter, depth, bottom }: { insideDiameter: number; depth: number; bottom: number },
): Computed | null {
  const below = narrower.map((piece) => ({ ...piece, top: belowMark(mark, piece.from) }));
  if (below.some(({ top }) => top === null)) return null;
  const pieces = [{ insideDiameter, top: depth }, ...below.map((piece) => ({ ...piece, top: piece.top! }))];
  const volumes = pieces.flatMap(({ insideDiameter: inside, top }, place) => {
    const column = waterColumn({ bottom: Math.min(bottom, pieces[place + 1]?.top ?? bottom), depth: Math.max(top, depth) });
    return column.value > 0 ? [casingVolume({ insideDiameter: inside, column })] : [];
  });
  return volumes.length === 0 ? null : volumes.reduce((above, one) => bothVolumes({ above, below: one }));
}

/**
 * Water in the filter pack in m³: porosity × annulus × saturated length of the pack. Lengths in m, porosity 0..1.
 * Source: geometry; adding the pack to the casing volume is a school of its own (common practice).
 */
export const filterPackVolume = computed(
  {
    formula: 'V = n · π/4 · (D² − d²) · h',
    unit: 'm3',
    shown: ['L', 2],
    source: geometry,
    inputs: {
      porosity: { symbol: 'n', name: 'porosity', unit: '1', decimals: 2 },
      bore: { symbol: 'D', name: 'bore', unit: 'mm', decimals: 1 },
      casingOutside: { symbol: 'd', name: 'outside of the casing', unit: 'mm', decimals: 1 },
      saturated: { symbol: 'h', name: 'saturated length', unit: 'm', decimals: 3 },
    },
  },
  ({ porosity, bore, casingOutside, saturated }) => porosity * (Math.PI / 4) * (bore ** 2 - casingOutside ** 2) * saturated,
);

/** Inside diameter in m of a hose that holds `volume` m³ over `length` m. */
export const hoseDiameter = computed(
  {
    formula: 'd = √(4 · V / (π · L))',
    unit: 'm',
    shown: ['mm', 1],
    source: geometry,
    inputs: {
      volume: { symbol: 'V', name: 'volume', unit: 'L', decimals: 2 },
      length: { symbol: 'L', name: 'length', unit: 'm', decimals: 2 },
    },
  },
  ({ volume, length }) => Math.sqrt((4 * volume) / (Math.PI * length)),
);

/** `volumes` times one volume, in m³. */
export const purgeTarget = computed(
  {
    formula: 'T = n · V',
    unit: 'm3',
    shown: ['L', 1],
    source: 'Three or more casing volumes: US EPA Region 4, groundwater sampling procedure; common practice',
    inputs: {
      volumes: { symbol: 'n', name: 'volumes', unit: '1', decimals: 0 },
      one: { symbol: 'V', name: 'one volume', unit: 'L', decimals: 2 },
    },
  },
  ({ volumes, one }) => volumes * one,
);
