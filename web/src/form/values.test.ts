import { purgeReading } from '@fonte/core/purge';
import { expect, it } from 'vitest';
import { inBase, nameOf, withEmptyIn, withTyped } from './values.ts';

it('turns typed quantities into base units, wherever they stand, and leaves empty ones out', () => {
  const { value, problems } = inBase({
    name: 'Well',
    access: '',
    well: { bottom: { text: '60', unit: 'ft' }, intake: { text: ' ', unit: 'm' }, marks: [{ stickUp: { text: '0,62', unit: 'm' } }] },
  });
  expect(problems).toEqual([]);
  expect(value).toEqual({ name: 'Well', well: { bottom: 18.288, marks: [{ stickUp: 0.62 }] } });
});

it('says at its field what is no number', () => {
  const { problems } = inBase({ well: { marks: [{ stickUp: { text: '12\' 7"', unit: 'ft' } }] } });
  expect(problems).toMatchObject([{ path: 'well.marks.0.stickUp', message: expect.stringContaining('feet and inches') as string }]);
  expect(nameOf('well.marks.0.stickUp')).toEqual(['well', 'marks', 0, 'stickUp']);
});

it('keeps what was begun while the entry before was being kept, and nothing of what was sent', () => {
  const quantity = (text: string) => ({ text, unit: 'm' });
  const empty = { pumped: quantity(''), values: { ph: quantity(''), oxygen: quantity('') }, note: '' };
  const sent = { pumped: quantity('24'), values: { ph: quantity('6.9'), oxygen: quantity('3.5') }, note: 'clear' };
  expect(withTyped(sent, sent, empty)).toEqual(empty);
  expect(withTyped(sent, { ...sent, pumped: quantity('4') }, empty)).toEqual({ ...empty, pumped: quantity('4') });
  const begun = { ...sent, values: { ...sent.values, ph: quantity('7') } };
  expect(withTyped(sent, begun, empty)).toEqual({ ...empty, values: { ph: quantity('7'), oxygen: quantity('') } });
});

it('asks for what is still empty in the other units, and leaves what was typed as it was', () => {
  const draft = {
    pumped: { text: '24', unit: 'L' as const },
    level: { text: '', unit: 'm' as const },
    values: { temperature: { text: '', unit: 'degC' as const } },
  };
  const moved = withEmptyIn(draft, purgeReading.payload, 'us');
  expect(moved).toEqual({ ...draft, level: { text: '', unit: 'ft' } });
  expect(withEmptyIn(moved, purgeReading.payload, 'metric')).toEqual(draft);
});
