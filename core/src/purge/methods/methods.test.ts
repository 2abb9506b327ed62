import { describe, expect, it } from 'vitest';
import { levelAtRest } from '../../../test/at-the-well-bench.ts';
import { Script, wellPoint } from '../../../test/script.ts';
import { belowMark, OwnCriterion } from '../../registers/index.ts';
import { minute } from '../../time/index.ts';
import type { AnyKind } from '../../book/index.ts';
import { questionEnd, questionFlow, questionPumpingLevel, questionSet, questionSetUp } from '../question.ts';
import {
  classicDrawdown,
  classicFlow,
  flowTimed,
  PurgeChoice,
  pumpingLevelRead,
  pumpSwitched,
  purgeDecided,
  purgeEnded,
  purgeMethod,
  purgeMethodIds,
  purgeReading,
  purgeReasons,
  purgeRoom,
  purgeSetUp,
  refOfOwn,
  purgeState,
  sayCondition,
  suctionLift,
} from '../index.ts';

const level = levelAtRest;
const metres = (text: string) => ({ text, unit: 'm' as const });
const judged = { criterion: 'two-sets@2026-3', parameters: ['temperature', 'ph', 'oxygen'] };
const tubing = { tubing: metres('20'), tubingInside: { text: '6', unit: 'mm' }, cellHolds: { text: '500', unit: 'mL' } };
const choices = {
  volumes: { method: 'volumes', insideDiameter: { text: '52', unit: 'mm' }, volumes: 3, ...judged },
  'low-flow': { method: 'low-flow', ...tubing, mostDrawdown: metres('0.10'), intake: metres('15'), pump: 'bladder', ...judged },
  'steady-level': { method: 'steady-level', ...tubing, ...judged },
  dry: { method: 'dry', recover: 80, parameters: ['ph'] },
  running: { method: 'running', ranBefore: true, ...judged },
  none: { method: 'none', reason: 'passive sampler hangs in the screen' },
} as unknown as Record<string, PurgeChoice>;

/** A purge at the well, minute by minute. */
function purging(choice: PurgeChoice) {
  const script = new Script();
  let book = purgeRoom.empty;
  const around = { point: wellPoint, level };
  const write = (kind: AnyKind, payload: unknown, minutes = 1) => {
    const entry = script.atWell(kind as never, payload, minutes);
    const misfit = purgeRoom.fits(book, entry, around);
    if (!misfit) book = purgeRoom.advance(book, entry, around);
    return misfit?.code ?? null;
  };
  const set = (ph: string, more: object = {}, minutes = 5) =>
    write(
      purgeReading,
      {
        values: { temperature: { text: '15.0', unit: 'degC' }, ph: { text: ph, unit: 'pH' }, oxygen: { text: '4.00', unit: 'mg/L' } },
        ...more,
      },
      minutes,
    );
  const setUp = write(purgeSetUp, choice);
  return {
    setUp,
    write,
    set,
    flow: (caught: string, ...took: string[]) =>
      write(flowTimed, { timings: took.map((one) => ({ caught: { text: caught, unit: 'mL' }, took: { text: one, unit: 's' } })) }),
    level: (text: string, minutes = 1) => write(pumpingLevelRead, { level: metres(text) }, minutes),
    pump: (pump: string, minutes = 1) => write(pumpSwitched, { pump }, minutes),
    end: (payload: object, minutes = 1) => write(purgeEnded, payload, minutes),
    state: () => purgeState(book, wellPoint, level),
    now: () => script.now,
  };
}

it('each method takes what it asks for and nothing of another', () => {
  for (const id of purgeMethodIds) {
    expect(PurgeChoice.safeParse(choices[id]).error?.issues ?? [], id).toEqual([]);
    expect(purging(choices[id]!).setUp, id).toBeNull();
  }
  expect(PurgeChoice.parse({ ...choices['running'], volumes: 3 })).not.toHaveProperty('volumes');
});

