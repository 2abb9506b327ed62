import { tableOfPages, type PlacedPage, type PlacedText, type ReportTable } from '@fonte/core/read';
import type { PageViewport, PDFPageProxy } from 'unpdf/pdfjs';
import type { ReportFormat } from './format.ts';

/** More pages than a report of a lab has. */
const mostPages = 300;

const refused = (code: string, data?: Record<string, number>): ReportTable => ({
  refusal: { code, line: 0, column: 0, ...(data ? { data } : {}) },
});

/** What pdf.js tells of a piece of text. */
type Item = Extract<Awaited<ReturnType<PDFPageProxy['getTextContent']>>['items'][number], { str: string }>;

type Point = readonly [x: number, y: number];

/** A piece of text by the points between which it is read, on the page as it is seen: x to the right, y down. */
interface Piece {
  text: string;
  from: Point;
  to: Point;
  size: number;
}

type Matrix = readonly [number, number, number, number, number, number];
const moved = ([a, b, c, d, e, f]: Matrix, [x, y]: Point): Point => [a * x + c * y + e, b * x + d * y + f];

function pieceOf({ str, transform, width }: Item, viewport: PageViewport): Piece {
  const [a, b, c, d, e, f] = transform as unknown as Matrix;
  const length = Math.hypot(a, b) || 1;
  const end: Point = [e + (a / length) * width, f + (b / length) * width];
  const seen = (point: Point) => moved(viewport.transform as unknown as Matrix, point);
  return { text: str, from: seen([e, f]), to: seen(end), size: Math.hypot(c, d) || length };
}

/** How a piece is turned, in quarters of a turn clockwise; null for one that is aslant or upside down, as a stamp across the page. */
function turnOf({ from, to }: Piece): 0 | 1 | 3 | null {
  const quarters = Math.atan2(to[1] - from[1], to[0] - from[0]) / (Math.PI / 2);
  const nearest = Math.round(quarters);
  if (Math.abs(quarters - nearest) > 0.05) return null;
  return nearest === 0 ? 0 : nearest === 1 ? 1 : nearest === -1 ? 3 : null;
}

/** A piece with the page turned back by so many quarters of a turn. */
function turnedBack(piece: Piece, turn: 0 | 1 | 3): Piece {
  const back = ([x, y]: Point): Point => (turn === 1 ? [y, -x] : turn === 3 ? [-y, x] : [x, y]);
  return { ...piece, from: back(piece.from), to: back(piece.to) };
}

const flatText = ({ text, from, to, size }: Piece): PlacedText => ({ text, x: from[0], right: to[0], y: from[1], size });

/** Letters are as high as this part of their size; the rest is blank between lines. */
const lettersHigh = 0.75;

/** A heading that stands upright, as it takes the page: its letters lie to the left of its line where it is read upwards. */
interface Upright {
  text: string;
  size: number;
  x: number;
  right: number;
  top: number;
  foot: number;
}

function uprightText({ text, from, to, size }: Piece, turn: 1 | 3): Upright {
  const [x] = from;
  const across = turn === 3 ? { x: x - size * lettersHigh, right: x } : { x, right: x + size * lettersHigh };
  return { text, size, ...across, top: Math.min(from[1], to[1]), foot: Math.max(from[1], to[1]) };
}

/**
 * Headings that stand upright over a table, as texts as wide as their letters are high at the foot of their row; what stands beside them in
 * that row is brought to the same foot.
 */
function withUpright(flat: readonly PlacedText[], upright: readonly Upright[]): PlacedText[] {
  const bands: { top: number; foot: number }[] = [];
  for (const { top, foot } of [...upright].sort((a, b) => a.top - b.top)) {
    const last = bands.at(-1);
    if (last && top < last.foot) last.foot = Math.max(last.foot, foot);
    else bands.push({ top, foot });
  }
  const footOf = (y: number) => bands.find(({ top, foot }) => y >= top && y <= foot + 1)?.foot ?? y;
  return [
    ...flat.map((text) => ({ ...text, y: footOf(text.y) })),
    ...upright.map(({ text, size, x, right, foot }) => ({ text, size, x, right, y: footOf(foot) })),
  ];
}

