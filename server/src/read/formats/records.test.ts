import { readReport, type BottleAtLab } from '@fonte/core/read';
import { expect, it } from 'vitest';
import { tableIn } from './index.ts';

const bottles = new Map<string, BottleAtLab>([['A-G', { name: 'All', parameters: ['sulfate'], filledOn: '2026-11-23' }]]);
const read = async (text: string) => readReport(await tableIn(Buffer.from(text)), bottles);

it('reads records with a mark of their encoding before them, and says of other JSON what it is', async () => {
  const line = JSON.stringify({ sample: 'A-G', parameter: 'Sulfate', result: 12.5, unit: 'mg/L' });
  expect(await read(`\ufeff${line}\n${line.replace('A-G', 'B-G')}\n`)).toMatchObject({ draft: { results: [{ value: 12.5 }] } });
  expect(await read('{"water": "clear", "wells": [3]')).toMatchObject({ refusal: { code: 'not-a-table' } });
});