it('a level at the intake draws air while the pump runs, and none while the well recovers', () => {
  const purge = purging(choices['low-flow']!);
  const asks = (depth: number) => questionPumpingLevel(depth, purge.state(), level).map(({ code }) => code);
  purge.pump('on');
  expect(asks(15.2)).toEqual(['level-at-intake']);
  expect(asks(level.depth - 0.1)).toEqual(['level-rose']);
  // A centimetre is what a tape tells.
  expect([asks(level.depth - 0.0098), asks(level.depth - 0.0105)]).toEqual([[], ['level-rose']]);
  purge.pump('ran-dry');
  expect(asks(15.2)).toEqual([]);
  expect(asks(level.depth - 0.1)).toEqual(['above-rest']);
});

describe('low flow', () => {
  it('counts by one number where the drive train is known as one', () => {
    const whole = {
      ...choices['low-flow']!,
      tubing: undefined,
      tubingInside: undefined,
      cellHolds: undefined,
      holdsInAll: { text: '950', unit: 'mL' },
    };
    const parsed = PurgeChoice.parse(JSON.parse(JSON.stringify(whole)));
    const aim = purgeMethod('low-flow').aim(parsed, wellPoint, null)!;
    expect([aim.of, aim.oneVolume.value]).toEqual(['drive-train', 0.95e-3]);
    const neither = PurgeChoice.safeParse(JSON.parse(JSON.stringify({ ...whole, holdsInAll: undefined })));
    expect(neither.error?.issues.map(({ path }) => path.join('.'))).toEqual(['tubing', 'tubingInside']);
  });

  it('counts by what pump, tubing and cell hold', () => {
    // Geometry: π/4 · 6² mm² · 20 m = 565.5 mL, and the cell of 500 mL.
    const { aim } = purging(choices['low-flow']!).state().setUp!;
    expect(aim).toMatchObject({ of: 'drive-train', oneVolume: { value: expect.closeTo(1.0655e-3, 7) as number } });
  });

  it('is done once the drive train is out, the level holds and the readings too', () => {
    const purge = purging(choices['low-flow']!);
    purge.pump('on');
    purge.flow('250', '60');
    expect(purge.set('7.00', {}, 1)).toBeNull();
    const said = () => purge.state().conditions.map((one) => [one.code, one.met]);
    expect(said()).toEqual([
      ['drive-train-out', false],
      ['level-read', false],
    ]);
    purge.level('7.48');
    purge.set('7.00');
    purge.set('7.00');
    // Pumped by flow and time: 250 mL/min for 13 min since the pump was put on.
    expect(purge.state().sets.at(-1)!.pumped).toBeCloseTo(3.25e-3, 9);
    expect(purge.state()).toMatchObject({ ready: true, drawdown: expect.closeTo(0.08, 9) as number });
    purge.level('7.52');
    expect(purge.state().ready).toBe(false);
    expect(
      purge
        .state()
        .conditions.filter(({ met }) => !met)
        .map(sayCondition),
    ).toEqual(['Drawdown 0.120 m, 0.100 m at most']);
    // Pumped slower, the level comes back; what it did before counts no more once other sets agree.
    purge.level('7.47');
    expect(purge.state().ready).toBe(false);
    purge.set('7.00');
    purge.set('7.00');
    expect(purge.state()).toMatchObject({ ready: true, drawdown: expect.closeTo(0.12, 9) as number });
  });

  it('proves nothing by what is read before the water of the well is there, however steady', () => {
    const purge = purging(choices['low-flow']!);
    purge.pump('on');
    purge.flow('100', '60');
    purge.level('7.41');
    for (let set = 0; set < 2; set++) purge.set('7.00', {}, 3);
    // 0.8 L at 100 mL/min: pump, tubing and cell hold 1.07 L.
    expect(purge.state()).toMatchObject({ ready: false, proving: [], stability: { stable: false } });
    purge.set('7.00', {}, 11);
    purge.set('7.00', {}, 11);
    expect(purge.state()).toMatchObject({ ready: true });
    expect(purge.state().proving).toHaveLength(2);
  });

  it('reads once a drive train where that takes longer than the criterion asks for', () => {
    const purge = purging(choices['low-flow']!);
    purge.pump('on');
    // Nobody knows yet how long it takes.
    expect(purge.state().clock).toBeNull();
    purge.flow('100', '30', '30');
    const minutes = () => (purge.state().clock!.until - purge.state().clock!.from) / 60_000;
    // 1.0655 L at 200 mL/min: 5.33 min, for the first set as for the next.
    expect(minutes()).toBeCloseTo(5.327, 3);
    purge.set('7.00', {}, 6);
    expect(minutes()).toBeCloseTo(5.327, 3);
    purge.pump('off');
    expect(purge.state().clock).toBeNull();
  });

  it('is not stable by sets of the same water, and says so before and after one is written', () => {
    const purge = purging(choices['low-flow']!);
    purge.pump('on');
    purge.flow('100', '30', '30');
    purge.level('7.41');
    purge.set('7.00', {}, 6);
    const asked = questionSet({ values: { ph: { text: '7.00', unit: 'pH' } } }, purge.state(), level, purge.now() + 120_000);
    expect(asked).toMatchObject([{ code: 'sets-same-water', data: { pumped: expect.closeTo(4e-4, 6) as number } }]);
    for (let set = 0; set < 2; set++) purge.set('7.00', {}, 2);
    expect(purge.state()).toMatchObject({ ready: false, findings: [{ code: 'set-same-water' }] });
    purge.set('7.00', {}, 2);
    expect(purge.state()).toMatchObject({ ready: true, lastTooSoon: null });
  });

  it('asks about a flow that is none of it, about timings that differ, and about a fast stream for volatiles', () => {
    const low = choices['low-flow']!;
    const codes = (litresPerMinute: number, spread = 0) => questionFlow(litresPerMinute / 60_000, spread, low).map(({ code }) => code);
    expect([codes(0.3), codes(2), codes(0.3, 0.15), codes(0.001)]).toEqual([[], ['not-low-flow'], ['timings-differ'], ['hardly-flows']]);
    // Ten in a hundred: common practice.
    expect([codes(0.3, 0.099), codes(0.3, 0.101)]).toEqual([[], ['timings-differ']]);
    const end = (text: string, isVolatile: boolean) =>
      questionEnd({ flowCell: 'detached', filling: { how: 'slowed', rate: { text, unit: 'mL/min' } } }, purging(low).state(), {
        isVolatile,
      }).map(({ code }) => code);
    expect([end('200', true), end('300', true), end('300', false), end('900', false)]).toEqual([[], ['fills-fast'], [], ['fills-fast']]);
    expect([end('205', true), end('495', false), end('510', false)]).toEqual([['fills-fast'], [], ['fills-fast']]);
  });
});

