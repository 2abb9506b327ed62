import { tableOfPages, type PlacedPage, type PlacedText, type ReportTable } from '@fonte/core/read';
import type { PageViewport, PDFPageProxy } from 'unpdf/pdfjs';
import type { ReportFormat } from './format.ts';

/** More pages than a report of a lab has. */
const mostPages = 300;

const refused = (code: string, data?: Record<string, number>): ReportTable => ({
  refusal: { code, line: 1, column: 1, ...(data ? { data } : {}) },
});

/** What pdf.js tells of a piece of text. */
type Item = Extract<Awaited<ReturnType<PDFPageProxy['getTextContent']>>['items'][number], { str: string }>;

interface Placed extends PlacedText {
  /** How it is turned, in quarters of a turn, clockwise. */
  turn: number;
}

/** Where a piece stands on the page as it is seen: y runs down. */
function placed({ str, transform, width }: Item, viewport: PageViewport): Placed {
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = transform as number[];
  const at = (x: number, y: number) => {
    const [va = 1, vb = 0, vc = 0, vd = 1, ve = 0, vf = 0] = viewport.transform as number[];
    return [va * x + vc * y + ve, vb * x + vd * y + vf] as const;
  };
  const [x, y] = at(e, f);
  const length = Math.hypot(a, b) || 1;
  const [endX, endY] = at(e + (a / length) * width, f + (b / length) * width);
  const turn = (Math.round(Math.atan2(endY - y, endX - x) / (Math.PI / 2)) + 4) % 4;
  const size = Math.hypot(c, d) || length;
  // Along the way it is read: x to the right of the reader, y down from there.
  const turned = [
    { x, right: endX, y },
    { x: y, right: endY, y: -x },
    { x: -x, right: -endX, y: -y },
    { x: -y, right: -endY, y: x },
  ][turn]!;
  return { text: str, ...turned, size, turn };
}

/** Letters are as high as this part of their size; the rest is blank between lines. */
const lettersHigh = 0.75;

/** Whether two stretches have a part in common. */
const meet = (a: { top: number; foot: number }, b: { top: number; foot: number }) => a.top < b.foot && b.top < a.foot;

/**
 * Headings that stand upright over a table, as texts as wide as their letters are high at the foot of their row; what stands beside them in
 * that row is brought to the same foot.
 */
function withUpright(flat: readonly PlacedText[], upright: readonly Placed[]): PlacedText[] {
  const all = upright.map(({ text, x, right, y, size, turn }) =>
    // Read upwards it begins at its foot, with its letters to the left of its line; read downwards the other way round.
    turn === 3
      ? { text, size, left: y - size * lettersHigh, right: y, top: -right, foot: -x }
      : { text, size, left: -y, right: -y + size * lettersHigh, top: x, foot: right },
  );
  const bands: { top: number; foot: number }[] = [];
  for (const one of [...all].sort((a, b) => a.top - b.top)) {
    const last = bands.at(-1);
    if (last && meet(last, one)) last.foot = Math.max(last.foot, one.foot);
    else bands.push({ top: one.top, foot: one.foot });
  }
  const footOf = (y: number) => bands.find(({ top, foot }) => y >= top && y <= foot + 1)?.foot ?? y;
  return [
    ...flat.map((one) => ({ ...one, y: footOf(one.y) })),
    ...all.map(({ text, size, left, right, foot }) => ({ text, size, x: left, right, y: footOf(foot) })),
  ];
}

/** A piece with the page turned so that most of it is read from left to right. */
function turnedBack(piece: Placed, turn: number): Placed {
  return { ...piece, turn: (piece.turn - turn + 4) % 4 };
}

/** The texts of a page the way most of it is read, each once: what is printed twice to look bold is one. */
function textsOf(items: readonly Item[], viewport: PageViewport): PlacedText[] {
  const seen = new Map<string, PlacedText[]>();
  const all = items.flatMap((item): Placed[] => {
    if (item.str.trim() === '') return [];
    const one = placed(item, viewport);
    const same = seen.get(one.text) ?? [];
    if (same.some(({ x, y }) => Math.abs(x - one.x) < one.size * 0.2 && Math.abs(y - one.y) < one.size * 0.2)) return [];
    seen.set(one.text, [...same, one]);
    return [one];
  });
  const counts = [0, 1, 2, 3].map((turn) => all.filter((one) => one.turn === turn).length);
  // Long headings may stand upright over few numbers.
  const turn = counts[0]! >= all.length * 0.3 ? 0 : counts.indexOf(Math.max(...counts));
  const pieces = all.map((piece) => turnedBack(piece, turn));
  const flat = pieces.flatMap(({ turn: own, ...piece }) => (own === 0 ? [piece] : []));
  const upright = pieces.filter((piece) => piece.turn % 2 === 1);
  // On a page that lies on its side what stands upright is known by its own place only: it is left out.
  return turn === 0 ? withUpright(flat, upright) : flat;
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
      const viewport = page.getViewport({ scale: 1 });
      const { items } = await page.getTextContent();
      const texts = textsOf(
        items.flatMap((item) => ('str' in item ? [item] : [])),
        viewport,
      );
      pages.push({ texts, height: viewport.height });
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
      return pages.every(({ texts }) => texts.length === 0) ? refused('pdf-picture') : tableOfPages(pages, 'pdf');
    } catch (failure) {
      return refused((failure as Error).name === 'PasswordException' ? 'pdf-locked' : 'no-pdf');
    }
  },
};
