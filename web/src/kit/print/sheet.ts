import { purpose } from '@fonte/core/bottles';
import { atHome, careFor, kitPictures, sayPickUp, wordsForHome, type KitPicture } from '@fonte/core/kit';
import type { RoundState } from '@fonte/core/round';
import { runThatFills, stepsFor } from '@fonte/core/tap';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { wayOf } from '../ways.ts';

/** A drawing in black and grey, so wide in pt. */
function drawing(of: KitPicture, width: number): Content {
  const looks = {
    line: 'fill="none" stroke="#000" stroke-width="3" stroke-linejoin="round" stroke-linecap="round"',
    solid: 'fill="#000"',
    water: 'fill="#8aa"',
  };
  const paths = kitPictures[of].map(({ d, as }) => `<path d="${d}" ${looks[as]}/>`).join('');
  return { svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 120 120">${paths}</svg>`, width };
}

const line = (width: number): Content => ({ canvas: [{ type: 'line', x1: 0, y1: 12, x2: width, y2: 12, lineWidth: 0.6 }] });
const box = (): Content => ({ canvas: [{ type: 'rect', x: 0, y: 1.5, w: 10, h: 10, lineWidth: 0.8, lineColor: '#000' }] });

/** What a household is given on paper: its steps with drawings, lines for what is written by hand, its pick-up, and the link as a code. */
export function kitSheet(round: RoundState, link: string | null): TDocumentDefinitions {
  const given = round.kit.given!;
  const visit = round.visits[0]!;
  const due = visit.due.flatMap((one) => wayOf(one, given.ways) ?? []);
  const steps = due.flatMap((protocol) =>
    stepsFor(protocol, visit.point).flatMap((one): TableCell[][] => {
      const { step, few } = atHome(protocol, one);
      if (!few || few.leftOut) return [];
      const { act } = step;
      const items = act.type === 'checks' ? act.items.map(({ label }) => label) : [];
      const note =
        act.type === 'clock'
          ? `${act.usual ?? ''}. From ________ to ________`
          : act.type === 'since'
            ? 'Last used: day ____________ at ________'
            : act.type === 'measure'
              ? 'It read ________'
              : '';
      return [
        [
          drawing(few.picture, 46),
          {
            stack: [
              { text: step.say, bold: true, fontSize: 12 },
              { text: step.why, fontSize: 9 },
              ...(step.caution ? [{ text: step.caution, fontSize: 9, bold: true }] : []),
              ...items.map((label): Content => ({ columns: [{ width: 14, stack: [box()] }, label], fontSize: 10 })),
              ...(note ? [{ text: note, fontSize: 10, margin: [0, 4, 0, 0] as [number, number, number, number] }] : []),
            ],
          },
          box(),
        ],
      ];
    }),
  );
  const bottles = visit.bottles.filter(({ spare }) => !spare);
  const care = careFor(bottles, due);
  return {
    pageSize: 'A4',
    pageMargins: [42, 36, 42, 42],
    info: { title: `Kit ${round.plan.code}` },
    defaultStyle: { fontSize: 10, lineHeight: 1.15 },
    footer: (page, pages) => ({ text: `${round.plan.code}   ${page} / ${pages}`, alignment: 'right', margin: [0, 12, 42, 0], fontSize: 8 }),
    content: [
      {
        // The code and the text beside it never touch.
        columnGap: 18,
        columns: [
          {
            width: '*',
            stack: [
              {
                text: due.map((protocol) => wordsForHome(protocol)?.title ?? protocol.title).join('. ') || 'Your water',
                fontSize: 17,
                bold: true,
              },
              `${given.name}. ${visit.point.name}, ${round.plan.system}.`,
              ...due.flatMap((protocol) => {
                const words = wordsForHome(protocol);
                return words ? [`It takes ${words.takes}. Read all of it first; it can be done once.`] : [];
              }),
              ...(given.call ? [`Questions: ${given.call}`] : []),
            ],
          },
          ...(link
            ? [
                {
                  width: 110,
                  stack: [
                    { qr: link, fit: 100, eccLevel: 'M' as const },
                    { text: 'On a phone instead of this paper', fontSize: 8 },
                  ],
                },
              ]
            : []),
        ],
      },
      ...(care.caution ? [{ text: care.caution, bold: true, margin: [0, 6, 0, 6] as [number, number, number, number] }] : []),
      ...(steps.length > 0
        ? [
            {
              table: { widths: [52, '*', 14], body: steps, dontBreakRows: true },
              layout: { hLineWidth: () => 0.4, vLineWidth: () => 0, hLineColor: () => '#888' },
            },
          ]
        : []),
      { text: 'Bottles', bold: true, fontSize: 12, margin: [0, 10, 0, 3] },
      {
        table: {
          widths: ['auto', '*', 90, 70],
          headerRows: 1,
          body: [
            ['Label', 'How', 'Filled on', 'at'].map((text) => ({ text, bold: true })),
            ...bottles.map(({ id, card, rule, purpose: of }): TableCell[] => [
              { text: id, bold: true, noWrap: true },
              {
                text: `${purpose(of).isWater ? '' : `${purpose(of).name}. `}${card.rinse}.${runThatFills(visit, { rule, purpose: of }) ? '' : ` ${card.fill}.`}${card.preservative ? ` ${card.preservative.name}: ${card.preservative.hazard}` : ''}`,
                fontSize: 9,
              },
              line(80),
              line(60),
            ]),
          ],
        },
        layout: 'lightHorizontalLines',
      },
      {
        unbreakable: true,
        margin: [0, 10, 0, 0],
        columns: [
          { width: 60, stack: [drawing('out', 50)] },
          {
            stack: [
              { text: `Picked up ${sayPickUp(given.pickUp)}`, bold: true, fontSize: 12 },
              `Put the box there closed, in the shade, out of reach of children and pets.${care.cold ? ' Until then in the fridge, away from food.' : ''}`,
              { text: 'Anything that went otherwise:', margin: [0, 8, 0, 14] },
              line(380),
              { columns: [{ text: 'Name and signature', width: 110 }, line(260)], margin: [0, 12, 0, 0] },
            ],
          },
        ],
      },
    ],
  };
}
