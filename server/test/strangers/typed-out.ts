import { decodeText } from '@fonte/core/read';
import Papa from 'papaparse';
import { bytesOf } from './truth.ts';

const filled = (row: readonly string[]) => row.filter((cell) => cell !== '');

/** A delimited file as a typewriter would set it: columns by blanks, lines of one text or two as they stand. */
export function typedOut(file: string): string {
  const { data } = Papa.parse<string[]>(decodeText(bytesOf(file)).text, { delimitersToGuess: [';', ',', '\t', '|'] });
  const rows = data.map((row) => row.map((cell) => cell.trim().replace(/\s+/g, ' ')));
  const isRow = (row: readonly string[]) => filled(row).length >= (row.length > 3 ? 2 : 3);
  const widths: number[] = [];
  for (const row of rows.filter(isRow))
    for (const [column, cell] of row.entries()) widths[column] = Math.max(widths[column] ?? 0, cell.length);
  const typed = (row: readonly string[]) => row.map((cell, column) => cell.padEnd(widths[column]! + 2)).join('');
  return rows.map((row) => (isRow(row) ? typed(row) : filled(row).join('  ')).trimEnd()).join('\n');
}
