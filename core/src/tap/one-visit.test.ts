import { describe, expect, it } from 'vitest';
import { Script, tapPoint } from '../../test/script.ts';
import { bottleFilled } from '../fill/index.ts';
import { fitnessJudged, riskChecked } from '../arrive/index.ts';
import { fold, formLines } from '../round/index.ts';
import { findProtocol, proceduresFor, stepDone } from './index.ts';

const atTap = (book: Script) => fold(book.entries)!.visits.find(({ id }) => id === book.tap)!;
const bottlesOf = (book: Script) => atTap(book).bottles.map(({ id, state, sample }) => [id, state, sample]);

describe('the first and the fifth litre', () => {
  const first = '261123A-MH1-L';
  const fifth = '261123A-MH1-LV';
  const procedure = 'lead-first-and-fifth';

  it('are two bottles of one run, filled in their order under a tap that is not closed', () => {
    const book = new Script().plan(['leadFifth', 'lead']);
    expect(proceduresFor(['leadFifth', 'lead'], tapPoint, '2026-11-23').map(({ id }) => id)).toEqual([procedure]);
    book.sampleTap({ procedure, before: 'fill-first' });
    // The fifth before the first would be the first.
    book.atTap(bottleFilled, { bottle: fifth });
    expect(fold(book.entries)!.aside.map(({ misfit }) => misfit.code)).toEqual(['not-at-filling']);
    book.entries.pop();
    book.atTap(bottleFilled, { bottle: first });
    book.done('fill-first', { type: 'fill' }, undefined, { procedure });
    book.done('between', { type: 'times', times: 3 }, undefined, { procedure });
    // Its step is not closed before it is full.
    book.atTap(stepDone, { procedure, step: 'fill-fifth', answer: { type: 'fill' } });
    expect(fold(book.entries)!.aside.map(({ misfit }) => misfit.code)).toEqual(['fill-first']);
    book.entries.pop();
    book.atTap(bottleFilled, { bottle: fifth });
    book.done('fill-fifth', { type: 'fill' }, undefined, { procedure });
    book.done('put-back', { type: 'confirm' }, undefined, { procedure });
    expect(fold(book.entries)!.aside).toEqual([]);
    expect(bottlesOf(book)).toEqual([
      [first, 'filled', 'routine'],
      [fifth, 'filled', 'routine'],
    ]);
    expect(atTap(book).runs[0]!.finished).toBe(true);
  });
});

describe('lead that stood for half an hour', () => {
  const standing = (minutes: number) => {
    const book = new Script().plan(['lead']);
    const late = minutes > 45 ? { departure: 'the door was shut' } : {};
    book.sampleTap({ procedure: 'lead-timed', bottle: '261123A-MH1-L', odd: { standing: { minutes, ...late } } });
    return bottlesOf(book)[0]![2];
  };

  it('is special where it stood for longer, and spoilt where it was cut short', () => {
    expect([standing(31), standing(44), standing(50)]).toEqual(['routine', 'routine', 'special']);
    const short = new Script().plan(['lead']);
    short.sampleTap({ procedure: 'lead-timed', bottle: '261123A-MH1-L', odd: { standing: { minutes: 12, departure: 'no time' } } });
    expect(bottlesOf(short)[0]![2]).toBe('invalid');
    // As it was judged before.
    expect(findProtocol('lead-timed', '2026-2')!.steps.find(({ id }) => id === 'standing')!.overrun).toBeUndefined();
  });

  it('does not mind that water was drawn before somebody came: it is flushed anyway', () => {
    const of = (procedure: string) => {
      const book = new Script().plan(['lead']);
      book.write(riskChecked, { hazards: [] }, { at: book.tap });
      book.write(fitnessJudged, { found: [{ fault: 'used-lately', isDone: false }] }, { at: book.tap });
      book.sampleTap({ procedure, bottle: '261123A-MH1-L' });
      return bottlesOf(book)[0]![2];
    };
    expect([of('lead-timed'), of('lead-random')]).toEqual(['routine', 'routine']);
  });
});

describe('Legionella before and after flushing', () => {
  it('is one visit: two bottles, the first water first', () => {
    const analyses = ['legionella', 'legionellaFlushed'] as const;
    const book = new Script().plan([...analyses]);
    expect(proceduresFor([...analyses], tapPoint, '2026-11-23').map(({ id, ways }) => [id, ways.map((way) => way.id)])).toEqual([
      ['legionella', ['legionella-pre-flush', 'legionella-outbreak']],
      ['legionella-flushed', ['legionella-flushed']],
    ]);
    book.sampleTap({ procedure: 'legionella-pre-flush', bottle: '261123A-MH1-LG' });
    book.sampleTap({ procedure: 'legionella-flushed', bottle: '261123A-MH1-LF' });
    expect(fold(book.entries)!.aside).toEqual([]);
    expect(bottlesOf(book).map(([id, state]) => [id, state])).toEqual([
      ['261123A-MH1-LG', 'filled'],
      ['261123A-MH1-LF', 'filled'],
    ]);
    const alone = new Script().plan(['legionellaFlushed']);
    expect(bottlesOf(alone)).toHaveLength(1);
  });
});

it('what was taken in an outbreak is called so on the form, and is no routine sample for its lab', () => {
  const line = (procedure: string) => {
    const book = new Script().plan(['legionella']).sampleTap({ procedure, bottle: '261123A-MH1-LG' });
    return formLines(fold(book.entries)!).map(({ type, fields, occasion, isForCompliance }) => [
      type,
      fields.sampleType,
      occasion,
      isForCompliance,
    ]);
  };
  expect(line('legionella-outbreak')).toEqual([['Outbreak', 'Outbreak', 'Outbreak', false]]);
  expect(line('legionella-pre-flush')).toEqual([['Routine', 'Routine', null, true]]);
});