describe('a number that does not go with the purge', () => {
  const litres = (text: string) => ({ text, unit: 'L' as const });
  const asked = (purge: ReturnType<typeof purging>, pumped: string, minutes = 5) =>
    questionSet(
      { values: { ph: { text: '7.00', unit: 'pH' } }, pumped: litres(pumped) },
      purge.state(),
      level,
      purge.now() + minutes * 60_000,
    ).map(({ code }) => code);

  it('is a total that grew many times faster than before, or by many volumes of the casing', () => {
    const purge = purging(choices['volumes']!);
    purge.set('7.00', { pumped: litres('2') });
    expect(asked(purge, '4')).not.toContain('total-jumped');
    expect(asked(purge, '20')).toContain('total-jumped');
    const one = purge.state().setUp!.aim!.oneVolume.value * 1000;
    expect(asked(purge, String(Math.ceil(2 + 5.5 * one)))).toContain('total-volumes');
    // Time passes as well: three hours on, the same pump has brought so much.
    expect(asked(purge, '20', 180)).not.toContain('total-jumped');
  });

  it('is a total more than a fifth off what flow and time give', () => {
    const purge = purging(choices['running']!);
    purge.pump('on');
    purge.flow('100', '30', '30');
    // 0.2 L a minute since it was put on; a fifth of the greater of the two.
    const told = (0.2 * (purge.now() + 5 * minute - purge.state().pumping.since!)) / minute;
    const at = (share: number) => asked(purge, String(told * share)).filter((code) => code === 'totals-differ').length;
    expect([1, 1.24, 1.26, 0.81, 0.79].map(at)).toEqual([0, 0, 1, 0, 1]);
  });

  it('is a value eight times the one before, not seven and a half', () => {
    const purge = purging(choices['running']!);
    purge.set('7.00');
    const oxygen = (text: string) =>
      questionSet({ values: { oxygen: { text, unit: 'mg/L' } } }, purge.state(), level, purge.now() + 600_000).map(({ code }) => code);
    // After 4.00 mg/L.
    expect([oxygen('0.53'), oxygen('0.49')]).toEqual([[], ['far-from-last']]);
  });

  it('is a set of a pump that nobody has put on; a bailer needs nobody to', () => {
    const by = (pump: string) => purging({ ...choices['volumes'], pump } as PurgeChoice);
    expect(asked(by('submersible'), '2')).toContain('pump-not-on');
    expect(asked(by('bailer'), '2')).not.toContain('pump-not-on');
    const running = by('submersible');
    running.pump('on');
    expect(asked(running, '2')).not.toContain('pump-not-on');
  });

  it('is a flow for the bottles as it is at two litres a minute, and a flow cell that was set up and is said not to be there', () => {
    const ended = (payload: object, choice = choices['low-flow']!) => {
      const purge = purging(choice);
      purge.pump('on');
      purge.flow('1890', '60', '60');
      return questionEnd(payload as never, purge.state(), { isVolatile: false }).map(({ code, field }) => `${code} at ${field}`);
    };
    expect(ended({ flowCell: 'detached', filling: { how: 'as-it-is' } })).toEqual(['fills-fast at filling.how']);
    expect(ended({ flowCell: 'none', filling: { how: 'split' } })).toEqual(['cell-was-there at flowCell']);
    // A supply well is sampled at its tap.
    expect(ended({ flowCell: 'none', filling: { how: 'as-it-is' } }, choices['running'])).toEqual([]);
  });
});

