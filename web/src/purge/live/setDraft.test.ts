import { purgeReading } from '@fonte/core/purge';
import { expect, it } from 'vitest';
import { asTyped } from '../../form/values.ts';
import { draftOf, unitsFor, type SetDraft } from './setDraft.ts';

const draft = (change: Partial<SetDraft> = {}): SetDraft => ({
  pumped: { text: '24', unit: 'L' },
  level: { text: '', unit: 'm' },
  note: '',
  values: {
    temperature: { text: '16,8', unit: 'degC' },
    ph: { text: '6.88', unit: 'pH' },
    conductivity: { text: '', unit: 'uS/cm' },
  },
  ...change,
});
const read = (set: SetDraft) => asTyped(set, purgeReading.payload);
const refused = (set: SetDraft) => {
  const { value, problems } = read(set);
  const { error } = purgeReading.payload.safeParse(value);
  return [...problems.map(({ path }) => path), ...(error?.issues ?? []).map(({ path, message }) => `${path.join('.')}: ${message}`)];
};

it('sends a set as it was typed, with a comma, and nothing that was left empty', () => {
  const { value, problems } = read(draft());
  expect(problems).toEqual([]);
  expect(value).toEqual({
    pumped: { text: '24', unit: 'L' },
    values: { temperature: { text: '16,8', unit: 'degC' }, ph: { text: '6.88', unit: 'pH' } },
  });
  expect(purgeReading.payload.safeParse(value).success).toBe(true);
});

it('names each wrong field, and asks for at least one reading', () => {
  const wrong = draft({ pumped: { text: 'two', unit: 'L' }, level: { text: 'x', unit: 'm' }, values: { ph: { text: '74', unit: 'pH' } } });
  expect(refused(wrong)).toEqual(expect.arrayContaining(['pumped', 'level', 'values.ph.text: pH can only be 0 to 14 pH.']));
  expect(refused(draft({ values: { ph: { text: ' ', unit: 'pH' } } }))).toEqual(['values: Enter at least one reading.']);
});

it('turns a written set back into a draft to correct, in which everything else stays as it was typed', () => {
  const set = {
    entry: 'e',
    at: 0,
    pumped: 0.024,
    pumpedTyped: { text: '24', unit: 'L' as const },
    values: { temperature: { text: '16,8', unit: 'degC' as const }, ph: { text: '6.88', unit: 'pH' as const } },
    level: 7.6,
    levelTyped: { text: '24.93', unit: 'ft' as const },
    note: 'clear',
  };
  expect(draftOf({ ...set, level: null, levelTyped: null }).level.text).toBe('');
  expect(read({ ...draftOf(set), pumped: { text: '25', unit: 'L' } }).value).toEqual({
    pumped: { text: '25', unit: 'L' },
    values: set.values,
    level: { text: '24.93', unit: 'ft' },
    note: 'clear',
  });
});

it('offers a choice of unit only where instruments differ', () => {
  expect(unitsFor('temperature')).toEqual(['degC', 'degF']);
  expect(unitsFor('conductivity')).toEqual(['uS/cm', 'mS/m']);
  expect(unitsFor('turbidity')).toEqual(['NTU']);
});
