import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answerTo as careful, Script, tapPoint, wellPoint } from '../../test/script.ts';
import { fold, foresee, formLines } from '../round/index.ts';
import { newId, type Entry } from '../book/index.ts';
import type { AnalysisId } from '../bottles/index.ts';
import { bottleFilled } from '../fill/index.ts';
import { traitIds, type Point, type TapPoint } from '../registers/index.ts';
import type { Typed } from '../units/index.ts';
import {
  departs,
  effectOf,
  isConstant,
  mayRunAt,
  misfitAnswer,
  mayFollow,
  misfitBlank,
  saysBlank,
  stepDone,
  procedureOf,
  proceduresFor,
  protocols,
  questionStep,
  runGivenUp,
  runStarted,
  runState,
  sampleReasons,
  saySample,
  spoiltBy,
  stepsAt,
  stepsFor,
  stopsOf,
  type Protocol,
  type RunBook,
  type RunState,
  type RunStep,
  type Step,
  type StepAnswer,
} from './index.ts';
import { pfas533Tap2 } from './tables/organics.ts';

/** A step that is asked now, and nothing said to it yet. */
const nowAt = (step: Step): RunStep => ({
  step,
  state: 'now',
  clockFrom: null,
  clockBackdated: 0,
  restarts: [],
  doneAt: null,
  entry: null,
  answer: null,
  departure: null,
  test: null,
  stops: [],
});
const named = (id: string) => protocols.newest.find((one) => one.id === id)!;
const degrees = (text: string): Typed => ({ text, unit: 'degC' });

/** Everything that can be said to a step: the careful answer first, then each way to do otherwise. Without an answer it is left out. */
function waysThrough(step: Step, residual: string): { answer: StepAnswer | null; isDeparture: boolean }[] {
  const { act } = step;
  const good = { answer: careful(step, residual), isDeparture: false };
  const left = step.isNeeded ? [] : [{ answer: null, isDeparture: true }];
  switch (act.type) {
    case 'checks':
      return [
        good,
        ...left,
        ...act.items.map(({ id }) => ({
          answer: { type: 'checks' as const, yes: act.items.map((one) => one.id).filter((one) => one !== id), no: [id] },
          isDeparture: true,
        })),
      ];
    case 'choose':
      return [...act.options.map(({ id }) => ({ answer: { type: 'choose' as const, option: id }, isDeparture: false })), ...left];
    case 'measure':
      return [
        good,
        ...['0', '0.3', '7', '60'].map((text) => ({
          answer: { type: 'measure' as const, reading: { text, unit: act.unit } },
          isDeparture: false,
        })),
        ...left,
      ];
    case 'since':
      return [good, { answer: { type: 'since', lasted: { text: '0', unit: 'h' } }, isDeparture: false }, ...left];
    case 'times':
      return [good, { answer: { type: 'times', times: 0 }, isDeparture: true }, ...left];
    // Cut short, or not constant.
    default:
      return [good, { answer: good.answer, isDeparture: true }, ...left];
  }
}

/** What chlorine is where all is well. */
const carefulResidual = ({ tap }: TapPoint) => (tap.residualMinimum === null ? '0' : '0.45');

/** A run of a protocol in which `pick` says which way through each step is gone. */
function walk(protocol: Protocol, point: TapPoint, pick: (step: Step, ways: number) => number): RunState {
  const start = { at: 0, protocol: protocol.id, edition: protocol.edition, entry: 'e' };
  let book: RunBook = { procedure: procedureOf(protocol), start, given: new Map(), clocks: new Map(), givenUp: null };
  for (;;) {
    const run = runState(book, point)!;
    if (!run.now) return run;
    const { step } = run.now;
    const ways = waysThrough(step, carefulResidual(point));
    const { answer, isDeparture } = ways[pick(step, ways.length)]!;
    const given = { entry: step.id, at: 0, departure: isDeparture ? 'why' : null, answer };
    book = { ...book, given: new Map(book.given).set(step.id, given) };
  }
}

