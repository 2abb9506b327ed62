import { beforeEach, describe, expect, it } from 'vitest';
import { Script } from '../../test/script.ts';
import { bottleFilled } from '../fill/index.ts';
import { handedOver } from '../custody/index.ts';
import { analysisAdded, analysisRemoved, bottlesPacked } from '../plan/index.ts';
import { clockStarted, protocols, runStarted, stepDone } from '../tap/index.ts';
import { hour } from '../time/index.ts';
import { admit, fold, formLines, isFilledByProtocol, nextAtVisit, overview, protocolOf, residualFor } from './index.ts';

const protocol = protocols[0];
let book: Script;
const round = () => fold(book.entries)!;
const short = () => overview(round());
const tap = () => round().visits.find((visit) => visit.id === book.tap)!;

beforeEach(() => {
  book = new Script().plan();
});

/** Runs the protocol up to its flush clock, which is started. */
function flushing() {
  book.write(runStarted, { visit: book.tap, protocol: protocol.id, edition: protocol.edition });
  const { act } = protocol.steps[0]!;
  const checks = act.type === 'checks' ? act.items.map((item) => item.id) : [];
  book.write(stepDone, { visit: book.tap, step: 'fitness', answer: { type: 'checks', yes: checks, no: [] } });
  for (const step of ['strip', 'hands']) book.write(stepDone, { visit: book.tap, step, answer: { type: 'confirm' } });
  return book.write(clockStarted, { visit: book.tap, step: 'flush' });
}

describe('a round in short', () => {
  it('counts bottles by stage as they move', () => {
    expect(short().stages).toEqual(['planned', 'planned', 'planned', 'planned', 'planned']);
    book.write(bottlesPacked, { bottles: ['261123A-MH1-B'] });
    expect(short().stages.filter((stage) => stage === 'ready')).toHaveLength(1);
  });

  it('shows a clock only while its step runs', () => {
    expect(short().clocks).toEqual([]);
    const started = flushing();
    expect(short().clocks).toEqual([
      { visit: book.tap, pointName: 'Market hall', say: 'Run cold water, full and steady', from: Date.parse(started.at.utc), least: 120 },
    ]);
    book.write(stepDone, { visit: book.tap, step: 'flush', answer: { type: 'clock' } }, 3);
    expect(short().clocks).toEqual([]);
  });

  it('lists what waits for the lab, shortest time first, until it is handed over', () => {
    book.entries.push(book.make(bottleFilled, { visit: book.well, bottle: '261123A-MW3-N' }));
    book.entries.push(book.make(bottleFilled, { visit: book.tap, bottle: '261123A-MH1-B' }));
    const filledAt = book.now;
    // The lab asks for bacteria within 18 hours, the rule for nitrate says 48.
    expect(short().waiting.map((bottle) => [bottle.bottle, bottle.deadline - filledAt])).toEqual([
      ['261123A-MH1-B', 18 * hour],
      ['261123A-MW3-N', 48 * hour],
    ]);
    book.write(handedOver, {
      to: 'lab',
      releasedBy: 'Inês Faria',
      receivedBy: 'Desk',
      coolerTemperature: { text: '4', unit: 'degC' },
      signature: 'Inês Faria',
      bottles: [{ bottle: '261123A-MH1-B', condition: 'good' }],
    });
    expect(short().waiting.map((bottle) => bottle.bottle)).toEqual(['261123A-MW3-N']);
  });
});

describe('the form', () => {
  it('misses the residual until it was measured at a chlorinated tap', () => {
    expect(residualFor(tap())).toBeNull();
    flushing();
    book.write(stepDone, { visit: book.tap, step: 'flush', answer: { type: 'clock' } }, 3);
    book.write(stepDone, { visit: book.tap, step: 'temperature', answer: { type: 'measure', reading: { text: '17', unit: 'degC' } } });
    book.write(stepDone, { visit: book.tap, step: 'residual', answer: { type: 'measure', reading: { text: '0,05', unit: 'mg/L' } } });
    expect(residualFor(tap())).toBe('0,05 mg/L');
    book.entries.push(book.make(bottleFilled, { visit: book.tap, bottle: '261123A-MH1-B' }));
    expect(formLines(round())).toMatchObject([{ sampleType: 'special', residual: '0,05 mg/L', requests: ['Coliforms + E. coli'] }]);
  });

  it('needs none at a well', () => {
    expect(residualFor(round().visits[0]!)).toBe('not-needed');
  });
});

it('leaves a well without analyses once its level is read', () => {
  const [well] = round().visits;
  expect(nextAtVisit({ ...well!, analyses: [] })?.room).toBe('level');
  expect(nextAtVisit({ ...tap(), analyses: [] })?.say).toBe('Choose analyses');
});

describe('what a protocol fills', () => {
  it('follows from the analyses asked for at a tap, and from nothing at a well', () => {
    const [well] = round().visits;
    expect(protocolOf(tap())?.id).toBe('coliforms-distribution');
    expect(protocolOf({ ...tap(), analyses: ['metals'] })).toBeNull();
    expect(protocolOf({ ...well!, analyses: ['coliforms'] })).toBeNull();
    expect([isFilledByProtocol(tap(), 'bacteria'), isFilledByProtocol(tap(), 'metals'), isFilledByProtocol(well!, 'bacteria')]).toEqual([
      true,
      false,
      false,
    ]);
  });

  it('stays what it was once a run is started', () => {
    flushing();
    expect(protocolOf({ ...tap(), analyses: [] })?.edition).toBe(protocol.edition);
  });

  it('leaves a tap without one to be filled freely', () => {
    book.write(analysisRemoved, { visit: book.tap, analysis: 'coliforms' });
    book.write(analysisAdded, { visit: book.tap, analysis: 'metals' });
    expect(nextAtVisit(tap())).toMatchObject({ room: 'fill', say: 'Fill 1 bottle' });
    expect(admit(book.make(bottleFilled, { visit: book.tap, bottle: '261123A-MH1-M' }), book.entries, round())).toEqual([]);
  });
});
