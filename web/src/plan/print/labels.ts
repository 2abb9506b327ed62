import { fitLabel, linesOf, lineHeight, placeLabels, type BottleLabel, type LabelStock, type Measure } from '@fonte/core/plan';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';

/** Points to the millimetre. */
export const mm = 72 / 25.4;
/** What stays white along the edge of a label, in mm. */
const edge = 2.5;

export interface LabelSheets {
  document: TDocumentDefinitions;
  /** Texts that did not fit, by the label they belong to. */
  lost: { id: string; lost: string[] }[];
  /** Labels that are too small for their identifier: they are not printed. */
  tooSmall: string[];
}

/** One label at its place: the code that a camera reads on the left, the lines beside it. */
function drawn(label: BottleLabel, { label: size }: LabelStock, at: { left: number; top: number }, measure: Measure) {
  const inner = { width: (size.width - 2 * edge) * mm, height: (size.height - 2 * edge) * mm };
  const code = Math.min(inner.height, inner.width * 0.34);
  const gap = 2 * mm;
  const fitted = fitLabel(linesOf(label), { width: inner.width - code - gap, height: inner.height }, measure);
  const x = (at.left + edge) * mm;
  const y = (at.top + edge) * mm;
  const { content } = fitted.lines.reduce<{ content: Content[]; top: number }>(
    ({ content: before, top }, { text, size: points, isBold }) => ({
      content: [
        ...before,
        { text, fontSize: points, bold: isBold ?? false, lineHeight: 1, noWrap: true, absolutePosition: { x: x + code + gap, y: top } },
      ],
      top: top + points * lineHeight,
    }),
    { content: [], top: y },
  );
  return { fitted, content: [{ qr: label.id, fit: code, eccLevel: 'M', absolutePosition: { x, y } } as Content, ...content] };
}

/** The labels of a round as a document to print, on a stock of labels of which some may be used already. */
export function labelSheets(labels: readonly BottleLabel[], stock: LabelStock, used: number, measure: Measure): LabelSheets {
  const lost: LabelSheets['lost'] = [];
  const tooSmall: string[] = [];
  const pages: Content[][] = [];
  for (const [index, { page, left, top }] of placeLabels(labels.length, stock, used).entries()) {
    const label = labels[index]!;
    const { fitted, content } = drawn(label, stock, { left, top }, measure);
    if (fitted.isTooSmall) {
      tooSmall.push(label.id);
      continue;
    }
    if (fitted.lost.length > 0) lost.push({ id: label.id, lost: fitted.lost });
    (pages[page] ??= []).push(...content);
  }
  const filled = pages.filter((page) => page !== undefined);
  return {
    lost,
    tooSmall,
    document: {
      pageSize: { width: stock.page.width * mm, height: stock.page.height * mm },
      pageMargins: 0,
      info: { title: 'Labels' },
      content: filled.flatMap((page, index) => [
        ...page,
        ...(index < filled.length - 1 ? [{ text: '', pageBreak: 'after' as const }] : []),
      ]),
    },
  };
}