it('any flow that holds the level wants two levels that stand still, and no figure for the flow', () => {
  const purge = purging(choices['steady-level']!);
  purge.set('7.00', { pumped: { text: '40', unit: 'L' }, level: metres('7.90') });
  purge.set('7.00', { pumped: { text: '80', unit: 'L' }, level: metres('7.95') });
  expect(purge.state().ready).toBe(false);
  purge.set('7.00', { pumped: { text: '120', unit: 'L' }, level: metres('7.96') });
  expect(purge.state().ready).toBe(true);
  // A tape tells a centimetre: eleven millimetres are a level that moves.
  purge.set('7.00', { pumped: { text: '160', unit: 'L' }, level: metres('7.971') });
  expect(purge.state().ready).toBe(false);
  purge.set('7.00', { pumped: { text: '200', unit: 'L' }, level: metres('7.961') });
  expect(purge.state().ready).toBe(true);
});

// Common practice is three to five volumes: at the fifth somebody decides.
it.each([
  [4.95, false],
  [5.05, true],
])('with %d volumes of the casing out and nothing stable, somebody is asked to decide: %s', (volumes, isAsked) => {
  const purge = purging(choices['volumes']!);
  const one = purge.state().setUp!.aim!.oneVolume.value * 1000;
  const out = (share: number) => ({ pumped: { text: (one * share).toFixed(2), unit: 'L' as const } });
  purge.set('6.00', out(volumes - 2));
  purge.set('6.50', out(volumes - 1));
  purge.set('7.00', out(volumes));
  expect(purge.state().findings.some(({ code }) => code === 'five-volumes')).toBe(isAsked);
});

