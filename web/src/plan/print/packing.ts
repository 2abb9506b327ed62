import { gearRow } from '@fonte/core/bottles';
import { countBottles, loads } from '@fonte/core/plan';
import { callsToMake, checksFor, checkRow, gearOf, packRow } from '@fonte/core/prepare';
import { instrumentKind } from '@fonte/core/registers';
import { instrumentsFor, packingFor, type RoundState } from '@fonte/core/round';
import { showDate } from '@fonte/core/time';
import { show } from '@fonte/core/units';
import { boxNames, wholeLitres } from '../boxes.ts';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';

/** A box to tick with a pen; a node of its own each time, as it is placed once. */
const box = (): TableCell => ({ canvas: [{ type: 'rect', x: 0, y: 1.5, w: 8, h: 8, lineWidth: 0.8, lineColor: '#000' }] });

const list = (title: string, lines: readonly string[]): Content[] =>
  lines.length === 0
    ? []
    : [
        { text: title, style: 'head' },
        { table: { widths: [12, '*'], body: lines.map((line) => [box(), line]) }, layout: 'noBorders' },
      ];

/** The packing list of a round to be printed: bottles, room in the boxes, kit, gear, checks, calls, each with a box for a pen. */
export function packingSheet(round: RoundState): TDocumentDefinitions {
  const { plan } = round;
  const table = round.tables.bottles!;
  const counts = countBottles(
    table,
    round.bottles.filter(({ spare }) => !spare),
  );
  const bottles: TableCell[][] = counts.map(({ card, needed, spares }) => {
    const { name, volume, container, preservative } = card;
    return [box(), `${name}, ${volume} mL. ${container}${preservative ? `. ${preservative.name}` : ''}`, String(needed), `+ ${spares}`];
  });
  const water = loads(counts).map(
    ({ temperature, bottles: count, space }) =>
      `${boxNames[temperature]}: ${count === 1 ? '1 bottle' : `${count} bottles`}, a box of ${show(wholeLitres(space), 'L', 0)}`,
  );
  return {
    pageSize: 'A4',
    pageMargins: [42, 42, 42, 42],
    info: { title: `Packing list ${plan.code}` },
    defaultStyle: { fontSize: 10, lineHeight: 1.15 },
    // A heading does not stand alone at the foot of a page.
    pageBreakBefore: (node, following) => node.style === 'head' && following.length === 0,
    styles: { title: { fontSize: 17, bold: true }, head: { fontSize: 12, bold: true, margin: [0, 10, 0, 3] } },
    footer: (page, pages) => ({ text: `${plan.code}   ${page} / ${pages}`, alignment: 'right', margin: [0, 12, 42, 0], fontSize: 8 }),
    content: [
      { text: plan.name, style: 'title' },
      `${plan.code}. ${showDate(plan.date)}. ${plan.system}. ${plan.lab ? `Lab: ${plan.lab.name}.` : 'No lab.'}`,
      ...(bottles.length > 0
        ? ([
            { text: 'Bottles, and spares', style: 'head' },
            { table: { widths: [12, '*', 24, 30], body: bottles }, layout: 'noBorders' },
            ...water,
          ] as Content[])
        : []),
      ...list(
        'Into the van',
        packingFor(plan, table).map((id) => {
          const { name, note } = packRow(id);
          return note ? `${name} (${note})` : name;
        }),
      ),
      ...list(
        'Gear and clothes',
        gearOf(plan.visits, table).map((id) => gearRow(id).ask),
      ),
      ...list(
        'Instruments, checked',
        instrumentsFor(plan).flatMap(({ kind, of }) =>
          checksFor(kind, of, plan.date).map((id) => `${instrumentKind(kind).name}: ${checkRow(id).name}`),
        ),
      ),
      ...list(
        'Calls',
        callsToMake(plan.visits, plan.lab).map(({ whom, call, ask }) => [whom, call, ask].filter(Boolean).join(', ')),
      ),
      {
        text: 'Acids and caustics in bottles: gloves and eye protection, upright. Local codes and the employer’s rules come first.',
        fontSize: 8,
        margin: [0, 12, 0, 0],
      },
    ],
  };
}