/** What a run has to be, told from what was answered and nothing else. */
function worstOf({ steps }: RunState, point: TapPoint): 'routine' | 'special' | 'invalid' {
  const answers = new Map(steps.flatMap(({ step, answer }) => (answer ? [[step.id, answer] as const] : [])));
  const all = steps.flatMap(({ step, answer, departure }): string[] => [
    ...(departure === null ? [] : [effectOf(step, answer, point)]),
    ...(answer ? stopsOf(step, answer, point, answers).map(({ outcome }) => (outcome === 'abandoned' ? 'special' : outcome)) : []),
  ]);
  return all.includes('invalid') ? 'invalid' : all.includes('special') ? 'special' : 'routine';
}

const said40 = fc.array(fc.nat(11), { minLength: 40, maxLength: 40 });
const disinfection = fc.constantFrom(undefined, 'free-chlorine' as const, 'chloramine' as const, 'temporary' as const);
const atTap = protocols.newest.filter(({ at = ['tap'] }) => at.includes('tap'));
const pointFor = ({ where = {} }: Protocol): TapPoint => {
  const origin = where.origins?.[0] ?? 'network';
  const kind = where.kinds?.[0] ?? tapPoint.kind;
  return origin === 'network'
    ? { ...tapPoint, kind }
    : { ...tapPoint, kind, water: origin, tap: { ...tapPoint.tap, residualMinimum: null } };
};

describe.each(atTap.map((protocol) => [protocol.id, protocol] as const))('%s', (_, protocol) => {
  const point = pointFor(protocol);

  it('takes a routine sample of a careful person, by every choice it offers', () => {
    const choices = protocol.steps.filter(({ act }) => act.type === 'choose');
    const most = Math.max(1, ...choices.map(({ act }) => (act.type === 'choose' ? act.options.length : 0)));
    for (let option = 0; option < most; option++) {
      const run = walk(protocol, point, (step, ways) =>
        step.act.type === 'choose' ? Math.min(option, ways - 1 - (step.isNeeded ? 0 : 1)) : 0,
      );
      expect([run.sample, run.abandoned]).toEqual(['routine', false]);
    }
  });

  it('says what one departure makes of the sample, whichever step it is at', () => {
    for (const departing of protocol.steps)
      for (let way = 1; way < waysThrough(departing, '0.45').length; way++) {
        const run = walk(protocol, point, (step, ways) => (step.id === departing.id ? Math.min(way, ways - 1) : 0));
        expect(run.sample, `${departing.id} ${way}`).toBe(worstOf(run, point));
        // Whatever makes less of it is said beside the bottle.
        if (run.sample !== 'routine') expect(sampleReasons(run, null).some(({ makes }) => makes === run.sample)).toBe(true);
      }
  });

  it('never ends as a routine sample after something that spoils it, by whatever way', () => {
    fc.assert(
      fc.property(said40, fc.constantFrom(0.2, null), fc.subarray([...traitIds]), disinfection, (said, residualMinimum, traits, by) => {
        const here: TapPoint = { ...point, traits, ...(by ? { disinfection: by } : {}), tap: { ...point.tap, residualMinimum } };
        let place = 0;
        // Two of three steps are done with care: else no path comes far.
        const run = walk(protocol, here, (_step, ways) => {
          const one = said[place++ % said.length]!;
          return one < 8 ? 0 : one % ways;
        });
        expect(run.sample).toBe(worstOf(run, here));
      }),
      { numRuns: 150 },
    );
  });

  it('has steps of names of their own, with a source each, and conditions on choices before them', () => {
    const ids = protocol.steps.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const [place, { source, when, act }] of protocol.steps.entries()) {
      expect(source).not.toBe('');
      if (!when) continue;
      const asked = protocol.steps.slice(0, place).find(({ id }) => id === when.step)!.act;
      const options = asked.type === 'choose' ? asked.options.map(({ id }) => id) : [];
      expect(options, act.type).toEqual(expect.arrayContaining([...when.chosen]));
    }
    const fills = protocol.steps.flatMap(({ act }) => (act.type === 'fill' ? [act.analysis] : []));
    expect([fills.length > 0, new Set(fills).size]).toEqual([true, fills.length]);
  });
});

