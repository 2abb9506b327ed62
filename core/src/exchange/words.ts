import { say, type Words } from '../findings/index.ts';
import type { CellFault } from './preview.ts';
import type { ReadFile } from './rows.ts';

const faultWords: Words = {
  'no-kind': 'A point that is new needs its kind.',
  'unknown-word': ({ word, allowed }) => `“${word}” is not one of: ${allowed}.`,
  'not-a-point': ({ shape }) => `Its place is a ${shape}. A point needs one position: draw it as a point.`,
  'other-type': ({ type }) => `It is registered as a ${type}: what it is cannot change.`,
  'not-of-type': ({ type }) => `A ${type} has no such thing.`,
  'no-number': 'Not a number.',
  'which-mark': 'Is the mark a decimal one, or of thousands? Write it without thousands, and with other than three digits behind the mark.',
  'no-code': 'A row without a code belongs to no point.',
  'code-twice': 'This code stands in the file twice.',
  'disinfection-contradicts': ({ least }) =>
    `It is not disinfected, and keeps at least ${String(least)} mg/L chlorine: one of both is wrong. Write “none” for the chlorine, or say how it is disinfected.`,
  refused: ({ message }) => String(message || 'This is missing, or not what it may be.'),
};

/** What is wrong with a cell, with its column. */
export const sayCell = (fault: CellFault): string => `${fault.column}: ${say(faultWords, fault)}`;

const fileWords: Record<NonNullable<ReadFile['fault']>, string> = {
  empty: 'There is no row in this file.',
  'no-code': 'There is no column “code”: by it points are told apart.',
  'not-json': 'This begins like GeoJSON and is none.',
  'no-features': 'There are no features in this file.',
  'column-twice': 'Two columns of this file have one name.',
};
export const sayFile = (fault: NonNullable<ReadFile['fault']>): string => fileWords[fault];