it('low flow is what its paper says: a fall of less than 0.1 m at 0.1 to 0.5 L/min (EPA/540/S-95/504, from memory)', () => {
  expect(classicDrawdown).toBe(0.1);
  const perMinute = (flow: number) => (flow * 60 * 1000).toFixed(4);
  expect([perMinute(classicFlow.least), perMinute(classicFlow.most)]).toEqual(['0.1000', '0.5000']);
});

describe('a well that is purged dry', () => {
  it('is sampled once it has recovered, within a day', () => {
    const purge = purging(choices['dry']!);
    purge.pump('on');
    purge.level('9.40', 10);
    purge.pump('ran-dry', 5);
    const unmet = () =>
      purge
        .state()
        .conditions.filter(({ met }) => !met)
        .map(sayCondition);
    expect(unmet()).toEqual(['Recovered to 80 %: read the level']);
    purge.level('8.40', 30);
    expect(unmet()).toEqual(['Recovered to 50 % of 80 %']);
    purge.level('7.70', 60);
    // 1.7 of 2.0 m: 85 %.
    expect(purge.state()).toMatchObject({ ready: true, stability: null });
    purge.level('7.60', 25 * 60);
    expect(unmet()).toEqual(['Within 24 h of running dry']);
  });
});

describe('no purge', () => {
  it('is over as it is decided, and makes a special sample with its reason', () => {
    const purge = purging(choices['none']!);
    expect(purge.state().ended).toMatchObject({ reason: 'passive sampler hangs in the screen' });
    expect(purgeReasons(purge.state(), purge.now())).toMatchObject([{ code: 'not-purged', makes: 'special' }]);
    // Of a passive sampler it is noted, and no more.
    const passive = purging({ ...choices['none']!, sampler: 'passive' } as PurgeChoice);
    expect(purgeReasons(passive.state(), passive.now())).toMatchObject([{ code: 'not-purged', makes: 'routine' }]);
    // Decided otherwise, it is open again.
    purge.write(purgeSetUp, choices['running']);
    expect(purge.state().ended).toBeNull();
  });
});

describe('the total', () => {
  it('comes of flow and time between marks, back to when the pump was put on', () => {
    const purge = purging(choices['volumes']!);
    expect(purge.set('7.00')).toBe('total-unknown');
    purge.set('7.00', { pumped: { text: '2', unit: 'L' } });
    // A mark says nothing of what comes after it.
    expect(purge.set('7.00')).toBe('total-unknown');
    purge.pump('on', 10);
    purge.flow('5000', '60');
    purge.set('7.00');
    expect(purge.state().pumped * 1000).toBeCloseTo(32, 9);
    purge.set('7.00', { pumped: { text: '60', unit: 'L' } });
    purge.pump('off', 2);
    expect(purge.state().pumped * 1000).toBeCloseTo(70, 9);
    purge.set('7.00', {}, 30);
    expect(purge.state().pumped * 1000).toBeCloseTo(70, 9);
  });

  it('is the mean of several timings, with how far they are apart', () => {
    const purge = purging(choices['volumes']!);
    purge.pump('on');
    purge.flow('1000', '20', '25');
    // 3.0 and 2.4 L/min: mean 2.7, 0.6 apart.
    const [flow] = purge.state().flows;
    expect(flow!.flow * 60_000).toBeCloseTo(2.7, 9);
    expect(flow!.spread).toBeCloseTo(0.6 / 2.7, 9);
  });
});

