import { belowMark, type MeasuringPoint, type Well } from '../../registers/index.ts';
import { computed, type Computed } from '../../working/index.ts';
import { pipe, pipeIds } from '../pipes.ts';

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
 * @example casingVolume({ insideDiameter: 0.05, column: 1 }).value * 1000 // 1.9635
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

/** Two volumes as one, in m³: what each is called in the working. */
const sumOf = (one: string, other: string) =>
  computed(
    {
      formula: 'V = A + B',
      unit: 'm3',
      shown: ['L', 2],
      source: geometry,
      inputs: {
        one: { symbol: 'A', name: one, unit: 'L', decimals: 2 },
        other: { symbol: 'B', name: other, unit: 'L', decimals: 2 },
      },
    },
    (given) => given.one + given.other,
  );

/** A casing, and what stands in the narrower one below it. */
export const bothVolumes = sumOf('above', 'below');
/** A casing volume with the water of its filter pack. */
export const withPack = sumOf('in the casing', 'in the filter pack');

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
  return volumes.length === 0 ? null : volumes.reduce((above, one) => bothVolumes({ one: above, other: one }));
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

/** What a pack of gravel holds, where nobody says its porosity. Common practice: 0.25 to 0.35. */
const usualPorosity = 0.3;

/**
 * The water in the filter pack of a well below its level, in m³; null where its bore, its pack or the height of the mark is not known, or
 * where it stands dry. The outside of the casing is taken for its inside where the pipe is not known: the pack is then held a little too
 * large. Depths in m below the mark.
 */
export function packVolume(
  { bore, pack, pipe: id }: Pick<Well, 'bore' | 'pack' | 'pipe'>,
  mark: MeasuringPoint,
  { insideDiameter, depth }: { insideDiameter: number; depth: number },
): Computed | null {
  const [from, to] = [belowMark(mark, pack?.from), belowMark(mark, pack?.to)];
  if (bore === undefined || from === null || to === null) return null;
  const known = pipeIds.find((one) => one === id);
  const casingOutside = known ? pipe(known).outside / 1000 : insideDiameter;
  const saturated = to - Math.max(from, depth);
  if (saturated <= 0 || bore <= casingOutside) return null;
  return filterPackVolume({ porosity: pack?.porosity ?? usualPorosity, bore, casingOutside, saturated });
}

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
