import { possibleDays } from '../cells/dates.ts';
import { named, unitCalled } from '../cells/names.ts';
import { readValue } from '../cells/value.ts';
import { saysOf } from '../shape/heads.ts';
import { headerScore } from '../shape/table.ts';
import type { Chunk, Line } from './lines.ts';
import { withRest } from './wrapped.ts';

/** A row of headings that may run over several lines. */
export interface Header {
  /** The first line and how many there are. */
  at: number;
  lines: number;
  cells: Chunk[];
}

/** A table has so many columns at least, and so many of its headings are known: more below another one, unless it is the same again. */
const [leastColumns, leastKnown, leastAgain] = [2, 2, 3];
/**
 * So many lines a heading runs over at most, each so close to the last in parts of the size of letters, and no further than the two before by
 * much: rows stand further apart.
 */
const [mostLines, tight, evenly] = [4, 1.38, 1.08];

const textOf = ({ cells }: Header) => cells.map(({ text }) => text).join('|');
const isSame = (a: Header, b: Header) => textOf(a) === textOf(b);

const overlaps = (a: Chunk, b: Chunk) => Math.min(a.right, b.right) - Math.max(a.x, b.x) > 0;

/** Lines of headings as one row: what stands one over the other is one. Null where a text stands over two of another line. */
function stacked(lines: readonly Line[]): Chunk[] | null {
  let cells: Chunk[] = [];
  for (const { chunks } of lines) {
    const next = [...cells];
    for (const chunk of chunks) {
      const under = next.flatMap((cell, index) => (overlaps(cell, chunk) ? [index] : []));
      if (under.length > 1) return null;
      const [index] = under;
      if (index === undefined) next.push(chunk);
      else {
        const cell = next[index]!;
        next[index] = {
          ...cell,
          text: withRest(cell.text, chunk.text),
          x: Math.min(cell.x, chunk.x),
          right: Math.max(cell.right, chunk.right),
        };
      }
    }
    cells = next;
  }
  return cells.sort((a, b) => a.x - b.x);
}

/** Whether a line may be part of a heading: it holds nothing that is measured, no day, and says nothing of a sample. */
const mayHead = ({ chunks }: Line) =>
  chunks.every(({ text }) => !readValue(text, '').ok && possibleDays(text).length === 0 && !saysOf(text));

/** Whether a text may be the rest of a heading: a unit, a name, a temperature, a label that was cut; of words without figures any may. */
const mayBeRest = (text: string, above: string) =>
  !/\d/.test(text) ||
  /-$/.test(above) ||
  /\d\s*°\s*C/.test(text) ||
  unitCalled(text.replace(/^\(|\)$/g, '')) !== null ||
  named(text) !== null;

/** Whether the last of several lines belongs to the heading that those above it are. */
function goesOn(part: readonly Line[]): boolean {
  const [last, before, first] = [part.at(-1)!, part.at(-2)!, part.at(-3)];
  const gap = last.y - before.y;
  const isRest = (chunk: Chunk) => mayBeRest(chunk.text, before.chunks.find((one) => overlaps(one, chunk))?.text ?? '');
  return (
    gap <= Math.max(last.size, before.size) * tight &&
    gap <= (first ? before.y - first.y : Infinity) * evenly &&
    mayHead(last) &&
    last.chunks.every(isRest)
  );
}

/** The best row of headings that begins at a line; null where none does. */
function startingAt(lines: readonly Line[], at: number): (Header & { score: number }) | null {
  let best: (Header & { score: number }) | null = null;
  for (let count = 1; count <= mostLines && at + count <= lines.length; count += 1) {
    const part = lines.slice(at, at + count);
    if (count > 1 && !goesOn(part)) break;
    const cells = stacked(part);
    if (!cells) continue;
    // A further line that changes nothing known may still say more: a “limit” is another thing than a “reporting limit”.
    const score = headerScore(cells.map(({ text }) => text)) + (count - 1) * 0.01;
    if (cells.length >= leastColumns && score >= leastKnown && score > (best?.score ?? 0)) best = { at, lines: count, cells, score };
  }
  return best;
}

/** The rows of headings among the lines of a page, from above. */
export function headersOf(lines: readonly Line[]): Header[] {
  const found: Header[] = [];
  for (let at = 0; at < lines.length; at += 1) {
    if (!mayHead(lines[at]!)) continue;
    const candidates = [at, at + 1, at + 2].flatMap((start) =>
      start < lines.length && mayHead(lines[start]!) ? (startingAt(lines, start) ?? []) : [],
    );
    const best = candidates.reduce<(Header & { score: number }) | null>((most, one) => (one.score > (most?.score ?? 0) ? one : most), null);
    if (best?.at !== at || (found.length > 0 && best.score < leastAgain && !isSame(best, found[0]!))) continue;
    found.push({ at: best.at, lines: best.lines, cells: best.cells });
    at += best.lines - 1;
  }
  return found;
}
