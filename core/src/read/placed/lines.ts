/*
 * Text that is known by its place on a page, as in a PDF. Lengths are in any unit, the same for all; x runs to the right and y down the page.
 */

/** A piece of text: where it begins and ends across the page, on which line it stands (its baseline) and how large its letters are. */
export interface PlacedText {
  text: string;
  x: number;
  right: number;
  y: number;
  size: number;
}

/** Pieces that stand so close that they are one text, as a cell of a table or a phrase. */
export interface Chunk extends PlacedText {
  pieces: readonly PlacedText[];
}

export interface Line {
  y: number;
  size: number;
  chunks: Chunk[];
}

/**
 * Gaps between pieces in parts of the size of letters: under the first they are one word, under the second words of one text. A blank is a
 * quarter to a third as wide as letters are high, and as wide as a letter where all are of one width (0.6).
 */
const [wordGap, textGap, textGapOfOneWidth] = [0.16, 0.38, 0.75];
const isOfOneWidth = ({ text, x, right, size }: PlacedText) => text.length >= 3 && Math.abs((right - x) / text.length / size - 0.6) < 0.005;
/** Lines are one where their baselines are closer than this part of the size of letters. */
const sameLine = 0.35;

const raised: Readonly<Record<string, string>> = Object.fromEntries(
  [...'0123456789+-−()'].map((sign, at) => [sign, [...'⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻⁻⁽⁾'][at]!]),
);

/** A piece that is cut where several blanks stand in it: columns of a typewriter. */
function cutAtBlanks(piece: PlacedText): PlacedText[] {
  const { text, x, right } = piece;
  if (!/\S\s{2,}\S/.test(text)) return [{ ...piece, text: text.trim() }];
  const width = (right - x) / text.length;
  return [...text.matchAll(/\S+(?:\s\S+)*/g)].map((found) => ({
    ...piece,
    text: found[0],
    x: x + found.index * width,
    right: x + (found.index + found[0].length) * width,
  }));
}

/**
 * Small letters beside larger ones, brought to their line: raised figures as such (10⁻³, 0.5¹), lowered ones plain (CaCO3).
 * @param pieces sorted by y
 */
function withSmall(pieces: readonly PlacedText[]): PlacedText[] {
  return pieces.map((small, index) => {
    const isBeside = (one: PlacedText) =>
      one.size > small.size * 1.2 &&
      Math.abs(one.y - small.y) <= one.size * 0.6 &&
      small.x - one.right <= one.size * 0.25 &&
      small.x >= one.right - one.size * 0.25;
    // Only what is near can be its line.
    const near = pieces.slice(Math.max(0, index - 60), index + 60);
    const large = near.find(isBeside);
    if (!large) return small;
    const isRaised = small.y < large.y - large.size * 0.12;
    const text = isRaised ? [...small.text].map((sign) => raised[sign] ?? sign).join('') : small.text;
    return { ...small, text, y: large.y, x: Math.max(small.x, large.right), right: Math.max(small.right, large.right) };
  });
}

/** Pieces of a line as texts, from left to right. */
function chunksOf(pieces: readonly PlacedText[]): Chunk[] {
  const chunks: Chunk[] = [];
  for (const piece of [...pieces].sort((a, b) => a.x - b.x)) {
    const last = chunks.at(-1);
    const gap = last ? piece.x - last.right : Infinity;
    const size = Math.max(piece.size, last?.size ?? 0);
    const widest = isOfOneWidth(piece) ? textGapOfOneWidth : textGap;
    if (!last || gap > size * widest) chunks.push({ ...piece, pieces: [piece] });
    else
      chunks[chunks.length - 1] = {
        ...last,
        text: `${last.text}${gap > size * wordGap ? ' ' : ''}${piece.text}`,
        right: Math.max(last.right, piece.right),
        pieces: [...last.pieces, piece],
      };
  }
  return chunks;
}

/** Pieces as one text again, where a chunk was cut in two. */
export const joined = (pieces: readonly PlacedText[]): Chunk => {
  const [first, ...rest] = chunksOf(pieces);
  return rest.reduce(
    (all, one) => ({ ...all, text: `${all.text} ${one.text}`, right: one.right, pieces: [...all.pieces, ...one.pieces] }),
    first!,
  );
};

/** The lines of a page, from above. */
export function linesOf(texts: readonly PlacedText[]): Line[] {
  const pieces = withSmall(
    texts
      .filter(({ text }) => text.trim() !== '')
      .flatMap(cutAtBlanks)
      .sort((a, b) => a.y - b.y),
  ).sort((a, b) => a.y - b.y);
  const groups: PlacedText[][] = [];
  for (const piece of pieces) {
    const last = groups.at(-1);
    const before = last?.[0];
    if (last && before && piece.y - before.y <= Math.max(piece.size, before.size) * sameLine) last.push(piece);
    else groups.push([piece]);
  }
  return groups.map((group) => ({ y: group[0]!.y, size: Math.max(...group.map(({ size }) => size)), chunks: chunksOf(group) }));
}
