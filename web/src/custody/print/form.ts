import { headInGroups, headText, signatureHeight, signatureWidth, strokesPath, type CustodyForm } from '@fonte/core/custody';
import { shownAt } from './when.ts';
import type { Column, Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';

const countOf = (count: number): string => (count === 1 ? '1 bottle' : `${count} bottles`);
const cell = (text: string): TableCell => ({ text, fontSize: 8 });
const heads = (texts: readonly string[]): TableCell[] => texts.map((text) => ({ text, bold: true, fontSize: 8 }));

/** A drawing of strokes, in black, so wide in pt. */
function drawn(strokes: readonly (readonly number[])[], width: number): Content {
  const path = strokesPath(strokes);
  return {
    svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${signatureWidth} ${signatureHeight}"><path d="${path}" fill="none" stroke="#000" stroke-width="6" stroke-linecap="round" stroke-linejoin="round"/></svg>`,
    width,
  };
}

function signature(title: string, by: CustodyForm['legs'][number]['signed'], line: string): Column {
  return {
    width: 180,
    stack: [
      by?.drawn ? drawn(by.drawn, 120) : { text: '', margin: [0, (120 * signatureHeight) / signatureWidth, 0, 0] },
      { canvas: [{ type: 'line', x1: 0, y1: 0, x2: 170, y2: 0, lineWidth: 0.6 }] },
      { text: `${title}: ${by?.name ?? line}`, fontSize: 8 },
    ],
  };
}

/** One change of hands: who, when, each box, both signatures. */
function leg(one: CustodyForm['legs'][number], zone: string): Content {
  const boxes = one.boxes.map(
    ({ name, temperature, onIce, seal, sealIs }) =>
      `${name}${temperature ? ` ${temperature}` : ', not read'}${onIce ? ', on ice' : ''}${seal ? `, seal ${seal} (${sealIs.toLowerCase()})` : ', no seal'}`,
  );
  const missing = one.notFound.length > 0 ? ` Not found: ${one.notFound.join(', ')}.` : '';
  return {
    unbreakable: true,
    margin: [0, 6, 0, 0],
    stack: [
      { text: `${one.leg}. ${one.from} to ${[one.to, one.takenBy].filter(Boolean).join(', ')}`, bold: true, fontSize: 10 },
      { text: `${shownAt(one.at, zone)}. ${countOf(one.counted)} counted. ${boxes.join('; ')}.${missing}`, fontSize: 9 },
      {
        columns: [signature('Released', one.signed, one.from), signature('Received', one.received, one.takenBy || one.to)],
        margin: [0, 4, 0, 0],
      },
    ],
  };
}

/** The end of the book: in signs that a person can compare, and as a code that a camera reads. */
function headOf({ head }: CustodyForm): Content {
  if (!head)
    return {
      text: 'The book was not handed in yet when this was printed: no head of it is known. Print it again once it is.',
      margin: [0, 12, 0, 0],
      fontSize: 9,
    };
  return {
    unbreakable: true,
    margin: [0, 12, 0, 0],
    columns: [
      { width: 90, qr: headText(head), fit: 84, eccLevel: 'M' },
      {
        stack: [
          { text: 'The book of this round', bold: true, fontSize: 10 },
          { text: `${head.count} entries. The hash of the last (SHA-256):`, fontSize: 9 },
          { text: headInGroups(head.hash), fontSize: 9 },
          {
            text: 'Keep this paper: with it anybody can see, without Fonte’s server, whether the book that is shown later is the one that was.',
            fontSize: 8,
          },
        ],
      },
    ],
  };
}

/** So many columns fit a page upright; more are printed across. */
const mostUpright = 8;

/** A chain-of-custody form to be printed: the lab's fields, its bottles, every change of hands, the head of the book. */
export function formSheets(form: CustodyForm, zone: string): TDocumentDefinitions {
  const { columns, bottles, fields, lab, round } = form;
  const titles = ['Bottle', 'Box', ...columns.map(({ name }) => name), 'Condition'];
  const body = [
    heads(titles),
    ...bottles.map(({ bottle, box, condition, values }) => [
      { text: bottle, bold: true, fontSize: 8, noWrap: true } satisfies TableCell,
      cell(box),
      ...columns.map(({ field }) => cell(values[field] ?? '')),
      cell(condition),
    ]),
  ];
  return {
    pageSize: 'A4',
    pageOrientation: titles.length > mostUpright ? 'landscape' : 'portrait',
    pageMargins: [34, 34, 34, 42],
    info: { title: `Chain of custody ${round}` },
    defaultStyle: { fontSize: 10, lineHeight: 1.1 },
    footer: (page, pages) => ({
      text: `${round} to ${lab}   ${form.head ? `${form.head.count}:${form.head.hash.slice(0, 12)}…` : 'no head'}   ${page} / ${pages}`,
      alignment: 'right',
      margin: [0, 12, 34, 0],
      fontSize: 8,
    }),
    content: [
      { text: `Chain of custody: ${round} to ${lab}`, fontSize: 17, bold: true },
      {
        columns: [
          ...fields.map(({ name, value }): Column => ({
            width: 'auto',
            text: [{ text: `${name}: `, bold: true }, value || '–'],
            margin: [0, 0, 14, 0],
          })),
        ],
        margin: [0, 4, 0, 0],
        fontSize: 9,
      },
      { text: countOf(bottles.length), bold: true, margin: [0, 8, 0, 3] },
      {
        table: { headerRows: 1, dontBreakRows: true, widths: titles.map((_, index) => (index === 0 ? 'auto' : '*')), body },
        layout: 'lightHorizontalLines',
      },
      { text: 'Hands', bold: true, fontSize: 12, margin: [0, 12, 0, 0] },
      ...form.legs.map((one) => leg(one, zone)),
      headOf(form),
      {
        text: 'Acids and caustics in bottles: gloves and eye protection, upright. Local codes and the employer’s rules come first.',
        fontSize: 8,
        margin: [0, 10, 0, 0],
      },
    ],
  };
}
