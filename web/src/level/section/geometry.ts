import { belowMark, type Layer, type MeasuringPoint, type Well } from '@fonte/core/registers';

/** px of the drawing. */
export const [width, height] = [360, 560] as const;
const [above, under] = [48, 22];
/** The middle of the well, and half the width of its bore. */
export const middle = 156;
const boreHalf = 44;
/** A casing is drawn no thinner than this. */
const thinnest = 11;

/** A length of casing of one width: from a depth to another in m below the mark, and half its width in px. */
export interface Piece {
  from: number;
  to: number;
  half: number;
}

/** A well as it is drawn: depths in m below the mark, null where they are not known. */
export interface Drawn {
  y: (depth: number) => number;
  ground: number | null;
  /** Where the well ends, or the drawing where that is not known. */
  bottom: number;
  isBottomKnown: boolean;
  /** Half the width of the bore in px; null where only the casing is known. */
  bore: number | null;
  casing: readonly Piece[];
  screen: { from: number; to: number } | null;
  pack: { from: number; to: number } | null;
  seal: { from: number; to: number; of: string | undefined } | null;
  /** As deep as is drawn to scale. */
  deepest: number;
  /** What was drilled through, in m below the mark. */
  layers: readonly { from: number; to: number; of: string; water: Layer['water'] }[];
  intake: number | null;
}

const span = (mark: MeasuringPoint, row: { from?: number | undefined; to?: number | undefined } | undefined) => {
  const [from, to] = [belowMark(mark, row?.from), belowMark(mark, row?.to)];
  return from === null || to === null ? null : { from, to };
};

/**
 * Where everything of a well stands in its drawing: to scale in depth, widths to scale among themselves. A narrower casing stands within
 * the wider one from its own top to the bottom; a well whose bottom is not known is drawn open, a good way below all that is.
 */
export function drawn(well: Well, mark: MeasuringPoint, seen: readonly (number | null)[]): Drawn {
  const known = belowMark(mark, well.bottom);
  const screen = span(mark, { from: well.screenTop, to: well.screenBottom });
  const [pack, seal, intake] = [span(mark, well.pack), span(mark, well.seal), belowMark(mark, well.intake)];
  const bottom = known ?? Math.max(10, ...[...seen, screen?.to ?? null, pack?.to ?? null, intake].map((one) => (one ?? 0) * 1.3));
  const deepest = Math.max(bottom, pack?.to ?? 0) * 1.03;
  const y = (depth: number) => above + (Math.max(-0.04 * deepest, Math.min(depth, deepest)) / deepest) * (height - above - under);
  const widest = well.insideDiameter;
  const bore = well.bore !== undefined && widest !== undefined ? boreHalf : null;
  const halfOf = (inside: number | undefined) => {
    if (widest === undefined || inside === undefined) return 24;
    return Math.max(
      thinnest,
      (well.bore === undefined ? 26 : boreHalf * 0.92) * (well.bore === undefined ? inside / widest : inside / well.bore),
    );
  };
  const narrower = (well.narrower ?? []).map((piece) => ({ from: belowMark(mark, piece.from) ?? 0, half: halfOf(piece.insideDiameter) }));
  const pieces = [{ from: 0, half: halfOf(widest) }, ...narrower];
  return {
    y,
    ground: mark.stickUp ?? null,
    bottom,
    isBottomKnown: known !== null,
    bore,
    casing: pieces.map((piece, place) => ({ ...piece, to: pieces[place + 1]?.from ?? bottom })),
    screen,
    pack: bore === null ? null : pack,
    seal: bore === null || !seal ? null : { ...seal, of: well.seal?.of },
    deepest,
    layers: mark.stickUp === undefined ? [] : layersOf(well, mark.stickUp, deepest),
    intake,
  };
}

/** Each layer from where the one above it ends; what begins below the drawing is left out. */
function layersOf({ layers = [] }: Well, stickUp: number, deepest: number): Drawn['layers'] {
  return layers.flatMap(({ to, of, water }, place) => {
    const from = stickUp + (layers[place - 1]?.to ?? 0);
    return from >= deepest ? [] : [{ from, to: stickUp + to, of, water }];
  });
}

/** Half the width of the casing at a depth, in px. */
export const halfAt = (casing: readonly Piece[], depth: number): number =>
  (casing.findLast(({ from }) => from <= depth) ?? casing[0]!).half;

/** Words beside a drawing, moved apart where they would lie over one another; y in px. */
export function apart<L extends { y: number }>(labels: readonly L[], least = 18): L[] {
  const placed: L[] = [];
  for (const label of [...labels].sort((a, b) => a.y - b.y)) {
    const before = placed.at(-1);
    placed.push({ ...label, y: before ? Math.max(label.y, before.y + least) : label.y });
  }
  // What was pushed out at the foot pushes the others up.
  let limit = height - 4;
  for (let place = placed.length - 1; place >= 0; place--) {
    placed[place] = { ...placed[place]!, y: Math.min(placed[place]!.y, limit) };
    limit = placed[place]!.y - least;
  }
  return placed;
}
