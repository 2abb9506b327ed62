import Papa from 'papaparse';
import type { CustodyForm } from './document.ts';

/** The bottles of a form as a table, one to a row, with the head of the book in each: a row that is cut out still says where it is from. */
export function formCsv({ lab, round, head, fields, columns, bottles }: CustodyForm): string {
  const titles = [
    'Bottle',
    'Box',
    ...columns.map(({ name }) => name),
    'Condition',
    'Lab',
    'Round',
    ...fields.map(({ name }) => name),
    'Book',
  ];
  const rows = bottles.map(({ bottle, box, condition, values }) => [
    bottle,
    box,
    ...columns.map(({ field }) => values[field] ?? ''),
    condition,
    lab,
    round,
    ...fields.map(({ value }) => value),
    head ? `${head.count}:${head.hash}` : '',
  ]);
  // What begins like a formula is no formula in a table program.
  return `${Papa.unparse([titles, ...rows], { newline: '\r\n', escapeFormulae: true })}\r\n`;
}
