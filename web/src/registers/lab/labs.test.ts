import { Lab } from '@fonte/core/registers';
import { expect, it } from 'vitest';
import { labValues, readLab } from './labValues.ts';
import { hoursInShort } from './LabsPage.tsx';

/** What a form of a new lab holds once these were typed. */
const typed = (values: object, before: Lab | null = null) => readLab({ ...labValues(null), ...values }, before);

const hours = (weekdays: number[], opens = '08:00', closes = '16:00') => weekdays.map((weekday) => ({ weekday, opens, closes }));

it('says hours in short: days in a row together, others one by one', () => {
  expect(hoursInShort(hours([1, 2, 3, 4, 5]))).toBe('Mon–Fri 08:00–16:00');
  expect(hoursInShort([...hours([1, 3]), ...hours([6], '09:00', '12:00')])).toBe('Mon, Wed 08:00–16:00; Sat 09:00–12:00');
});

it('keeps what the form of a lab does not show, leaves out days without hours, and refuses hours that are half said', () => {
  const before = { temperature: { legionella: { least: 6, most: 20 } } } as unknown as Lab;
  const values = {
    id: '018f0000-0000-7000-8000-000000000010',
    name: 'Lab',
    zone: 'UTC',
    intake: [...hours([1]), { weekday: 2 }],
    cutOffs: [{ bottles: ['bacteria'], weekdays: [5] }],
    dropOffs: [{ name: 'Quay', position: {}, weekdays: [1, 2], opens: '09:00', closes: '12:00', toLab: 3600 }],
    holding: [{ rule: 'bacteria', hours: '18,5' }],
    temperature: { bacteria: { least: 1, most: 10 }, chilled: {} },
    startsAfter: [{ rule: 'nitrogen', hours: '24' }],
    resultsAfter: [{ rule: 'bacteria', hours: '30' }],
    codes: [],
    reportsFrom: [{ parameter: 'arsenic', from: '0,002' }],
    stagnation: [{ least: 1800, most: 2700 }],
    coolingWithin: '3',
    accredited: [],
    form: [{ field: 'quote', always: 'Q-7' }, { field: 'point' }],
  };
  expect(Lab.parse(typed(values, before).value)).toMatchObject({
    intake: hours([1]),
    temperature: { legionella: { least: 6, most: 20 }, bacteria: { least: 1, most: 10 } },
    cutOffs: [{ bottles: ['bacteria'], weekdays: [5], closes: null }],
    dropOffs: [{ name: 'Quay', hours: hours([1, 2], '09:00', '12:00'), toLab: 3600 }],
    holding: { bacteria: 18.5 },
    startsAfter: { nitrogen: 24 },
    resultsAfter: { bacteria: 30 },
    reportsFrom: { arsenic: 0.002 },
    stagnation: [{ least: 1800, most: 2700 }],
    coolingWithin: 3,
    form: [{ field: 'quote', always: 'Q-7' }, { field: 'point' }],
  });
  // What nobody said is not said to be nothing.
  expect(Object.keys(Lab.parse(typed(values, before).value))).not.toEqual(expect.arrayContaining(['codes']));
  expect(Lab.parse(typed(values, before).value).accredited).toBeUndefined();
  const half = Lab.safeParse(typed({ ...values, intake: [{ weekday: 1, opens: '08:00' }] }).value);
  expect(half.error?.issues.map(({ path }) => path.join('.'))).toEqual(['intake.0.closes']);
});

it('says at its row which number of a lab is none, or could be read in two ways', () => {
  const { problems } = typed({
    holding: [
      { rule: 'bacteria', hours: '18' },
      { rule: 'metals', hours: '4,320' },
    ],
    startsAfter: [{ rule: 'metals', hours: '' }],
    coolingWithin: 'soon',
  });
  expect(problems.map(({ path }) => path).sort()).toEqual(['coolingWithin', 'holding.1.hours', 'startsAfter.0.hours']);
  expect(problems.find(({ path }) => path === 'holding.1.hours')!.message).toBe(
    '“4,320” can be read in two ways. Type 4320, or 4.320 if it has decimals.',
  );
});