describe('ways to run a procedure', () => {
  it('are those for the point: at a shower never after flushing', () => {
    const ways = (kind: TapPoint['kind']) =>
      proceduresFor(['legionella'], { ...tapPoint, kind }, '2026-11-23').map(({ id, ways: all }) => [id, all.map((one) => one.id)]);
    expect(ways('house-tap')).toEqual([['legionella', ['legionella-pre-flush', 'legionella-post-flush', 'legionella-outbreak']]]);
    expect(ways('shower')).toEqual([['legionella', ['legionella-shower']]]);
    expect(mayRunAt(named('legionella-post-flush'), { ...tapPoint, kind: 'shower' })).toBe(false);
    expect(mayRunAt(named('legionella-pre-flush'), wellPoint)).toBe(false);
    expect(proceduresFor(['lead'], tapPoint, '2026-11-23').map(({ ways: all }) => all.map(({ id }) => id))).toEqual([
      ['lead-timed', 'lead-first-litre', 'lead-fifth-litre', 'lead-random'],
    ]);
  });

  it('stand under the procedure whose bottles they fill; a way of another stands aside', () => {
    const book = new Script().plan(['lead', 'legionella']);
    const start = (procedure: string, protocol: string) =>
      book.atTap(runStarted, { procedure, protocol, edition: named(protocol).edition });
    start('legionella', 'lead-random');
    // One that only a newer copy knows is kept.
    const newer = new Script().plan(['legionella']);
    newer.atTap(runStarted, { procedure: 'legionella', protocol: 'legionella-swab', edition: '2027-1' });
    const kept = fold(newer.entries)!;
    expect([kept.aside, kept.visits.find(({ id }) => id === newer.tap)!.unknownRuns.map(({ procedure }) => procedure)]).toEqual([
      [],
      ['legionella'],
    ]);
    // The first water first.
    start('lead-timed', 'lead-first-litre');
    start('legionella', 'legionella-pre-flush');
    const round = fold(book.entries)!;
    expect(round.aside.map(({ misfit }) => misfit.code)).toEqual(['other-way', 'run-order']);
    expect(round.visits.find(({ id }) => id === book.tap)!.runs.map(({ procedure, protocol }) => [procedure, protocol.id])).toEqual([
      ['legionella', 'legionella-pre-flush'],
    ]);
  });

  it('stand on the form beside what is asked for, and nothing does where there is one way', () => {
    const requests = (analysis: 'lead' | 'coliforms', procedure: string, bottle: string) =>
      formLines(fold(new Script().plan([analysis]).sampleTap({ procedure, bottle }).entries)!).find((line) => line.bottle.id === bottle)!
        .requests;
    expect(requests('lead', 'lead-random', '261123A-MH1-L')).toEqual(['Lead and copper at the tap', 'Lead, a litre at random in the day']);
    expect(requests('coliforms', 'coliforms-as-drunk', '261123A-MH1-B')).toEqual(['Coliforms + E. coli', 'Coliforms, as people drink it']);
  });

  it('are asked of no round of a day before there were any: its books read as they always did', () => {
    expect(proceduresFor(['legionella', 'trihalomethanes'], tapPoint, '2026-11-22')).toEqual([]);
    expect(proceduresFor(['lead'], tapPoint, '2026-11-22').map(({ ways }) => ways.map(({ id }) => id))).toEqual([['lead-timed']]);
    // A bottle that was filled freely then, before the bacteria of the same tap.
    const book = new Script();
    book.plan(['coliforms', 'legionella']);
    const planned = book.entries[0] as Entry<string, { date: string }>;
    book.entries[0] = { ...planned, payload: { ...planned.payload, date: '2026-11-20' } };
    book.atTap(bottleFilled, { bottle: '261123A-MH1-LG' });
    book.sampleTap();
    expect(fold(book.entries)!.aside).toEqual([]);
  });

  it('of lead say what the hours before make of the sample', () => {
    const litre = named('lead-first-litre').steps.find(({ id }) => id === 'stood')!;
    const stops = (text: string, unit: 'h' | 'min') =>
      stopsOf(litre, { type: 'since', lasted: { text, unit } }, tapPoint).map(({ outcome }) => outcome);
    // 40 CFR 141.86(b): at least six hours.
    expect([stops('6', 'h'), stops('360', 'min'), stops('5.9', 'h')]).toEqual([[], [], ['special']]);
    const random = named('lead-random').steps.find(({ id }) => id === 'not-run')!;
    expect(effectOf(random, { type: 'checks', yes: ['working-hours'], no: ['nothing-run'] }, tapPoint)).toBe('invalid');
  });

  it('of bacteria are those of the water: of a network, of a source, of somebody’s own', () => {
    const ways = (point: Partial<TapPoint>) =>
      proceduresFor(['coliforms'], { ...tapPoint, ...point }, '2026-11-23').flatMap(({ ways: all }) => all.map(({ id }) => id));
    expect(ways({})).toEqual(['coliforms-distribution', 'coliforms-outlet-first', 'coliforms-at-the-tap', 'coliforms-as-drunk']);
    for (const raw of [{ kind: 'raw-tap' }, { kind: 'spring' }, { kind: 'outlet', water: 'raw' }] as const)
      expect(ways(raw)).toEqual(['coliforms-raw']);
    expect(ways({ kind: 'spring', water: 'treated' })).toContain('coliforms-distribution');
    expect(ways({ water: 'private' })).toEqual(['private-near-well', 'private-drunk', 'private-flood']);
  });

  it('of somebody’s own ask first whether it is untreated surface water, where the register does not say', () => {
    // Surface water may be sampled for drinking after treatment only (common practice of public-health offices).
    for (const id of ['private-near-well', 'private-drunk', 'private-flood']) {
      const protocol = named(id);
      const point = (source?: Point['source']) => ({ ...tapPoint, water: 'private', source }) as TapPoint;
      const asks = (source?: Point['source']) => stepsFor(protocol, point(source)).some((step) => step.id === 'source');
      expect(
        [undefined, 'surface', 'under-surface-influence', 'groundwater'].map((one) => asks(one as Point['source'])),
        id,
      ).toEqual([true, true, true, false]);
      const step = stepsFor(protocol, point()).find((one) => one.id === 'source')!;
      const no = { type: 'checks' as const, yes: [], no: ['no-untreated-surface'] };
      expect(
        stopsOf(step, no, point()).map(({ outcome }) => outcome),
        id,
      ).toEqual(['abandoned']);
      expect(stopsOf(step, { type: 'checks', yes: ['no-untreated-surface'], no: [] }, point())).toEqual([]);
    }
    // After a flood the current comes first.
    expect(
      named('private-flood')
        .steps.slice(0, 2)
        .map(({ id }) => id),
    ).toEqual(['safe', 'source']);
  });

  it('an earlier edition had for a point stay ways there', () => {
    const book = new Script().plan(['coliforms'], {
      visits: [{ id: newId(0), point: { ...tapPoint, kind: 'raw-tap' }, analyses: ['coliforms'] }],
    });
    const { id } = fold(book.entries)!.visits[0]!;
    book.write(runStarted, { procedure: 'coliforms-distribution', protocol: 'coliforms-distribution', edition: '2026-2' }, { at: id });
    const round = fold(book.entries)!;
    expect([round.aside, round.visits[0]!.runs[0]!.protocol.edition]).toEqual([[], '2026-2']);
  });

  it('ride along where another protocol flushes the tap, and are run where none does', () => {
    const asked = (...analyses: AnalysisId[]) => proceduresFor(analyses, tapPoint, '2026-11-24').map(({ id }) => id);
    expect(asked('metals', 'nutrients')).toEqual(['chemistry-tap']);
    expect(asked('metals', 'coliforms')).toEqual(['coliforms-distribution']);
    expect(proceduresFor(['metals'], tapPoint, '2026-11-23')).toEqual([]);
    expect(proceduresFor(['coliforms'], wellPoint, '2026-11-24').map(({ id }) => id)).toEqual(['coliforms-well']);
  });

  it('of Legionella let hot water run a minute and cold two', () => {
    const clock = (option: number) => {
      const run = walk(named('legionella-pre-flush'), tapPoint, (step) => (step.id === 'water' ? option : 0));
      return run.steps.flatMap(({ step: { act } }) => (act.type === 'clock' ? [act.least] : []));
    };
    expect([clock(0), clock(1), clock(2)]).toEqual([[60], [120], [60]]);
  });
});

