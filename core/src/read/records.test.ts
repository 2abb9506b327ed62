import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { z } from 'zod';
import { parameterIds } from '../parameters/index.ts';
import { roleCalled } from './shape/heading.ts';
import { LabLine, readReport, tableOfRecords, type BottleAtLab } from './index.ts';

const bottles = new Map<string, BottleAtLab>(
  ['A-G', 'B-G'].map((label) => [label, { name: 'All', parameters: [...parameterIds], filledOn: '2026-11-23', visit: label }]),
);
function read(text: string): string[] {
  const table = tableOfRecords(new TextEncoder().encode(text));
  if (!table) throw new Error('no records');
  const found = readReport(table, bottles);
  if ('refusal' in found) throw new Error(found.refusal.code);
  if (found.draft.refusal) throw new Error(found.draft.refusal.code);
  return found.draft.results.map(
    ({ line, bottle, parameter, form, value, reportingLimit }) => `${line}: ${bottle} ${parameter} ${form} ${value} (${reportingLimit})`,
  );
}
const lines: LabLine[] = [
  { sample: 'A-G', parameter: 'Sulfate', result: 120.5, unit: 'mg/L', reportingLimit: 1, method: 'IC', collected: '2026-11-23' },
  { sample: 'A-G', parameter: 'Copper', result: '<0.31', unit: 'mg/L', fraction: 'dissolved', reportingLimit: 0.31 },
  { sample: 'B-G', parameter: 'Nitrate as NO3', result: 1234, unit: 'mg/L' },
];
const results = ['1: A-G sulfate value 120.5 (1)', '2: A-G copper below 0.31 (0.31)', '3: B-G nitrate value 1234 (null)'];

it.each([
  ['JSON Lines', lines.map((line) => JSON.stringify(line)).join('\n')],
  ['a JSON array', JSON.stringify(lines, null, 2)],
])('results of a system are read from %s', (_, text) => expect(read(text)).toEqual(results));

it('are read from observations of the SensorThings standard (OGC 18-088), with what they belong to', () => {
  const observation = (name: string, symbol: string, sample: string, result: number) => ({
    phenomenonTime: '2026-11-23T09:50:00Z',
    result,
    Datastream: { name, unitOfMeasurement: { name: symbol, symbol, definition: '' }, ObservedProperty: { name } },
    FeatureOfInterest: { name: sample, feature: { type: 'Point', coordinates: [0, 0] } },
  });
  const value = [observation('Sulfate', 'mg/L', 'A-G', 120.5), observation('Lead', 'µg/L', 'B-G', 3)];
  expect(read(JSON.stringify({ '@iot.count': 2, value }))).toEqual(['1: A-G sulfate value 120.5 (null)', '2: B-G lead value 3 (null)']);
});

it('have what a lab adds beside them left alone, and what has parts', () => {
  const more = lines.map((line, index) => ({ ...line, batch: `B${index}`, analyst: { initials: 'IF' } }));
  expect(read(JSON.stringify(more))).toEqual(results);
});

it('are none where a text is no list of them', () => {
  for (const text of ['{"a": 1, "b": [2]', '[1, 2, 3]', '{"value": [1]}\n7', 'Sample;Analyte\n[A-G];1'])
    expect(tableOfRecords(new TextEncoder().encode(text))).toBeNull();
});

it('are published: every name is a column that the reader knows, and the schema is the one in docs', () => {
  for (const name of Object.keys(LabLine.shape)) expect([name, roleCalled(name)]).toEqual([name, name === 'sampleKind' ? 'kind' : name]);
  const published = JSON.parse(readFileSync(new URL('../../../docs/lab-result.schema.json', import.meta.url), 'utf8')) as unknown;
  expect(published).toEqual(z.toJSONSchema(LabLine, { io: 'input' }));
});