describe('what went wrong', () => {
  it('is decided with a reason, and tells on the samples filled after it', () => {
    const purge = purging(choices['volumes']!);
    const decide = (trouble: string, choice: string) => purge.write(purgeDecided, { trouble, choice, reason: 'seen at the cell' });
    decide('air', 'no-volatiles');
    decide('turbid-stuck', 'filtered');
    purge.write(purgeEnded, { flowCell: 'detached', filling: { how: 'split' }, reason: 'no time left' });
    const makes = (at: number) => purgeReasons(purge.state(), at).map(({ code, makes: what }) => [code, what]);
    expect(makes(purge.now())).toEqual([
      ['purge-trouble', 'special'],
      ['purge-trouble', 'routine'],
      ['purge-short', 'special'],
    ]);
    expect(purgeReasons(purge.state(), null)).toEqual([]);
  });

  it('makes readings start anew where water stood in between', () => {
    const purge = purging(choices['running']!);
    purge.set('7.00');
    purge.set('7.00');
    expect(purge.state().stability!.stable).toBe(true);
    purge.write(purgeDecided, { trouble: 'pump-failed', choice: 'again', reason: 'fuse' });
    expect(purge.state().stability!.stable).toBe(false);
    purge.set('7.00');
    purge.set('7.01');
    expect(purge.state().stability!.stable).toBe(true);
  });

  it('has no choice that the table does not know', () => {
    expect(purgeDecided.payload.safeParse({ trouble: 'air', choice: 'constructor', reason: 'why not' }).success).toBe(false);
  });
});

describe('what is out', () => {
  it('goes on with flow and time between sets, and a purge that is ready by then is ended without a reason', () => {
    const purge = purging(choices['volumes']!);
    purge.pump('on');
    purge.flow('1000', '10');
    for (let set = 0; set < 3; set++) purge.set('7.00', {}, 2);
    const target = purge.state().setUp!.aim!.target.value;
    expect(purge.state()).toMatchObject({ ready: false, stability: { stable: true } });
    const left = (minutes: number) => Number(purge.state().at(purge.now() + minutes * minute).conditions[0]!.data!['left']);
    // 6 L/min.
    expect(left(1) - left(2)).toBeCloseTo(6e-3, 9);
    const reached = (1000 * target) / 1e-4 - (purge.now() - purge.state().pumping.since!);
    expect(purge.state().at(purge.now() + reached - 2000).ready).toBe(false);
    expect(purge.state().at(purge.now() + reached + 2000).ready).toBe(true);
    expect(purge.end({ flowCell: 'none', filling: { how: 'split' } }, reached / minute - 1)).toBe('ended-early');
    expect(purge.end({ flowCell: 'none', filling: { how: 'split' } }, 2)).toBeNull();
    expect(purge.state()).toMatchObject({ ready: true });
  });
});

describe('a set that comes too soon', () => {
  it('does not count, and says whether it says the same', () => {
    const purge = purging(choices['running']!);
    purge.set('7.00');
    purge.set('7.00', {}, 0.5);
    expect(purge.state()).toMatchObject({ lastTooSoon: { code: 'too-close' }, findings: [{ code: 'same-at-once', severity: 'note' }] });
    // A minute later the same numbers were read once more.
    const later = purging({ ...choices['running']!, criterion: 'usgs-nfm@2026-3' } as PurgeChoice);
    later.set('7.00');
    later.set('7.00', {}, 62 / 60);
    expect(later.state().findings.map(({ code }) => code)).toEqual(['set-too-soon']);
    expect(purge.state().stability!.stable).toBe(false);
    purge.set('7.02', {}, 0.25);
    expect(purge.state().findings.map(({ code }) => code)).toEqual(['set-too-soon']);
    purge.set('7.00', {}, 1);
    expect(purge.state()).toMatchObject({ lastTooSoon: null, ready: true });
  });
});

