import { beforeEach, describe, expect, it } from 'vitest';
import { Script } from '../../test/script.ts';
import { testBegun, testRead, type Shown } from '../fieldtests/index.ts';
import { limitSets } from '../limits/index.ts';
import { purgeEnded } from '../purge/index.ts';
import { atTheWell } from '../../test/at-the-well.ts';
import { siteResults } from './on-site.ts';

let book: Script;
const { visit, purged } = atTheWell(() => book);
beforeEach(() => {
  book = new Script().plan(['coliforms']);
});

const who = limitSets.newest.find(({ id }) => id.startsWith('who'))!;
const us = limitSets.newest.find(({ id }) => id.startsWith('us'))!;
const results = (at: string, set = who) =>
  siteResults(visit(at), [set], 'Atlantic/Azores').map(({ kind, result, verdict, doubts }) => ({
    kind,
    parameter: result.parameter,
    value: result.value,
    state: verdict.state,
    weakness: verdict.weakness,
    doubts: doubts.map(({ code }) => code),
  }));

describe('what was measured at a point', () => {
  it('stands beside the lab’s word, with where it comes from', () => {
    book.sampleTap();
    expect(results(book.tap).map(({ kind, parameter, value }) => [kind, parameter, value])).toEqual([
      ['at-a-step', 'temperature', 17.2],
      ['at-a-step', 'freeChlorine', 0.45],
      ['at-a-step', 'freeChlorine', 0.45],
    ]);
    purged();
    expect(book.entries.at(-1)!.kind).toBe(purgeEnded.kind);
    // The last set alone, of all that were read.
    expect(results(book.well).map(({ kind, parameter }) => [kind, parameter])).toEqual([
      ['in-the-purge', 'temperature'],
      ['in-the-purge', 'ph'],
      ['in-the-purge', 'oxygen'],
    ]);
  });

  it('is not told twice where a step took it over from a test', () => {
    const begun = book.atTap(testBegun, { method: 'free-chlorine-low' });
    const shown: Shown = { is: 'number', reading: { text: '0.45', unit: 'mg/L' } };
    book.atTap(testRead, { method: 'free-chlorine-low', test: begun.id, shown }, 0.5);
    book.start();
    expect(results(book.tap)).toMatchObject([{ kind: 'field-test', parameter: 'freeChlorine', weakness: null }]);
  });

  it('by colour never meets: it is over, cannot be told, or proves nothing', () => {
    const fluoride = (from: number, to: number) => {
      book = new Script().plan(['coliforms']);
      const begun = book.atTap(testBegun, { method: 'fluoride-colour' });
      book.atTap(testRead, { method: 'fluoride-colour', test: begun.id, shown: { is: 'class', from, to } }, 2);
      return results(book.tap)[0]!.state;
    };
    // WHO: fluoride 1.5 mg/L
    expect([fluoride(0.5, 0.5), fluoride(1, 1.5), fluoride(1.5, 2), fluoride(2, 3)]).toEqual([
      'proves-nothing',
      'proves-nothing',
      'cannot-tell',
      'over-health',
    ]);
  });

  it('by a photometer is screened where a lab could say it, and in doubt where it was read late', () => {
    const read = (method: 'fluoride' | 'total-chlorine-low', text: string, minutes: number, set = who) => {
      book = new Script().plan(['coliforms']);
      const begun = book.atTap(testBegun, { method });
      const shown: Shown = { is: 'number', reading: { text, unit: 'mg/L' } };
      book.atTap(testRead, { method, test: begun.id, shown, departure: 'the phone slept' }, minutes);
      return results(book.tap, set)[0]!;
    };
    expect(read('fluoride', '0.8', 1.5)).toMatchObject({ state: 'proves-nothing', weakness: 'screened', doubts: [] });
    expect(read('fluoride', '1.7', 1.5)).toMatchObject({ state: 'over-health' });
    // 40 CFR 141.65(b): 4.0 mg/L, here of the day and not of the year
    expect(read('total-chlorine-low', '0.4', 4, us)).toMatchObject({ state: 'meets', weakness: null });
    expect(read('total-chlorine-low', '0.4', 9, us)).toMatchObject({ state: 'proves-nothing', weakness: 'doubted', doubts: ['too-late'] });
  });
});
