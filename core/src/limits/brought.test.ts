import { expect, it } from 'vitest';
import { lineIn, readBrought, textTable, type BroughtAsked, type BroughtDraft } from '../read/index.ts';
import { refOf } from '../editions/index.ts';
import { judgeBrought, limitSets } from './index.ts';

function read(text: string, asked: BroughtAsked = {}): BroughtDraft {
  const found = readBrought(textTable(new TextEncoder().encode(text)), asked);
  if ('refusal' in found) throw new Error(found.refusal.code);
  return found.draft;
}
const shown = ({ results }: BroughtDraft) =>
  results.map(({ bottle, parameter, form, value }) => `${bottle}: ${parameter} ${form} ${value}`);

it.each([
  ['that is named once', 'Sample;Analyte;Result;Unit\nKitchen tap;Lead;12;µg/L\nKitchen tap;Sulfate;31;mg/L\n', 'Kitchen tap'],
  ['that nothing names', 'Analyte;Result;Unit\nLead;12;µg/L\nSulfate;31;mg/L\n', 'The sample'],
  ['that a column is called by', 'Parameter;Einheit;Küche\nBlei;µg/l;12\nSulfat;mg/l;31\n', 'Küche'],
  ['that a line above names', 'Sample: Kitchen tap\n\nAnalyte;Result;Unit\nLead;12;µg/L\nSulfate;31;mg/L\n', 'Kitchen tap'],
  [
    'beside the lab’s own blank',
    'Sample;Analyte;Result;Unit\nWell 3;Lead;12;µg/L\nMethod blank;Lead;<1;µg/L\nWell 3;Sulfate;31;mg/L\n',
    'Well 3',
  ],
  ['in a letter', 'Your water:\nLead: 12 µg/L\nSulfate: 31 mg/L\n', 'The sample'],
])('a report of one sample %s is read whole', (_, text, sample) => {
  const draft = read(text);
  expect([draft.samples, draft.sample, draft.refusal]).toEqual([[sample], sample, null]);
  expect(shown(draft)).toEqual([`${sample}: lead value 12`, `${sample}: sulfate value 31`]);
  expect([draft.missing, draft.unread]).toEqual([[], []]);
  // Written down and read again it says the same.
  expect(shown(read(text, { sample, mapping: draft.mapping }))).toEqual(shown(draft));
});

it('which of several samples is meant is open until somebody says it', () => {
  const text = 'Sample;Analyte;Result;Unit\nWell;Lead;12;µg/L\nTap;Lead;3;µg/L\n';
  expect(read(text)).toMatchObject({ samples: ['Well', 'Tap'], sample: null });
  expect(shown(read(text, { sample: 'Tap' }))).toEqual(['Tap: lead value 3']);
  expect(read(text, { sample: 'Cellar' }).sample).toBeNull();
});

it('the day of sampling that is said is held against the one in the report', () => {
  const text = 'Sample;Collected;Analyte;Result;Unit\nWell;2026-11-20;Lead;12;µg/L\n';
  expect(read(text).doubts).toEqual([]);
  expect(read(text, { sampled: '2026-11-20' }).doubts).toEqual([]);
  const [doubt] = read(text, { sampled: '2026-11-21' }).doubts;
  expect([doubt?.code, lineIn([], doubt!.line).line]).toEqual(['other-day', 2]);
});

const facts = {
  kind: 'private-well',
  water: 'private',
  sampled: '2026-11-20',
  limits: [refOf(limitSets.on('eu-2020-2184', '2026-11-20')!)],
} as const;

it('what lies under a value of such a sample proves nothing, what lies over one is over it', () => {
  const { results } = read('Sample;Analyte;Result;Unit\nWell;Nickel;4;µg/L\nWell;Arsenic;14;µg/L\nWell;E. coli;0;CFU/100 mL\n');
  const verdict = judgeBrought({ ...facts, limits: [...facts.limits] }, results)!;
  expect(verdict.isDrunk).toBe(true);
  expect(verdict.judged.map(({ result, verdict: { state, weakness } }) => [result.parameter, state, weakness])).toEqual([
    ['ecoli', 'proves-nothing', 'brought'],
    ['arsenic', 'over-health', 'brought'],
    ['nickel', 'proves-nothing', 'brought'],
  ]);
  expect(judgeBrought({ ...facts, limits: ['a-set-of-later@2030-1'] }, results)).toBeNull();
});