describe('a run that came to nothing', () => {
  const again = (book: Script) => misfitIn(book.entries, book.make(runStarted, start('coliforms-as-drunk'), book.tap));
  const start = (protocol: string) => ({ procedure: 'coliforms-distribution', protocol, edition: named(protocol).edition });
  const misfitIn = (entries: readonly Entry[], entry: Entry) => foresee(entries, entry).misfit?.code ?? null;

  it('is begun again, by another way too, while its bottle is empty; what came before is told beside it', () => {
    const book = new Script().plan();
    book.start();
    expect(again(book)).toBe('run-started');
    book.atTap(runGivenUp, { procedure: 'coliforms-distribution', reason: 'the tap fell off' });
    expect(again(book)).toBeNull();
    book.sampleTap({ procedure: 'coliforms-as-drunk' });
    const visit = fold(book.entries)!.visits.find(({ id }) => id === book.tap)!;
    expect(visit.runs.map(({ protocol, finished }) => [protocol.id, finished])).toEqual([['coliforms-as-drunk', true]]);
    expect(visit.bottles[0]!.sample).toBe('routine');
    expect(visit.bottles[0]!.reasons.map(saySample)).toEqual([
      'Begun anew: “Coliforms, distribution” had come to nothing. the tap fell off',
    ]);
  });

  it('is so by a stop as well, and not once its bottle was filled', () => {
    const book = new Script().plan();
    const { steps } = book.start();
    const fitness = steps.find(({ id }) => id === 'fitness')!;
    const no = { type: 'checks' as const, yes: ['outlet-down', 'in-use'], no: ['no-treatment'] };
    book.done(fitness.id, no, 'a filter that cannot be bypassed');
    expect(again(book)).toBeNull();
    const filled = new Script().plan().sampleTap({ before: 'cold' });
    filled.atTap(runGivenUp, { procedure: 'coliforms-distribution', reason: 'called away' });
    expect(again(filled)).toBe('run-started');
  });
});

