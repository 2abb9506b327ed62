import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readReport, type BottleAtLab, type ReportDraft } from '@fonte/core/read';
import { parameterIds } from '@fonte/core/parameters';
import { expect, it } from 'vitest';
import { pdf } from './pdf.ts';

const files = join(import.meta.dirname, '../../../test/pdf');
const bottles = new Map<string, BottleAtLab>(
  ['A-G', 'B-G'].map((label) => [label, { name: 'All', parameters: [...parameterIds], filledOn: '2026-11-23', visit: label }]),
);

async function read(name: string): Promise<ReportDraft> {
  const bytes = readFileSync(join(files, `${name}.pdf`));
  expect(pdf.accepts(bytes)).toBe(true);
  const found = readReport(await pdf.table(bytes), bottles);
  if ('refusal' in found) throw new Error(found.refusal.code);
  return found.draft;
}
const shown = ({ results }: ReportDraft) =>
  results.map(({ bottle, parameter, form, value }) => `${bottle} ${parameter} ${form === 'below' ? '<' : ''}${value}`);

it('reads a table whose texts are wrapped and stand at the foot of their rows, of a sample named above it', async () => {
  const draft = await read('wrapped');
  expect(shown(draft)).toEqual(['A-G nitrate 12.5', 'A-G conductivity 780', 'A-G alkalinity 210', 'A-G sulfate 120']);
  expect(draft.results.map(({ reportingLimit, method }) => [reportingLimit, method])).toContainEqual([
    5,
    'SM 2320 B, revised edition of the method',
  ]);
  expect(draft.unread).toEqual([]);
});

it('reads columns whose headings stand upright', async () => {
  expect(shown(await read('upright'))).toEqual([
    'A-G nitrate 12.5',
    'A-G chloride <5',
    'A-G conductivity 780',
    'B-G nitrate 13.5',
    'B-G chloride 31',
    'B-G conductivity 781',
  ]);
});

it('reads a page that lies on its side, and what is stamped across it', async () => {
  const draft = await read('sideways');
  expect(shown(draft)).toEqual(['A-G nitrate 12.5', 'A-G chloride <5', 'B-G conductivity 781']);
  expect(draft.status).toBe('preliminary');
});

it('reads tables side by side', async () => {
  expect(shown(await read('side'))).toEqual(['A-G nitrate 12.5', 'A-G sulfate 42', 'A-G lead 2.5', 'A-G copper 0.014']);
});

it('reads a table over pages, and says of each line on which page it stands', async () => {
  const draft = await read('pages');
  expect(draft.rowCount).toBe(120);
  expect(draft.parts.length).toBeGreaterThan(2);
  expect(draft.parts[1]).toEqual({ name: 'Page 2', from: expect.any(Number) as number });
});

it('reads what another program made, in another language', async () => {
  expect(shown(await read('ruled'))).toEqual(['A-G nitrate 12.5', 'A-G sulfate <5', 'A-G conductivity 780']);
});

it.each([
  ['a picture of a page', readFileSync(join(files, 'picture.pdf')), 'pdf-picture'],
  ['a file under a password', readFileSync(join(files, 'locked.pdf')), 'pdf-locked'],
  ['half a file', readFileSync(join(files, 'pages.pdf')).subarray(0, 900), 'no-pdf'],
  ['the first line of one', Buffer.from('%PDF-1.7\n'), 'no-pdf'],
])('says of %s why nothing is read', async (_, bytes, code) => {
  expect(await pdf.table(bytes)).toMatchObject({ refusal: { code } });
});