/** Pieces, each once: what is printed twice to look bold is one. */
function eachOnce(pieces: readonly Piece[]): Piece[] {
  const seen = new Map<string, Piece[]>();
  return pieces.filter((piece) => {
    const same = seen.get(piece.text) ?? [];
    const isThere = ({ from }: Piece) => Math.hypot(from[0] - piece.from[0], from[1] - piece.from[1]) < piece.size * 0.25;
    if (same.some(isThere)) return false;
    seen.set(piece.text, [...same, piece]);
    return true;
  });
}

/** The texts of a page, turned so that it is read from left to right. A stamp across it comes first, as lines of their own above the rest. */
function textsOf(items: readonly Item[], viewport: PageViewport): PlacedPage {
  const pieces = eachOnce(items.filter(({ str }) => str.trim() !== '').map((item) => pieceOf(item, viewport)));
  const turned = pieces.map((piece) => ({ piece, turn: turnOf(piece) }));
  const count = (wanted: number) => turned.filter(({ turn }) => turn === wanted).length;
  // Long headings may stand upright over few numbers.
  const pageTurn = count(0) >= pieces.length * 0.3 ? 0 : count(1) > count(3) ? 1 : 3;
  const flat: PlacedText[] = [];
  const upright: Upright[] = [];
  const stamps: Piece[] = [];
  for (const { piece, turn } of turned) {
    const seen = turnedBack(piece, pageTurn);
    const seenTurn = turn === null ? null : turnOf(seen);
    if (seenTurn === 0) flat.push(flatText(seen));
    else if (seenTurn === 1 || seenTurn === 3) upright.push(uprightText(seen, seenTurn));
    else stamps.push(piece);
  }
  const texts = withUpright(flat, upright);
  const top = Math.min(0, ...texts.map(({ y }) => y));
  const above = stamps.map(({ text, size }, index) => ({ text, x: 0, right: 1, y: top - (stamps.length - index) * 3 * size, size }));
  return [...above, ...texts];
}

async function pagesOf(bytes: Uint8Array): Promise<PlacedPage[] | ReportTable> {
  // Fetched for a PDF only: whoever reads another file does not wait for it.
  const { getDocument, VerbosityLevel } = await import('unpdf/pdfjs');
  const opening = getDocument({
    data: new Uint8Array(bytes),
    verbosity: VerbosityLevel.ERRORS,
    isEvalSupported: false,
    useSystemFonts: false,
    disableFontFace: true,
    stopAtErrors: false,
  });
  try {
    const file = await opening.promise;
    if (file.numPages > mostPages) return refused('too-many-pages', { most: mostPages });
    const pages: PlacedPage[] = [];
    for (let number = 1; number <= file.numPages; number += 1) {
      const page = await file.getPage(number);
      const { items } = await page.getTextContent();
      const texts = items.flatMap((item) => ('str' in item ? [item] : []));
      pages.push(textsOf(texts, page.getViewport({ scale: 1 })));
      page.cleanup();
    }
    return pages;
  } finally {
    await opening.destroy();
  }
}

/** A PDF with text in it, by the places of its texts. */
export const pdf: ReportFormat = {
  // Some programs write a line or two before it.
  accepts: (bytes) => new TextDecoder('latin1').decode(bytes.subarray(0, 1024)).includes('%PDF-'),
  table: async (bytes) => {
    try {
      const pages = await pagesOf(bytes);
      if (!Array.isArray(pages)) return pages;
      return pages.every((texts) => texts.length === 0) ? refused('pdf-picture') : tableOfPages(pages, 'pdf');
    } catch (failure) {
      return refused((failure as Error).name === 'PasswordException' ? 'pdf-locked' : 'no-pdf');
    }
  },
};
