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

it.each([
  ['JPEG', [0xff, 0xd8, 0xff, 0xe0]],
  ['PNG', [0x89, 0x50, 0x4e, 0x47]],
  ['a phone’s', [0, 0, 0, 0x18, 0x66, 0x74, 0x79, 0x70, 0x68, 0x65, 0x69, 0x63]],
])('says of a picture (%s) that a person has to read it', async (_, bytes) => {
  expect(await tableIn(Uint8Array.from([...bytes, ...Array.from({ length: 40 }, () => 0)]))).toMatchObject({
    refusal: { code: 'picture' },
  });
});