describe('what a step asks about', () => {
  it('is warm water at a cold tap, as well as what is unusual anywhere', () => {
    const step = stepsAt(named('coliforms-distribution'), tapPoint, new Map()).find(({ id }) => id === 'temperature')!;
    const codes = (text: string) => questionStep(step, { type: 'measure', reading: degrees(text) }).map(({ code }) => code);
    expect([codes('17'), codes('26'), codes('31')]).toEqual([[], ['asked-above'], ['unusual', 'asked-above']]);
  });

  // HSG274 Part 2: hot water over 50 °C after a minute, cold under 20 °C after two (from memory).
  it.each([
    ['hot', 'legionella-post-flush', ['55', '62', '45'], ['17', '30', '80']],
    ['cold', 'legionella-post-flush', ['14', '22'], ['31', '52']],
    ['mixed', 'legionella-post-flush', ['38', '45'], ['12']],
    [null, 'legionella-tank', ['52', '12', '65'], ['90']],
  ] as const)('is a temperature that is unusual for the water that comes: %s', (water, id, fine, odd) => {
    const protocol = named(id);
    const step = protocol.steps.find((one) => one.id === 'temperature')!;
    const steps = protocol.steps.map((one) => ({
      step: one,
      answer: one.id === 'water' && water ? { type: 'choose' as const, option: water } : null,
    }));
    const asks = (text: string) => questionStep(step, { type: 'measure', reading: degrees(text) }, { protocol, steps }).length > 0;
    expect([fine.map(asks), odd.map(asks)]).toEqual([fine.map(() => false), odd.map(() => true)]);
  });
});

describe('tests that meet at one tap', () => {
  const spoils = (protocol: string, book: Script) =>
    spoiltBy(named(protocol), fold(book.entries)!.visits.find(({ id }) => id === book.tap)!.due).map(({ title }) => title);

  it('are told apart before one of them spoils another: what disinfects, and what bleach makes or takes away', () => {
    const book = new Script().plan(['legionella', 'trihalomethanes', 'lead']);
    expect(spoils('legionella-post-flush', book)).toEqual(['Trihalomethanes at a tap']);
    expect(spoils('legionella-pre-flush', book)).toEqual([]);
  });

  it('are spoilt no more once nothing is left of them to be taken', () => {
    const book = new Script().plan(['trihalomethanes', 'coliforms']);
    expect(spoils('coliforms-distribution', book)).toEqual(['Trihalomethanes at a tap']);
    book.start('trihalomethanes-tap');
    book.atTap(runGivenUp, { procedure: 'trihalomethanes-tap', reason: 'one vial broke' });
    expect(spoils('coliforms-distribution', book)).toEqual([]);
  });
});

