import { purgeReading, type ProbeParameter } from '@fonte/core/purge';
import { describe, expect, it } from 'vitest';
import { draftOf, setErrors, setPayload, unitsFor, type SetDraft } from './setDraft.ts';

const parameters: ProbeParameter[] = ['temperature', 'ph', 'conductivity'];
const draft = (change: Partial<SetDraft> = {}): SetDraft => ({
  pumped: { text: '24', unit: 'L' },
  level: { text: '', unit: 'm' },
  note: '',
  values: { temperature: { text: '16,8', unit: 'degC' }, ph: { text: '6.88', unit: 'pH' } },
  ...change,
});

describe('a set while it is typed', () => {
  it('is fine with a comma, an unread parameter and no level', () => {
    expect(setErrors(draft(), parameters)).toEqual({});
  });

  it('names each wrong field', () => {
    const wrong = draft({ pumped: { text: '', unit: 'L' }, level: { text: 'x', unit: 'm' }, values: { ph: { text: '74', unit: 'pH' } } });
    expect(Object.keys(setErrors(wrong, parameters)).sort()).toEqual(['level', 'ph', 'pumped']);
    expect(setErrors(wrong, parameters)['ph']).toBe('pH can only be 0 to 14 pH.');
  });

  it('asks for at least one reading', () => {
    expect(setErrors(draft({ values: {} }), parameters)).toEqual({ temperature: 'Enter at least one reading.' });
    expect(setErrors(draft({ values: { temperature: { text: ' ', unit: 'degC' } } }), parameters)).toHaveProperty('temperature');
  });
});

it('sends what was typed and nothing that was left empty', () => {
  const payload = setPayload(draft({ note: '  clear ' }), parameters);
  expect(payload).toEqual({
    pumped: { text: '24', unit: 'L' },
    note: 'clear',
    values: { temperature: { text: '16,8', unit: 'degC' }, ph: { text: '6.88', unit: 'pH' } },
  });
  expect(purgeReading.payload.safeParse(payload).success).toBe(true);
});

it('turns a written set back into a draft to correct, in which everything else stays as it was typed', () => {
  const set = {
    entry: 'e',
    at: 0,
    pumped: 0.024,
    pumpedTyped: { text: '24', unit: 'L' as const },
    values: draft().values,
    level: 7.6,
    levelTyped: { text: '24.93', unit: 'ft' as const },
    note: 'clear',
  };
  expect(draftOf(set)).toMatchObject({ pumped: { text: '24' }, level: { text: '24.93', unit: 'ft' }, note: 'clear' });
  expect(draftOf({ ...set, level: null, levelTyped: null }).level.text).toBe('');
  const corrected = setPayload({ ...draftOf(set), pumped: { text: '25', unit: 'L' } }, ['ph']);
  expect(corrected).toMatchObject({ pumped: { text: '25' }, values: set.values, level: { text: '24.93', unit: 'ft' } });
});

it('offers a choice of unit only where instruments differ', () => {
  expect(unitsFor('temperature')).toEqual(['degC', 'degF']);
  expect(unitsFor('conductivity')).toEqual(['uS/cm', 'mS/m']);
  expect(unitsFor('turbidity')).toEqual(['NTU']);
});
