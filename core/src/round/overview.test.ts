import { beforeEach, describe, expect, it } from 'vitest';
import { lab, Script } from '../../test/script.ts';
import { bottleFilled } from '../fill/index.ts';
import { handedOver } from '../custody/index.ts';
import { analysisAdded, analysisRemoved, bottlesPacked } from '../plan/index.ts';
import { clockStarted, protocols, runStarted, stepDone } from '../tap/index.ts';
import { hour } from '../time/index.ts';
import { foresee, fold, formLines, isFilledByProtocol, nextAtVisit, overview, protocolOf, residualFor } from './index.ts';

const protocol = protocols.newest[0]!;
let book: Script;
const round = () => fold(book.entries)!;
const short = () => overview(round());
const tap = () => round().visits.find((visit) => visit.id === book.tap)!;

beforeEach(() => {
  book = new Script().plan();
});

/** Runs the protocol up to its flush clock, which is started. */
function flushing() {
  book.atTap(runStarted, { protocol: protocol.id, edition: protocol.edition });
  const { act } = protocol.steps[0]!;
  const checks = act.type === 'checks' ? act.items.map((item) => item.id) : [];
  book.atTap(stepDone, { step: 'fitness', answer: { type: 'checks', yes: checks, no: [] } });
  for (const step of ['strip', 'hands']) book.atTap(stepDone, { step, answer: { type: 'confirm' } });
  return book.atTap(clockStarted, { step: 'flush' });
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
    book.atTap(stepDone, { step: 'flush', answer: { type: 'clock' } }, 3);
    expect(short().clocks).toEqual([]);
  });

  it('lists what waits for the lab until it is handed over', () => {
    book.sampleTap();
    const filledAt = tap().bottles[0]!.filledAt!;
    // The lab asks for bacteria within 18 hours, shorter than the rule.
    expect(short().waiting.map((bottle) => [bottle.bottle, bottle.deadline - filledAt])).toEqual([['261123A-MH1-B', 18 * hour]]);
    book.write(handedOver, {
      to: lab.id,
      releasedBy: 'Inês Faria',
      receivedBy: 'Desk',
      coolerTemperature: { text: '4', unit: 'degC' },
      signature: 'Inês Faria',
      bottles: [{ bottle: '261123A-MH1-B', condition: 'good' }],
    });
    expect(short().waiting).toEqual([]);
  });
});

describe('the form', () => {
  it('misses the residual until it was measured at a chlorinated tap', () => {
    expect(residualFor(tap())).toBeNull();
    book.sampleTap({ residual: '0,05' });
    expect(residualFor(tap())).toBe('0,05 mg/L');
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
    book.atTap(analysisRemoved, { analysis: 'coliforms' });
    book.atTap(analysisAdded, { analysis: 'metals' });
    expect(nextAtVisit(tap())).toMatchObject({ room: 'fill', say: 'Fill 1 bottle' });
    expect(foresee(book.entries, book.make(bottleFilled, { bottle: '261123A-MH1-M' }, book.tap)).misfit).toBeNull();
  });
});