it('a set with more oxygen than water takes from the air is asked about, less of it in the mountains', () => {
  const { state } = purging(choices['running']!);
  const asked = (oxygen: string, elevation?: number) =>
    questionSet(
      { values: { temperature: { text: '20.0', unit: 'degC' }, oxygen: { text: oxygen, unit: 'mg/L' } } },
      state(),
      null,
      0,
      elevation,
    ).map(({ code, field }) => `${code} at ${field}`);
  // 9.092 mg/L at 20 °C at the sea: Benson and Krause 1984.
  const warm = (degrees: string) =>
    questionSet({ values: { temperature: { text: degrees, unit: 'degC' }, oxygen: { text: '9.0', unit: 'mg/L' } } }, state(), null, 0).some(
      ({ code }) => code === 'oxygen-over',
    );
  // The table of Benson and Krause ends at 40 °C.
  expect([warm('40'), warm('41')]).toEqual([true, false]);
  expect([asked('9.30'), asked('9.70'), asked('9.30', 700)]).toEqual([
    [],
    ['oxygen-over at values.oxygen'],
    ['oxygen-over at values.oxygen'],
  ]);
});

describe('how a purge is set up', () => {
  const { well } = wellPoint;
  const codes = (change: object, method = 'low-flow', around: object = {}) =>
    questionSetUp({ ...choices[method], ...change } as PurgeChoice, {
      well: { ...well, ...around },
      level,
      before: null,
      isVolatile: true,
    }).map(({ code, field }) => `${code} at ${field}`);
  it('is asked about where pump or intake do not fit the well', () => {
    expect(codes({})).toEqual([]);
    expect(codes({ intake: metres('7.2') })).toEqual(['intake-dry at intake', 'intake-off-screen at intake']);
    expect(codes({ intake: metres('49.2') })).toEqual(['intake-too-deep at intake']);
    expect(codes({ intake: metres('18.5') })).toEqual(['intake-at-bottom at intake']);
    const bottom = belowMark(well.measuringPoints[0]!, well.bottom)!;
    const above = (metre: number) => codes({ intake: metres((bottom - metre).toFixed(3)) });
    expect([above(0.29), above(0.31)].map((found) => found.includes('intake-at-bottom at intake'))).toEqual([true, false]);
    expect(codes({ intake: metres('11') })).toEqual(['intake-off-screen at intake']);
    expect(codes({ pump: 'peristaltic' })).toEqual(['strips-gas at pump']);
  });

  it('knows how high suction lifts: 7.5 m at the sea, less in the mountains (ICAO standard atmosphere)', () => {
    expect(suctionLift(0)).toBe(7.5);
    // 79.50 kPa of 101.325 at 2000 m: ICAO Doc 7488.
    expect(suctionLift(2000)).toBeCloseTo((7.5 * 79.5) / 101.325, 2);
    expect(codes({ pump: 'peristaltic' }, 'low-flow', { measuringPoints: [{ ...well.measuringPoints[0], elevation: 2000 }] })).toContain(
      'beyond-suction at pump',
    );
  });

  it('is asked about where a nominal size was typed for the true one, or the casing is wider than the bore', () => {
    const inside = (text: string, unit: string) => ({ insideDiameter: { text, unit } });
    expect(codes(inside('2', 'in'), 'volumes', { insideDiameter: undefined })).toEqual(['nominal at insideDiameter']);
    expect(codes({ ...inside('2.067', 'in'), pipe: 's40-2' }, 'volumes', { insideDiameter: undefined })).toEqual([]);
    // 50.8 mm are two inches: a fifth of a millimetre is what a rule tells.
    const mm = (text: string) => codes(inside(text, 'mm'), 'volumes', { insideDiameter: undefined });
    expect([mm('50.99'), mm('51.01')]).toEqual([['nominal at insideDiameter'], []]);
    expect(codes(inside('52', 'mm'), 'volumes', { bore: 0.05 })).toEqual(['wider-than-bore at insideDiameter']);
    // The register has 52 mm: 54.5 are 4.8 % more, 54.8 are 5.4 %.
    expect(codes(inside('54.5', 'mm'), 'volumes')).toEqual([]);
    expect(codes(inside('54.8', 'mm'), 'volumes')).toEqual(['other-bore at insideDiameter']);
  });

  it('is asked about where method or criterion change half-way', () => {
    const before = { count: 3, chosen: choices['volumes']! };
    const ask = (chosen: PurgeChoice) => questionSetUp(chosen, { well, level, before, isVolatile: false }).map(({ code }) => code);
    expect(ask(choices['low-flow']!)).toEqual(['other-method']);
    expect(ask({ ...choices['volumes']!, criterion: 'epa-1996@2026-3' } as PurgeChoice)).toEqual(['other-criterion']);
    expect(ask(choices['volumes']!)).toEqual([]);
  });
});

