import { expect, it } from 'vitest';
import { bottleTables, cardOf, type RuleId } from '../bottles/index.ts';
import { upgraded } from '../book/kind.ts';
import { sayEntry } from '../round/index.ts';
import { Script } from '../../test/script.ts';
import { bottleFilled, factsOf } from './index.ts';

const of = (rule: RuleId) => factsOf(cardOf(bottleTables.newest[0]!, rule));

it('is one touch each where it decides: germs, what leaves the water, what has a preservative', () => {
  expect(of('bacteria')).toEqual({ ids: ['sound', 'holds-it', 'not-rinsed', 'air'], isEach: true });
  expect(of('volatiles').isEach).toBe(true);
  expect(of('metals')).toMatchObject({ isEach: true });
  expect(of('metals').ids).toContain('holds-it');
});

it('is all at once where it does not', () => {
  expect(of('nitrogen')).toMatchObject({ isEach: false });
});

it('is said in the book, also of bottles that were looked at when it was said at once', () => {
  const book = new Script().plan();
  const filled = book.make(bottleFilled, { bottle: '261123A-MH1-B', facts: ['sound', 'not-rinsed'] }, book.tap);
  expect(JSON.stringify(sayEntry(filled))).toContain('Intact: sealed, cap tight, clean, in date. Not rinsed.');
  expect(upgraded(bottleFilled as never, 1, { bottle: 'B' })).toEqual({ bottle: 'B' });
  expect(upgraded(bottleFilled as never, 2, { bottle: 'B', sound: true })).toEqual({ bottle: 'B', facts: ['sound'] });
  expect(bottleFilled.payload.safeParse({ bottle: 'B', facts: ['sound', 'sound'] }).success).toBe(false);
});