describe('what a point is', () => {
  const steps = (point: Partial<TapPoint>) => stepsAt(named('coliforms-distribution'), { ...tapPoint, ...point }, new Map());
  const ids = (point: Partial<TapPoint>) => steps(point).map(({ id }) => id);

  it('makes a dead end run longer, until the temperature holds', () => {
    expect(ids({})).toEqual(expect.arrayContaining(['flush', 'temperature']));
    expect(ids({ traits: ['dead-end'] })).toEqual(expect.arrayContaining(['flush-dead-end', 'temperature-holds']));
    expect(ids({ traits: ['dead-end'] })).not.toContain('flush');
  });

  it('has total chlorine measured where chloramine disinfects, with a least and a most', () => {
    const residual = steps({ disinfection: 'chloramine' }).find(({ id }) => id.startsWith('residual'))!;
    const says = (text: string) =>
      stopsOf(residual, { type: 'measure', reading: { text, unit: 'mg/L' } }, tapPoint).map(({ outcome }) => outcome);
    expect([residual.id, says('0.1'), says('1.8'), says('4.2')]).toEqual(['residual-total', ['special'], [], ['special']]);
    expect(ids({ disinfection: 'chloramine' })).not.toContain('residual');
    expect(ids({ disinfection: 'temporary' })[0]).toBe('temporary');
  });

  it('takes the flame away where the outlet bears none, whoever asks for it', () => {
    const disinfect = steps({ traits: ['no-flame'] }).find(({ id }) => id === 'disinfect')!;
    expect(misfitAnswer(disinfect, { type: 'choose', option: 'flame' })).toMatchObject({ code: 'no-such-option' });
    expect(misfitAnswer(disinfect, { type: 'choose', option: 'alcohol' })).toBeNull();
  });

  it('makes chlorine in raw water spoil the sample', () => {
    const raw: TapPoint = { ...tapPoint, kind: 'raw-tap', tap: { ...tapPoint.tap, residualMinimum: null } };
    const residual = stepsAt(named('coliforms-raw'), raw, new Map()).find(({ id }) => id === 'residual')!;
    const says = (text: string) => stopsOf(residual, { type: 'measure', reading: { text, unit: 'mg/L' } }, raw).map((one) => one.outcome);
    expect([says('0.02'), says('0.4')]).toEqual([[], ['invalid']]);
  });
});

describe('what is counted', () => {
  it('departs from the protocol when it was done too few times', () => {
    const { steps } = named('pfas-533-tap');
    const step = steps.find(({ id }) => id === 'shake')!;
    const run = nowAt(step);
    expect(departs(run, { type: 'times', times: 4 }, 0)).toMatchObject({ code: 'too-few-times', data: { least: 5, times: 4 } });
    expect(departs(run, { type: 'times', times: 6 }, 0)).toBeNull();
  });
});

describe('what is measured until it is constant', () => {
  const act = { type: 'constant', parameter: 'temperature', unit: 'degC', within: 0.2, count: 3 } as const;
  const step: Step = { id: 'constant', say: 'Measure', why: '', source: 'x', departed: 'special', act };
  const now = nowAt(step);
  const answer = (...texts: string[]): StepAnswer => ({ type: 'constant', readings: texts.map(degrees) });

  it('is so once the last readings lie within the width, whatever was before and in whatever unit', () => {
    expect(isConstant(act, ['22', '18.1', '18.0', '17.9'].map(degrees))).toBe(true);
    expect(isConstant(act, ['18.1', '18.0'].map(degrees))).toBe(false);
    expect(isConstant(act, ['18.2', '18.0', '17.9'].map(degrees))).toBe(false);
    expect(isConstant(act, [{ text: '64.4', unit: 'degF' }, degrees('18.0'), degrees('18.1')])).toBe(true);
  });

  it('is a departure with a reason while it is not, and refuses what no water has', () => {
    expect(departs(now, answer('19', '18.4', '18'), 0)).toMatchObject({ code: 'not-constant' });
    expect(departs(now, answer('19', '18.1', '18', '18.1'), 0)).toBeNull();
    expect(misfitAnswer(step, answer('18', '180'))).toMatchObject({ code: 'cannot-be', field: 'payload.answer.readings.1' });
    expect(misfitAnswer(step, { type: 'confirm' })).toMatchObject({ code: 'other-answer' });
  });
});