it('the filter pack is counted where it is asked for and known', () => {
  const point = { ...wellPoint, well: { ...wellPoint.well, bore: 0.15, pack: { from: 11, to: 17.5, porosity: 0.3 } } };
  const one = (withPack: boolean) => {
    const entry = new Script().atWell(purgeSetUp, { ...(choices['volumes'] as object), withPack } as never);
    const book = purgeRoom.advance(purgeRoom.empty, entry, { point, level });
    return purgeState(book, point, level).setUp?.aim?.oneVolume.value ?? null;
  };
  // Geometry: 0.3 · π/4 · (0.15² − 0.052²) · 6.5 m.
  expect(one(true)! - one(false)!).toBeCloseTo(0.3 * (Math.PI / 4) * (0.15 ** 2 - 0.052 ** 2) * 6.5, 9);
});

describe('a criterion of the house', () => {
  const own = {
    id: '01890000-0000-7000-8000-000000000077',
    name: 'Network plan',
    sets: 2,
    against: 'spread' as const,
    seconds: 120,
    tolerances: [{ parameter: 'ph' as const, absolute: 0.05 }],
    source: 'network plan, chapter 4',
  };
  const chosen = { method: 'running', ranBefore: true, criterion: refOfOwn(own), own, parameters: ['ph'] };

  it('judges as it is written, and goes with the set-up', () => {
    const purge = purging(PurgeChoice.parse(chosen));
    expect(purge.state().setUp!.rule).toMatchObject({ name: 'Network plan', sets: 2, against: 'spread', between: { seconds: 120 } });
    purge.set('7.00', {}, 1);
    purge.set('7.00', {}, 1);
    expect(purge.state()).toMatchObject({ ready: false, lastTooSoon: { code: 'too-close' } });
    purge.set('7.06', {}, 1);
    expect(purge.state().ready).toBe(false);
    purge.set('7.04', {}, 3);
    expect(purge.state().ready).toBe(true);
  });

  it('is taken by its own name only, and no other goes by that', () => {
    const refused = (change: object) => PurgeChoice.safeParse({ ...chosen, ...change }).error?.issues.map(({ path }) => path.join('.'));
    expect(refused({})).toBeUndefined();
    expect(refused({ criterion: 'epa-1996@2026-3' })).toEqual(['criterion']);
    expect(refused({ own: undefined })).toEqual(['criterion']);
  });

  it('is refused where it says nothing, says it twice, or in per cent of what has no zero', () => {
    const at = (change: object) => OwnCriterion.safeParse({ ...own, ...change }).error?.issues.map(({ path }) => path.join('.')) ?? [];
    expect(at({})).toEqual([]);
    expect(at({ tolerances: [{ parameter: 'ph' }] })).toEqual(['tolerances.0.absolute']);
    expect(at({ tolerances: [{ parameter: 'ph', percent: 3 }] })).toEqual(['tolerances.0.percent']);
    expect(at({ tolerances: [own.tolerances[0], own.tolerances[0]] })).toEqual(['tolerances.1.parameter']);
    expect(at({ sets: 1 })).toEqual(['sets']);
  });
});
