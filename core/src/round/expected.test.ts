import { describe, expect, it } from 'vitest';
import { handing, lab, Script } from '../../test/script.ts';
import { bottleLabelled } from '../fill/index.ts';
import { handedOver } from '../custody/index.ts';
import { reportReceived, resultFrom, resultTold } from '../read/index.ts';
import { whoseSamples } from '../read/rows/labels.ts';
import { hour, millis } from '../time/index.ts';
import { bottlesForReport, fold, overview, resultsExpected, sayExpected } from './index.ts';

const received = Date.UTC(2026, 10, 23, 12);
const hours = (rule: 'bacteria' | 'legionella' | 'metals', resultsAfter?: Record<string, number>) =>
  (resultFrom(rule, received, resultsAfter ? { resultsAfter } : null) - received) / hour;

describe('the day of a result', () => {
  it('is what the lab says, else what is usual', () => {
    // Common practice: bacteria after two days (ISO 9308-1: 18 to 24 h and a day to confirm), Legionella after twelve (ISO 11731: up to 10 d).
    expect([hours('bacteria'), hours('legionella'), hours('metals')]).toEqual([48, 288, 336]);
    expect([hours('bacteria', { bacteria: 30 }), hours('metals', { bacteria: 30 })]).toEqual([30, 336]);
  });
});

describe('results that a lab may be asked for', () => {
  it('stand there from the hand-over on, by the name that the lab has for the bottle, until they are told or a report waits', () => {
    const book = new Script().plan(['coliforms']);
    book.sampleTap();
    const state = () => fold(book.entries)!;
    const bottle = state().bottles.find(({ visit, filledAt }) => visit === book.tap && filledAt !== null)!.id;
    book.atTap(bottleLabelled, { bottle, how: 'by-eye', code: '48-2211' });
    expect(resultsExpected(state())).toEqual([]);
    const form = book.write(handedOver, handing([bottle]));
    const from = millis(form.at) + 48 * hour;
    expect(overview(state()).expected).toEqual([{ lab: lab.name, from, reference: '', bottles: [{ bottle, code: '48-2211' }] }]);
    expect(sayExpected(resultsExpected(state())[0]!)).toEqual({
      what: `Ask ${lab.name} for the results of 1 bottle`,
      about: `${bottle}, theirs 48-2211`,
    });
    // A report that calls it by that name is of this bottle, and one that is a digit off is not.
    const whose = whoseSamples(bottlesForReport(state()), {}, ['48-2211', '48-2212']);
    expect(whose('48-2211')).toEqual({ is: 'ours', label: bottle });
    expect(whose('48-2212')).toEqual({ is: 'other' });
    const before = book.entries.length;
    book.write(reportReceived, { sha256: 'd'.repeat(64), name: 'r.csv', size: 9, from: 'lab', fault: null });
    expect(resultsExpected(state())).toEqual([]);
    book.entries.length = before;
    const call = { bottle, told: form.at, by: 'the lab', result: null, form: 'absent' as const };
    book.write(resultTold, { ...call, parameter: 'ecoli' });
    expect(resultsExpected(state())).toHaveLength(1);
    book.write(resultTold, { ...call, parameter: 'coliforms' });
    expect(resultsExpected(state())).toEqual([]);
  });
});
