import { labelStock, type BottleLabel } from '@fonte/core/plan';
import { expect, it } from 'vitest';
import { labelSheets, mm } from './labels.ts';

const measure = (text: string, size: number) => text.length * size * 0.5;
const label = (number: number, id = `261123A-MW${number}-N`): BottleLabel => ({
  id,
  date: '2026-11-23',
  initials: 'IF',
  place: 'Tannery',
  about: 'Nutrients',
  preservative: 'No preservative',
});
type Piece = { qr?: string; text?: string; pageBreak?: string; absolutePosition?: { x: number; y: number } };
const pieces = (sheets: ReturnType<typeof labelSheets>) => sheets.document.content as Piece[];

it('puts the code of each label beside its lines, each label at its own place', () => {
  const sheets = labelSheets([label(1), label(2), label(3), label(4)], labelStock('a4-24'), 0, measure);
  const codes = pieces(sheets).filter(({ qr }) => qr !== undefined);
  expect(codes.map(({ qr }) => qr)).toEqual(['261123A-MW1-N', '261123A-MW2-N', '261123A-MW3-N', '261123A-MW4-N']);
  expect(new Set(codes.map(({ absolutePosition }) => JSON.stringify(absolutePosition))).size).toBe(4);
  // The fourth begins the second row.
  expect(codes[3]!.absolutePosition!.x).toBeCloseTo(2.5 * mm, 6);
  expect([sheets.lost, sheets.tooSmall]).toEqual([[], []]);
});

it('begins a sheet for what does not fit on the first, and none for nothing', () => {
  const many = Array.from({ length: 25 }, (_, index) => label(index));
  expect(pieces(labelSheets(many, labelStock('a4-24'), 0, measure)).filter(({ pageBreak }) => pageBreak)).toHaveLength(1);
  expect(pieces(labelSheets(many.slice(0, 24), labelStock('a4-24'), 0, measure)).filter(({ pageBreak }) => pageBreak)).toHaveLength(0);
});

it('prints no label whose identifier does not fit', () => {
  const sheets = labelSheets([label(1, '261123A-TOOLONG8.12-NNNNNNNNNNN-FR')], labelStock('roll-50'), 0, measure);
  expect(sheets.tooSmall).toHaveLength(1);
  expect(pieces(sheets)).toEqual([]);
});
