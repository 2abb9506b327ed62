import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answerTo as careful, protocolNamed, Script, tapPoint } from '../../test/script.ts';
import type { Entry } from '../book/index.ts';
import { bottleFilled } from '../fill/index.ts';
import { fold, sayMisfit } from '../round/index.ts';
import {
  clockStarted,
  decidesSample,
  departs,
  effectOf,
  misfitAnswer,
  protocols,
  runStarted,
  stepSkipped,
  stopsOf,
  type StepAnswer,
} from './index.ts';

const procedure = 'coliforms-distribution';
const protocol = protocolNamed(procedure);
const script = () => {
  const book = new Script().plan();
  book.start();
  return book;
};
const run = (book: Script) => fold(book.entries)!.visits.find((visit) => visit.id === book.tap)!.runs[0]!;
const answerTo = (book: Script, answer: StepAnswer, departure?: string): Entry => book.done(run(book).now!.step.id, answer, departure);

describe('the protocol engine', () => {
  it('starts at the first step and ends with none', () => {
    expect(run(script()).now?.step.id).toBe('fitness');
    const done = run(new Script().plan().sampleTap());
    expect(done).toMatchObject({ finished: true, sample: 'routine', departures: [] });
    expect(done.steps.map(({ step }) => step.id)).not.toContain('flame');
  });

  it('takes the clock from the instant it was started, so a reload loses nothing', () => {
    const book = new Script().plan().sampleTap({ before: 'flush' });
    const started = book.atTap(clockStarted, { procedure, step: 'flush' });
    expect(run(book).now?.clockFrom).toBe(Date.parse(started.at.utc));
    const now = run(book).now!;
    expect(departs(now, { type: 'clock' }, now.clockFrom! + 119_999)).toMatchObject({
      code: 'clock-short',
      data: { least: 120, ran: 119.999 },
    });
    expect(departs(now, { type: 'clock' }, now.clockFrom! + 120_000)).toBeNull();
  });

  it('counts a clock that was never started as no time at all', () => {
    expect(departs(run(new Script().plan().sampleTap({ before: 'flush' })).now!, { type: 'clock' }, Date.now())?.data).toEqual({
      least: 120,
      ran: 0,
    });
  });

  it('makes the sample special when the residual is too low, by the minimum of the point', () => {
    const book = new Script().plan().sampleTap({ before: 'residual' });
    answerTo(book, { type: 'measure', reading: { text: '0,05', unit: 'mg/L' } });
    expect(run(book)).toMatchObject({ sample: 'special', abandoned: false });
    expect(run(book).now?.step.id).toBe('disinfect');
    const step = protocol.steps.find(({ id }) => id === 'residual')!;
    const stops = (text: string, unit: 'mg/L' | 'ug/L', point = tapPoint) =>
      stopsOf(step, { type: 'measure', reading: { text, unit } }, point).length;
    expect([stops('0.20', 'mg/L'), stops('0.19', 'mg/L'), stops('250', 'ug/L')]).toEqual([0, 1, 0]);
    // Where there is no chlorine, some is a reason to stop; over 5 mg/L (WHO) it is one anywhere.
    const raw = { ...tapPoint, tap: { ...tapPoint.tap, residualMinimum: null } };
    expect([stops('0', 'mg/L', raw), stops('0.3', 'mg/L', raw), stops('4.9', 'mg/L'), stops('120', 'mg/L')]).toEqual([0, 1, 0, 1]);
  });

  it('stops at a tap behind a filter', () => {
    const book = script();
    answerTo(book, { type: 'checks', yes: ['outlet-down', 'in-use'], no: ['no-treatment'] }, 'filter fitted since last time');
    expect(run(book)).toMatchObject({ abandoned: true, now: null, finished: false });
  });

  it('asks the flame questions only of a flame, and never leads from alcohol to it', () => {
    const book = new Script().plan().sampleTap({ before: 'disinfect' });
    answerTo(book, { type: 'choose', option: 'flame' });
    const ids = run(book).steps.map(({ step }) => step.id);
    expect(ids).toContain('flame-safe');
    expect(ids).not.toContain('contact');
    answerTo(book, { type: 'checks', yes: ['wall', 'metal'], no: ['vapour'] }, 'alcohol was used');
    expect(run(book).abandoned).toBe(true);
  });

  it('records what was left out, with the reason', () => {
    const book = new Script().plan().sampleTap({ before: 'strip' });
    book.atTap(stepSkipped, { procedure, step: 'strip', departure: 'aerator is welded on' });
    expect(run(book).departures).toMatchObject([{ step: { id: 'strip' }, reason: 'aerator is welded on' }]);
  });

  it('takes no routine sample where what decides it was left out', () => {
    const skip = (step: string) => {
      const book = new Script().plan().sampleTap({ before: step });
      book.atTap(stepSkipped, { procedure, step, departure: 'no photometer' });
      return run(book).sample;
    };
    expect([skip('hands'), skip('strip'), skip('residual'), skip('rinse-bleach')]).toEqual(['routine', 'special', 'special', 'invalid']);
    const residual = protocol.steps.find(({ id }) => id === 'residual')!;
    const unchlorinated = { ...tapPoint, tap: { ...tapPoint.tap, residualMinimum: null } };
    const hands = protocol.steps.find(({ id }) => id === 'hands')!;
    expect([decidesSample(residual, tapPoint), decidesSample(residual, unchlorinated), decidesSample(hands, tapPoint)]).toEqual([
      true,
      true,
      false,
    ]);
  });

  it('reads chlorine again after bleach, and takes no sample while there is more than before', () => {
    const book = new Script().plan().sampleTap({ before: 'residual-again' });
    answerTo(book, { type: 'measure', reading: { text: '0.60', unit: 'mg/L' } });
    expect(run(book)).toMatchObject({ sample: 'invalid' });
    const good = new Script().plan().sampleTap({ before: 'residual-again' });
    answerTo(good, { type: 'measure', reading: { text: '450', unit: 'ug/L' } });
    expect(run(good)).toMatchObject({ sample: 'routine' });
  });

  it('speaks of raw water where none is disinfected', () => {
    const says = (residualMinimum: number | null) => {
      const book = new Script().plan(['coliforms'], {
        visits: [{ id: new Script().tap, point: { ...tapPoint, tap: { ...tapPoint.tap, residualMinimum } }, analyses: ['coliforms'] }],
      });
      const { visits } = fold(book.entries)!;
      const { id } = visits[0]!;
      book.write(runStarted, { procedure, protocol: procedure, edition: protocol.edition }, { at: id });
      return fold(book.entries)!
        .visits[0]!.runs[0]!.steps.map(({ step }) => step.say)
        .join('; ');
    };
    expect(says(null)).toContain('Measure free chlorine: it must be zero');
    expect(says(null)).not.toContain('Look at the tap');
    expect(says(0.2)).not.toContain('it must be zero');
  });

  it('cannot leave out what makes a flame safe', () => {
    const book = new Script().plan().sampleTap({ before: 'disinfect' });
    answerTo(book, { type: 'choose', option: 'flame' });
    book.atTap(stepSkipped, { procedure, step: 'flame-safe', departure: 'it looks safe' });
    expect(fold(book.entries)!.aside.map(({ misfit }) => misfit.code)).toEqual(['needed']);
    expect(run(book).now!.step.id).toBe('flame-safe');
  });

  it('takes no routine sample with the flush and the residual of another time', () => {
    const sampleAfter = (minutes: number) => {
      const book = new Script().plan().sampleTap({ before: 'fill' });
      book.atTap(bottleFilled, { bottle: '261123A-MH1-B' }, minutes);
      return fold(book.entries)!.bottles.find(({ id }) => id === '261123A-MH1-B')!.sample;
    };
    expect([sampleAfter(5), sampleAfter(7 * 24 * 60)]).toEqual(['routine', 'special']);
  });

  it('never ends as routine after a departure that spoils or changes the sample, whatever was answered', () => {
    const all = protocol.steps;
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('well', 'skip', 'depart', 'no'), { minLength: all.length, maxLength: all.length }),
        fc.constantFrom('alcohol', 'bleach', 'flame'),
        (ways, disinfectant) => {
          const book = new Script().plan();
          book.start();
          let worst = 'routine';
          for (const way of ways) {
            const now = run(book).now;
            if (!now) break;
            const { step } = now;
            const effect = effectOf(step, null, tapPoint);
            if (way === 'skip' && !step.isNeeded) {
              book.atTap(stepSkipped, { procedure, step: step.id, departure: 'left out' });
              if (effect !== 'noted') worst = effect === 'invalid' || worst === 'invalid' ? 'invalid' : 'special';
              continue;
            }
            if (step.act.type === 'clock' && way !== 'depart') book.atTap(clockStarted, { procedure, step: step.id });
            if (step.act.type === 'clock' && way === 'depart' && step.departed !== 'noted')
              worst = step.departed === 'invalid' || worst === 'invalid' ? 'invalid' : 'special';
            if (step.act.type === 'fill') book.atTap(bottleFilled, { bottle: '261123A-MH1-B' });
            const usual = step.act.type === 'choose' ? { type: 'choose' as const, option: disinfectant } : careful(step, '0.45');
            const answer: StepAnswer =
              way === 'no' && step.act.type === 'checks' ? { type: 'checks', yes: [], no: step.act.items.map(({ id }) => id) } : usual;
            book.done(step.id, answer, way === 'well' ? undefined : 'departs', {
              minutes: step.act.type === 'clock' ? 1 + step.act.least / 60 : 1,
            });
          }
          const { sample } = run(book);
          const order = ['routine', 'special', 'invalid'];
          expect(order.indexOf(sample)).toBeGreaterThanOrEqual(order.indexOf(worst));
        },
      ),
      { numRuns: 150 },
    );
  });

  it('refuses an answer of the wrong kind, an unknown option, an open check and an impossible number', () => {
    const step = (id: string) => protocol.steps.find((candidate) => candidate.id === id)!;
    expect(misfitAnswer(step('hands'), { type: 'clock' })).toMatchObject({ code: 'other-answer', field: 'payload.answer.type' });
    expect(misfitAnswer(step('disinfect'), { type: 'choose', option: 'soap' })?.field).toBe('payload.answer.option');
    expect(sayMisfit(misfitAnswer(step('fitness'), { type: 'checks', yes: ['in-use'], no: [] })!)).toContain('Outlet faces down');
    expect(misfitAnswer(step('residual'), { type: 'measure', reading: { text: '4500', unit: 'mg/L' } })?.field).toBe(
      'payload.answer.reading.text',
    );
  });

  it.each(protocols.all)('$title has a reason and a source for every step, and conditions that hang on earlier choices', ({ steps }) => {
    steps.forEach((step, index) => {
      expect(step.why.length * step.source.length, step.id).toBeGreaterThan(0);
      if (!step.when) return;
      const choice = steps.slice(0, index).find(({ id }) => id === step.when!.step);
      expect(choice?.act.type, step.id).toBe('choose');
    });
  });
});
