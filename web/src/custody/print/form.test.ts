import type { CustodyForm } from '@fonte/core/custody';
import { expect, it } from 'vitest';
import { formSheets } from './form.ts';

const head = { book: '018f0000-0000-7000-8000-000000000050', count: 47, hash: '0123456789abcdef'.repeat(4) };
const form = (more: Partial<CustodyForm> = {}): CustodyForm => ({
  format: 'fonte-custody-form',
  version: 1,
  handOver: '018f0000-0000-7000-8000-000000000051',
  lab: 'Island lab',
  round: '261123A',
  head,
  fields: [{ field: 'quote', name: 'Quote or order', value: '' }],
  columns: [{ field: 'point', name: 'Point' }],
  bottles: [{ bottle: '261123A-MW3-N', box: 'Blue box', condition: 'Leaking', values: { point: 'Tannery 3' }, legs: [1] }],
  legs: [
    {
      leg: 1,
      entry: '018f0000-0000-7000-8000-000000000051',
      at: '2026-11-23T11:20:00.000Z',
      from: 'Inês Faria',
      to: 'Island lab',
      takenBy: 'Desk',
      counted: 1,
      notFound: ['261123A-MW3-M'],
      boxes: [{ name: 'Blue box', temperature: '', onIce: true, seal: '', sealIs: 'Whole' }],
      signed: { name: 'Inês Faria', drawn: [[0, 0, 300, 100]] },
      received: null,
    },
  ],
  ...more,
});
const printed = (of: CustodyForm) => JSON.stringify(formSheets(of, 'Atlantic/Azores'));

it('says of each change of hands when by the clock of the place, how cold, which seal, what was not found, and shows who signed', () => {
  const text = printed(form());
  expect(text).toContain('23 November 2026, 10:20 (Atlantic/Azores). 1 bottle counted. Blue box, not read, on ice, no seal.');
  expect(text).toContain('Not found: 261123A-MW3-M.');
  expect(text).toContain('M0 0L300 100');
  // What is empty is seen to be.
  expect(text).toContain('"Quote or order: ","bold":true},"–"');
});

it('bears the end of the book as a code and in groups that a person can compare, and says so where there is none', () => {
  expect(printed(form())).toContain(`"qr":"47:${head.hash}"`);
  expect(printed(form())).toContain('0123 4567 89ab cdef');
  const without = printed(form({ head: null }));
  expect(without).toContain('no head of it is known');
  expect(without).not.toContain('"qr"');
});

it('lies across the page where a lab asks for many columns', () => {
  const columns = Array.from({ length: 9 }, () => ({ field: 'point' as const, name: 'Point' }));
  expect([formSheets(form(), 'UTC').pageOrientation, formSheets(form({ columns }), 'UTC').pageOrientation]).toEqual([
    'portrait',
    'landscape',
  ]);
});
