import { joined, type Chunk, type Line } from './lines.ts';

/** Where one column ends and the next begins, from left to right. */
export type Boundaries = readonly number[];

/** The narrowest gap between two columns, in parts of the size of letters. */
const narrowest = 0.3;
/** In long tables a gap is one although so many of its lines reach over it: a long name, a remark. */
const reaching = 0.1;

/** How many of the texts cover each stretch of the page, from left to right. */
function covered(chunks: readonly Chunk[]): { from: number; to: number; count: number }[] {
  const edges = chunks.flatMap(({ x, right }) => [
    { at: x, by: 1 },
    { at: right, by: -1 },
  ]);
  edges.sort((a, b) => a.at - b.at);
  let count = 0;
  const stretches: { from: number; to: number; count: number }[] = [];
  edges.forEach(({ at, by }, index) => {
    count += by;
    const next = edges[index + 1];
    if (next && next.at > at) stretches.push({ from: at, to: next.at, count });
  });
  return stretches;
}

interface Gap {
  from: number;
  to: number;
}

/** The gaps that run down texts, from left to right: stretches that so many of them reach over at most. */
function gapsIn(chunks: readonly Chunk[], most: number): Gap[] {
  const gaps: Gap[] = [];
  for (const { from, to, count } of covered(chunks)) {
    if (count > most) continue;
    const last = gaps.at(-1);
    if (last && last.to === from) last.to = to;
    else gaps.push({ from, to });
  }
  return gaps;
}

/** The widest of some gaps that lies within a wider one. */
const widestWithin = (outer: Gap, gaps: readonly Gap[]): Gap | undefined =>
  gaps.filter(({ from, to }) => from >= outer.from && to <= outer.to).sort((a, b) => b.to - b.from - (a.to - a.from))[0];

/** A gap without what a text takes of it; a text that reaches over all of it takes nothing. */
function narrowed(gap: Gap, { x, right }: Chunk): Gap {
  if (x <= gap.from && right > gap.from && right < gap.to) return { ...gap, from: right };
  return x > gap.from && x < gap.to && right >= gap.to ? { ...gap, to: x } : gap;
}

/** A boundary between two headings that no gap parts, where fewest texts stand. */
function boundaryBetween(left: Chunk, right: Chunk, stretches: ReturnType<typeof covered>): number {
  const inside = stretches.filter(({ from, to }) => from >= left.right - 1e-6 && to <= right.x + 1e-6);
  const [least] = inside.sort((a, b) => a.count - b.count);
  return least ? (least.from + least.to) / 2 : (left.right + right.x) / 2;
}

/**
 * The columns of a table by the gaps that run down it: where hardly a line has text. Headings that no gap parts are parted between them.
 * @param lines those under the headings @param headings the row of headings
 */
export function boundariesOf(lines: readonly Line[], headings: readonly Chunk[]): Boundaries {
  const [tabular, others] = [lines.filter(isTabular), lines.filter((line) => !isTabular(line))];
  const texts = [...headings, ...tabular.flatMap(({ chunks }) => chunks)];
  const most = tabular.length >= 8 ? Math.floor(tabular.length * reaching) : 0;
  const size = headings[0]?.size ?? 1;
  // A gap within one heading parts nothing that has a name: its texts are words of one column.
  const isWithin = ({ from, to }: Gap) => headings.some(({ x, right }) => (from + to) / 2 > x && (from + to) / 2 < right);
  const empty = gapsIn(texts, 0).filter(({ from, to }) => to - from >= size * narrowest);
  const gaps = gapsIn(texts, most)
    .filter((gap) => gap.to - gap.from >= size * narrowest && !isWithin(gap))
    // Behind most texts of the last column a few long ones go on: no column begins there.
    .filter(({ to }) => texts.some(({ x }) => x >= to - 1e-6))
    // Where no line reaches at all is where it is.
    .map((gap) => widestWithin(gap, empty) ?? gap)
    .map((gap) => others.flatMap(({ chunks }) => chunks).reduce(narrowed, gap));
  const found = gaps.map(({ from, to }) => (from + to) / 2);
  const stretches = covered(texts);
  const between = headings.slice(1).flatMap((right, index) => {
    const left = headings[index]!;
    return gaps.some(({ from, to }) => from < right.x && to > left.right) ? [] : [boundaryBetween(left, right, stretches)];
  });
  return [...found, ...between].sort((a, b) => a - b);
}

/** A line with so many texts is one of a table. */
export const isTabular = ({ chunks }: Line): boolean => chunks.length >= 3;

/** The column of a text by its middle, counted from 0. */
export const columnOf = ({ x, right }: Chunk, boundaries: Boundaries): number => columnAt(boundaries, (x + right) / 2);

const columnAt = (boundaries: Boundaries, x: number) => boundaries.filter((one) => one <= x).length;

/**
 * The texts of a line by column; a text that reaches over a boundary is cut there if it has a gap there, and stands where most of it is
 * otherwise.
 */
export function cellsOf(chunks: readonly Chunk[], boundaries: Boundaries): (Chunk | null)[] {
  const pieces: { column: number; chunk: Chunk }[] = chunks.flatMap((chunk) => {
    const groups = new Map<number, Chunk['pieces'][number][]>();
    for (const piece of chunk.pieces) {
      const column = columnAt(boundaries, (piece.x + piece.right) / 2);
      groups.set(column, [...(groups.get(column) ?? []), piece]);
    }
    return [...groups].map(([column, of]) => ({ column, chunk: joined(of) }));
  });
  const cells: (Chunk | null)[] = Array.from({ length: boundaries.length + 1 }, () => null);
  for (const { column, chunk } of pieces) {
    const there = cells[column];
    cells[column] = there ? joined([...there.pieces, ...chunk.pieces]) : chunk;
  }
  return cells;
}

/** How many texts of a line reach over a boundary by more than the width of a letter or two: it is no line of this table. */
export function reachingOver(chunks: readonly Chunk[], boundaries: Boundaries): number {
  const over = (chunk: Chunk) => chunk.pieces.some(({ x, right, size }) => boundaries.some((at) => x < at - size && right > at + size));
  return chunks.filter(over).length;
}
