import { afterEach, expect, it } from 'vitest';
import { FileReader } from './reader.ts';

const reader = new FileReader();
afterEach(() => reader.stop());

const bottles = new Map([['A-N', { name: 'Nitrate, nitrite', parameters: ['nitrate', 'nitrite'] as const, filledOn: '2026-11-23' }]]);
const csv = (value: string) => new TextEncoder().encode(`Sample,Analyte,Result,Unit\nA-N,Nitrate,${value},mg/L NO3\n`);

it('gives each of several readers the answer to their own file', async () => {
  const values = ['1', '2', '3', '4', '5'];
  const answers = await Promise.all(values.map((value) => reader.read(csv(value), bottles)));
  expect(answers.map((answer) => ('draft' in answer ? answer.draft.results[0]?.value : null))).toEqual([1, 2, 3, 4, 5]);
});

it('hands a refusal back as data', async () => {
  expect(await reader.read(new Uint8Array(), bottles)).toMatchObject({ refusal: { code: 'empty', line: 1, column: 1 } });
});

it('reads with the mapping it is given', async () => {
  const read = await reader.read(csv('7'), bottles, { columns: { sample: 0, parameter: 1, unit: 3 } });
  expect(read).toMatchObject({ draft: { refusal: { code: 'no-result-column' }, results: [] } });
});

it('fails what is being read when it stops, and starts anew for the next', async () => {
  const large = new TextEncoder().encode(`Sample,Analyte,Result,Unit\n${'A-N,Nitrate,3,mg/L NO3\n'.repeat(100_000)}`);
  const reading = reader.read(large, bottles);
  const failure = expect(reading).rejects.toThrow('The reading process ended.');
  await reader.stop();
  await failure;
  expect(await reader.read(csv('9'), bottles)).toMatchObject({ draft: { rowCount: 1 } });
});

it.each([
  ['time', { time: 300, memory: 384, processes: 1, waiting: 4 }],
  ['memory', { time: 20_000, memory: 24, processes: 1, waiting: 4 }],
])('cuts off what takes more %s than any report does, and reads the next', async (_, limits) => {
  const strict = new FileReader(limits);
  const monstrous = new TextEncoder().encode(`Sample,Analyte,Result,Unit\n${'A-N,Nitrate,3,mg/L NO3\n'.repeat(400_000)}`);
  expect(await strict.read(monstrous, bottles)).toMatchObject({ refusal: { code: 'too-much' } });
  await strict.stop();
  expect(await reader.read(csv('9'), bottles)).toMatchObject({ draft: { rowCount: 1 } });
});
