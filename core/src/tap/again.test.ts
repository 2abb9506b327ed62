import { describe, expect, it } from 'vitest';
import { protocolNamed, Script } from '../../test/script.ts';
import { testBegun, testRead } from '../fieldtests/index.ts';
import { gearChecked } from '../prepare/index.ts';
import { fold, formLines, sampleNow } from '../round/index.ts';
import { minute } from '../time/index.ts';
import { clockStarted, earliestFill, procedureOf, questionClock, readableFrom, stepDone, stepReopened, stoodFor } from './index.ts';

const visitOf = (book: Script) => fold(book.entries)!.visits.find(({ id }) => id === book.tap)!;
const runOf = (book: Script) => visitOf(book).runs[0]!;
const codes = (book: Script, now = book.now) => sampleNow(visitOf(book), runOf(book), now).reasons.map(({ code }) => code);
const misfits = (book: Script) => fold(book.entries)!.aside.map(({ misfit }) => misfit.code);

/** A test of free chlorine at the tap. */
function tested(book: Script, text: string) {
  const begun = book.atTap(testBegun, { method: 'free-chlorine-low' });
  const shown = { is: 'number' as const, reading: { text, unit: 'mg/L' as const } };
  book.atTap(testRead, { method: 'free-chlorine-low', test: begun.id, shown }, 0.25);
  return begun;
}

describe('a reading that is taken over', () => {
  it('is of the water that the step asks for: chlorine from before the bleach does not answer the step after it', () => {
    const after = protocolNamed('coliforms-distribution').steps.find(
      ({ act }) => act.type === 'measure' && act.stops.some(({ aboveStep }) => aboveStep !== undefined),
    )!.id;
    const book = new Script().plan().sampleTap({ before: after });
    const end = book.now;
    book.now = runOf(book).steps.find(({ step }) => step.id === 'residual')!.doneAt! - 2 * minute;
    const before = tested(book, '0.45');
    book.now = end;
    const now = runOf(book).now!.step;
    expect(now).toMatchObject({ id: after, act: { type: 'measure', parameter: 'freeChlorine' } });
    expect(readableFrom(runOf(book))).toBeGreaterThan(Date.parse(before.at.utc));
    const take = (test: string) =>
      book.atTap(stepDone, {
        procedure: 'coliforms-distribution',
        step: now.id,
        answer: { type: 'measure', reading: { text: '0.45', unit: 'mg/L' } },
        test,
      });
    take(before.id);
    expect(misfits(book)).toEqual(['read-before']);
    take(tested(book, '0.45').id);
    expect(misfits(book)).toEqual(['read-before']);
    expect(runOf(book).now?.step.id).not.toBe(now.id);
  });
});

describe('a run that goes back to a step', () => {
  const interrupted = () => {
    const book = new Script().plan(['lead']).sampleTap({ procedure: 'lead-timed', bottle: '261123A-MH1-L', before: 'standing' });
    const standing = runOf(book).now!.step;
    expect(standing.act).toMatchObject({ type: 'clock', restart: 'Somebody used water' });
    book.atTap(clockStarted, { procedure: 'lead-timed', step: standing.id });
    return { book, standing: standing.id };
  };

  it('says at the second restart that the sample will be a special one, and is routine again once the tap was flushed anew', () => {
    const { book, standing } = interrupted();
    expect(codes(book)).toEqual([]);
    for (const minutes of [28, 29, 5])
      book.atTap(clockStarted, { procedure: 'lead-timed', step: standing, reason: 'a toilet was flushed' }, minutes);
    // The half hour is still to come: by its end the flush is over an hour and a half ago.
    expect(earliestFill(runOf(book), book.now)).toBe(book.now + 30 * minute);
    expect(codes(book)).toEqual(['stale']);
    expect(sampleNow(visitOf(book), runOf(book), book.now).sample).toBe('special');
    const flush = runOf(book).steps.find(({ step }) => step.act.type === 'clock')!.step.id;
    book.atTap(stepReopened, { procedure: 'lead-timed', step: flush, reason: 'a toilet was flushed' });
    expect(runOf(book)).toMatchObject({ now: { step: { id: flush }, clockFrom: null } });
    expect(codes(book)).toEqual(['reopened']);
    expect(sampleNow(visitOf(book), runOf(book), book.now).sample).toBe('routine');
  });

  it('goes back to a wrong choice, and not once a bottle is filled', () => {
    const book = new Script().plan().sampleTap({ before: 'hands' });
    const procedure = procedureOf(protocolNamed('coliforms-distribution'));
    const [first] = runOf(book).steps;
    book.atTap(stepReopened, { procedure, step: 'fill', reason: 'never done' });
    book.atTap(stepReopened, { procedure, step: first!.step.id, reason: 'the wrong tap' });
    expect([misfits(book), runOf(book).now!.step.id]).toEqual([['not-closed'], first!.step.id]);
    const whole = new Script().plan().sampleTap();
    whole.atTap(stepReopened, { procedure, step: first!.step.id, reason: 'too late' });
    expect(misfits(whole)).toEqual(['filled']);
  });
});

describe('what a sample is', () => {
  it('is said at the tap as it will stand on the form: gear that is not so, before anything is filled', () => {
    const book = new Script().plan(['pfas533']);
    const protocol = protocolNamed('pfas-533-tap');
    const gear = visitOf(book).bottles.flatMap(({ card }) => card.gear ?? []);
    book.write(gearChecked, { gear: gear[0]!, isSo: false });
    book.start('pfas-533-tap');
    const before = sampleNow(visitOf(book), runOf(book), book.now);
    expect(before.reasons.map(({ code }) => code)).toContain('gear');
    expect(protocol.analysis).toBe('pfas533');
    expect(visitOf(book).sample).toBe(before.sample);
  });
});

describe('what is asked about the past', () => {
  it('is standing time for lead alone: unused before Legionella, or disinfected after a flood, is not', () => {
    const legionella = new Script().plan(['legionella']).sampleTap({ procedure: 'legionella-pre-flush', bottle: '261123A-MH1-LG' });
    expect(stoodFor(runOf(legionella), legionella.now)).toBeNull();
    expect(formLines(fold(legionella.entries)!).map(({ stagnation }) => stagnation)).toEqual(['not-needed']);
    const lead = new Script().plan(['lead']).sampleTap({ procedure: 'lead-first-litre', bottle: '261123A-MH1-L' });
    expect(formLines(fold(lead.entries)!).map(({ stagnation }) => typeof stagnation)).toEqual(['number']);
  });

  it('is whether a clock without an end was forgotten: two days of flushing are asked about', () => {
    const book = new Script().plan().sampleTap({ before: 'flush' });
    const started = Date.parse(book.atTap(clockStarted, { procedure: 'coliforms-distribution', step: 'flush' }).at.utc);
    const asked = (minutes: number) => questionClock(runOf(book).now!, started + minutes * minute).map(({ code }) => code);
    expect([asked(2), asked(40), asked(60 * 60)]).toEqual([[], [], ['clock-forgotten']]);
  });
});

it('takes no number in a unit of something else, and dies of none', () => {
  const book = new Script().plan().sampleTap({ before: 'residual' });
  book.done('residual', { type: 'measure', reading: { text: '0.45', unit: 'degC' } });
  expect(misfits(book)).toEqual(['other-unit']);
});