it('nobody swears to a field blank that is not planned, or still empty', () => {
  const step = protocols.newest.find(({ id }) => id === 'pfas-533-tap')!.steps.find(({ id }) => id === 'before')!;
  const items = step.act.type === 'checks' ? step.act.items.map(({ id }) => id) : [];
  const answered = (no: string[]) => ({ type: 'checks' as const, yes: items.filter((id) => !no.includes(id)), no });
  const said = (bottles: ReturnType<Parameters<typeof misfitBlank>[2]>, no: string[] = []) =>
    misfitBlank(step, answered(no), () => bottles)?.code ?? null;
  const blank = (state: string) => [{ purpose: 'field-blank' as const, state }];
  expect([said([]), said([{ purpose: 'sample', state: 'filled' }]), said(blank('empty')), said(blank('discarded'))]).toEqual([
    'blank-not-planned',
    'blank-not-planned',
    'blank-not-filled',
    'blank-not-filled',
  ]);
  expect([said(blank('filled')), said([], ['blank'])]).toEqual([null, null]);
  // On the page that is said of the first editions too; the book judges those as it did.
  const first = pfas533Tap2.steps.find(({ id }) => id === 'before')!;
  expect([misfitBlank(first, answered([]), () => [], saysBlank)?.code, misfitBlank(first, answered([]), () => [])]).toEqual([
    'blank-not-planned',
    null,
  ]);
});

it('an oath to an empty field blank does not stand in the book, whatever page wrote it', () => {
  const book = new Script().plan(['pfas533']).sampleTap({ procedure: 'pfas-533-tap', before: 'before' });
  const yes = ['supplier', 'blank', 'no-foreign', 'gloves'];
  const done = book.atTap(stepDone, { procedure: 'pfas-533-tap', step: 'before', answer: { type: 'checks', yes, no: [] } });
  expect(fold(book.entries)!.aside.map(({ entry, misfit }) => [entry.id, misfit.code])).toEqual([[done.id, 'blank-not-planned']]);
});

it('an outbreak has its way wherever Legionella is sampled: at showers, tanks and surfaces as well', () => {
  const titles = (kind: TapPoint['kind'], date: string) =>
    proceduresFor(['legionella'], { ...tapPoint, kind }, date).flatMap(({ ways }) => ways.map(({ title }) => title));
  for (const kind of ['shower', 'tank', 'surface', 'house-tap'] as const) {
    expect(
      titles(kind, '2026-12-01').filter((title) => title.includes('outbreak')),
      kind,
    ).toHaveLength(1);
    expect(titles(kind, '2026-12-01').length, kind).toBeGreaterThan(1);
  }
  // What was planned before keeps the ways of its day.
  expect(titles('shower', '2026-11-24')).toEqual(['Legionella at a shower']);
});

it('a way is proposed after the one before only where none of them is for what has happened at a place', () => {
  const waysAt = (analysis: AnalysisId, kind: TapPoint['kind'], more: Partial<TapPoint> = {}) =>
    proceduresFor([analysis], { ...tapPoint, kind, ...more }, '2026-12-01').find(({ ways }) => ways.length > 1)!.ways;
  expect(mayFollow(waysAt('coliforms', 'house-tap'))).toBe(true);
  expect(mayFollow(waysAt('legionella', 'shower'))).toBe(false);
  expect(mayFollow(waysAt('coliforms', 'outside-tap', { water: 'private', disinfection: 'none' }))).toBe(false);
});

it('no protocol that is run now sends anybody to the book to strike a choice: one goes back to it', () => {
  const says = protocols.newest.filter((one) => JSON.stringify(one).includes('Strike the choice')).map(({ id }) => id);
  expect(says).toEqual([]);
  expect(JSON.stringify(named('coliforms-distribution'))).toContain('Go back to the choice');
  // Rounds of before are judged and shown by the words of their own edition.
  expect(JSON.stringify(protocols.find('coliforms-distribution@2026-3'))).toContain('Strike the choice');
});
