import { describe, expect, it } from 'vitest';
import { handing, idOf, lab } from '../../test/script.ts';
import { bottleTables, cardOf, type RuleId } from '../bottles/index.ts';
import { atWall, hour } from '../time/index.ts';
import {
  bandOfBox,
  boxRead,
  comparedWith,
  doorFor,
  drawnLength,
  foretell,
  foretoldOf,
  handedOver,
  holdingOf,
  startBy,
  isUnknownYet,
  sayHolding,
  sayUnknown,
  intakesOn,
  isIntakeOpen,
  latestHandOver,
  nextIntake,
  strokesPath,
  type BoxNow,
  type FormLine,
  type Situation,
} from './index.ts';

const card = (rule: RuleId) => cardOf(bottleTables.newest[0]!, rule);
const azores = (date: string, time: string) => atWall(date, time, 'Atlantic/Azores');
const monday = azores('2026-11-23', '11:00');

/** A bottle on the form as a lab likes it, filled an hour ago. */
function line(rule: RuleId = 'bacteria', { filledAt = monday - hour, ...more }: Partial<FormLine> & { filledAt?: number } = {}): FormLine {
  const id = `A-${rule}`;
  return {
    bottle: {
      id,
      visit: 'v',
      rule,
      purpose: 'sample',
      supply: null,
      supplyWentWith: null,
      set: id,
      blind: null,
      card: card(rule),
      place: id,
      spare: false,
      state: 'filled',
      filledAt,
      discarded: null,
      entry: null,
      labelled: null,
      code: null,
      facts: [],
      unfiltered: null,
    },
    pointName: 'Market hall',
    lab,
    box: '',
    analyses: ['coliforms'],
    requests: ['Coliforms + E. coli'],
    sampleType: 'routine',
    type: 'Routine',
    occasion: null,
    reasons: [],
    residual: '0.45 mg/L',
    chlorine: 0.45,
    stagnation: 'not-needed',
    fields: {},
    limits: {},
    isForCompliance: true,
    copies: 1,
    blanks: [],
    ...more,
  };
}

const labelled = (one: FormLine): FormLine => ({ ...one, bottle: { ...one.bottle, labelled: { at: monday - hour, entry: 'l' } } });

const cooler: BoxNow = { id: '', name: 'Cooler', temperature: 4, cooling: false, seal: '', sealIs: 'whole', cold: null };
function situation({ box = {}, ...more }: Partial<Situation> & { box?: Partial<BoxNow> } = {}): Situation {
  return {
    stage: 'desk',
    now: monday,
    arrival: more.now ?? monday,
    lines: [line()],
    boxes: new Map([['', { ...cooler, ...box }]]),
    conditions: {},
    said: {},
    counted: null,
    ...more,
  };
}
const codes = (of: Situation) => foretell(of).map((finding) => finding.code);
const at = (rules: Partial<typeof lab>, rule: RuleId = 'bacteria', more: Parameters<typeof line>[1] = {}) =>
  line(rule, { lab: { ...lab, ...rules }, ...more });

describe('holding', () => {
  it('is what somebody registered for the lab, else what the rule says', () => {
    expect(holdingOf('bacteria', card('bacteria'), 0, null)).toMatchObject({ hours: 24, by: 'rule' });
    // What is taken like another bottle has that one's hours, unless the lab has a row of its own for it.
    const hours = (holding: typeof lab.holding) => holdingOf('legionellaFlushed', card('legionellaFlushed'), 0, { ...lab, holding }).hours;
    expect([hours({}), hours({ legionella: 24 }), hours({ legionella: 24, legionellaFlushed: 12 })]).toEqual([48, 24, 12]);
    expect(sayHolding(holdingOf('bacteria', card('bacteria'), 0, lab))).toBe('18 h by the lab');
    expect(holdingOf('bacteria', card('bacteria'), 0, lab)).toMatchObject({ hours: 18, by: 'lab', deadline: 18 * hour });
    // 40 CFR 141.852: 30 h for coliforms and E. coli, and for nothing else.
    const ofLab = (rule: RuleId, given: number) => holdingOf(rule, card(rule), 0, { ...lab, holding: { [rule]: given } });
    expect(ofLab('bacteria', 30)).toMatchObject({ hours: 30, by: 'lab' });
    expect(ofLab('bacteria', 40)).toMatchObject({ hours: 30, by: 'lab' });
    expect(ofLab('bacteria', 24)).toMatchObject({ hours: 24, by: 'rule' });
    expect(ofLab('nitrogen', 72)).toMatchObject({ hours: 48, by: 'rule' });
    // The same hours to the start of the analysis: receipt and start are one figure.
    const begins = (given: number) =>
      startBy('bacteria', card('bacteria'), 0, { ...lab, holding: { bacteria: given }, startsAfter: { bacteria: 2 } });
    expect([begins(30)?.hours, begins(18)?.hours, begins(30)?.deadline]).toEqual([30, 24, 30 * hour]);
  });

  it.each([
    ['2026-03-28', '2026-03-29', '13:00'],
    ['2026-10-24', '2026-10-25', '11:00'],
  ])('counts elapsed hours across the change of %s', (from, to, wall) => {
    expect(holdingOf('bacteria', card('bacteria'), azores(from, '12:00'), null).deadline).toBe(azores(to, wall));
  });
});

describe('a round without a lab', () => {
  it('is checked for what holds anywhere: holding by the rule, the temperature, the condition', () => {
    const lines = [line('bacteria', { lab: null, filledAt: azores('2026-11-27', '22:00') })];
    const unknown = situation({ now: azores('2026-11-28', '23:00'), lines, box: { temperature: null } });
    expect(codes(unknown)).toEqual(['no-temperature', 'holding-over']);
    expect(codes(situation({ now: azores('2026-11-28', '12:00'), lines, box: { temperature: 14 } }))).toEqual([]);
  });

  it('is signed with the name, with or without its accents, and with no other', () => {
    const signed = (name: string) =>
      handedOver.payload.safeParse({ ...handing(['A'], { to: { as: 'lab', name: 'Lab of the next island' } }), signed: { name } }).success;
    expect([signed('Inês Faria'), signed('ines  faria'), signed('Inês Feria')]).toEqual([true, true, false]);
  });
});

describe('intake', () => {
  it('follows the lab’s hours, and its earlier ones for bacteria', () => {
    expect([isIntakeOpen(lab, monday, 'bacteria'), isIntakeOpen(lab, azores('2026-11-23', '16:01'), 'bacteria')]).toEqual([true, false]);
    const thursday = azores('2026-11-26', '13:00');
    expect([isIntakeOpen(lab, thursday, 'bacteria'), isIntakeOpen(lab, thursday, 'metals')]).toEqual([false, true]);
    expect(intakesOn(lab, azores('2026-11-27', '10:00'), 'bacteria')).toEqual([]);
  });

  it('finds the next door that opens', () => {
    expect(nextIntake(lab, azores('2026-11-26', '13:00'), 'bacteria')?.opens).toBe(azores('2026-11-30', '08:00'));
    expect(nextIntake({ ...lab, intake: [] }, monday, 'metals')).toBeNull();
  });
});

describe('the way to the lab', () => {
  const latest = (from: number, hours: number) => latestHandOver(lab, from, from + hours * hour, 'bacteria');

  it('ends at the last intake before the holding time does; exactly at the limit is in time', () => {
    // The lab takes bacteria in from 8 to 16 on Mondays, Tuesdays and Wednesdays, on Thursdays until 12.
    expect(latest(monday, 18)).toBe(azores('2026-11-23', '16:00'));
    expect(latest(azores('2026-11-23', '20:00'), 18)).toBe(azores('2026-11-24', '14:00'));
    expect(latest(azores('2026-11-23', '14:00'), 18)).toBe(azores('2026-11-24', '08:00'));
    expect(latest(azores('2026-11-23', '15:59'), 1)).toBe(azores('2026-11-23', '16:00'));
    expect(latest(azores('2026-11-26', '13:00'), 18)).toBeNull();
  });

  it('is found across the nights on which clocks are changed', () => {
    const sundays = { ...lab, intake: [{ weekday: 7, opens: '08:00', closes: '16:00' }], cutOffs: [] };
    // 28 March 2026 is a Saturday; the Sunday after it has 23 hours.
    expect(nextIntake(sundays, azores('2026-03-28', '23:30'), 'bacteria')?.opens).toBe(azores('2026-03-29', '08:00'));
  });

  it('is said to be too long before the bottle is filled, the way there included', () => {
    const tap = (rule: RuleId, now: number, arrival = now) =>
      foretell(situation({ stage: 'tap', now, arrival, lines: [line(rule, { filledAt: now })] }));
    const thursday = azores('2026-11-26', '13:00');
    expect(tap('bacteria', thursday)).toMatchObject([{ code: 'cannot-reach', severity: 'stop', data: { hours: 18, opens: 91 * hour } }]);
    expect(tap('bacteria', monday)).toEqual([]);
    expect(tap('metals', thursday)).toEqual([]);
    // At 11:30 on a Thursday the door is open until 12; an hour's way off it is not.
    const late = azores('2026-11-26', '11:30');
    expect([tap('bacteria', late).length, tap('bacteria', late, late + hour).length]).toEqual([0, 1]);
  });

  it('takes a bottle in at the very end of its time, not later', () => {
    const lines = [line('bacteria', { filledAt: monday - 18 * hour })];
    expect(codes(situation({ lines }))).not.toContain('holding-over');
    expect(codes(situation({ lines, now: monday + 1 }))).toContain('holding-over');
  });
});

it('says until when a kind of bottle is accepted today, by the cut-off of its weekday, and else from when on', () => {
  const door = { ...lab, cutOffs: [{ bottles: ['bacteria' as const], weekdays: [1], closes: '12:00' }] };
  const at = (time: string, rule: RuleId) => doorFor(door, azores('2026-11-23', time), rule);
  const closes = azores('2026-11-23', '16:00');
  expect([at('09:00', 'bacteria'), at('09:00', 'metals')]).toEqual([{ until: azores('2026-11-23', '12:00') }, { until: closes }]);
  expect([at('12:00', 'bacteria'), at('12:01', 'bacteria')]).toEqual([
    { until: azores('2026-11-23', '12:00') },
    { opens: azores('2026-11-24', '08:00') },
  ]);
  expect(doorFor({ ...door, intake: [] }, monday, 'metals')).toBeNull();
});

describe('what the lab would refuse', () => {
  it('finds nothing on a good form', () => expect(codes(situation())).toEqual([]));

  const lead = [{ least: 1800, most: 2700 }];
  it.each<[string, Situation, string[]]>([
    ['an empty cooler', situation({ lines: [] }), ['no-bottles']],
    ['no temperature', situation({ box: { temperature: null } }), ['no-temperature']],
    ['a warm cooler', situation({ box: { temperature: 10.1 } }), ['too-warm']],
    ['a frozen cooler', situation({ box: { temperature: -1 } }), ['too-cold']],
    ['a cooler too warm for chemistry only', situation({ box: { temperature: 8 }, lines: [line(), line('nitrogen')] }), ['too-warm']],
    [
      'a warm cooler of a lab that takes what is on ice',
      situation({ box: { temperature: 14, cooling: true }, lines: [at({ coolingWithin: 2 })] }),
      ['cooling-begun'],
    ],
    ['that lab, and nothing on ice', situation({ box: { temperature: 14 }, lines: [at({ coolingWithin: 2 })] }), ['too-warm']],
    [
      'that lab, filled too long ago',
      situation({ box: { temperature: 14, cooling: true }, lines: [at({ coolingWithin: 0.5 })] }),
      ['too-warm'],
    ],
    ['metals in acid, in a warm box', situation({ box: { temperature: 24 }, lines: [line('totalMetals')] }), []],
    ['Legionella on ice', situation({ box: { cold: 'ice' }, lines: [line('legionella')] }), ['cold-harms']],
    ['PFAS beside ice packs', situation({ box: { cold: 'packs' }, lines: [line('pfas533')] }), ['cold-against']],
    ['a leak', situation({ conditions: { 'A-bacteria': 'leaking' } }), ['leaking']],
    // Bacteria of 10:00 keep 18 h, until 04:00; the door opens at 08:00: to wait for it would not help.
    ['a closed door', situation({ now: azores('2026-11-23', '17:00') }), ['intake-too-late']],
    ['a closed door that opens in time', situation({ now: azores('2026-11-23', '17:00'), lines: [line('metals')] }), ['intake-closed']],
    [
      'a door that is closed on arrival',
      situation({ now: azores('2026-11-23', '15:30'), arrival: azores('2026-11-23', '16:30') }),
      ['intake-too-late'],
    ],
    ['holding time over', situation({ lines: [line('bacteria', { filledAt: monday - 19 * hour })] }), ['holding-over']],
    [
      'holding time over on the way',
      situation({ arrival: monday + hour, lines: [line('bacteria', { filledAt: monday - 17.5 * hour })] }),
      ['holding-over'],
    ],
    ['holding time short', situation({ lines: [line('bacteria', { filledAt: monday - 17.5 * hour })] }), ['holding-short']],
    ['an analysis that begins too late', situation({ lines: [at({ startsAfter: { bacteria: 23.5 } })] }), ['starts-late']],
    ['one that begins in time', situation({ lines: [at({ startsAfter: { bacteria: 23 } })] }), []],
    ['labels that nobody looked at', situation({ lines: [line(), line('metals')] }), []],
    ['a label that was forgotten among others', situation({ lines: [labelled(line()), line('metals')] }), ['label-unseen']],
    ['a spoilt sample', situation({ lines: [line('bacteria', { sampleType: 'invalid' })] }), ['sample-spoilt']],
    ['no residual', situation({ lines: [line('bacteria', { residual: null })] }), ['residual-missing']],
    [
      'more chlorine than its bottle takes up',
      situation({ lines: [at({ residualMost: 5 }, 'bacteria', { chlorine: 5.1 })] }),
      ['residual-high'],
    ],
    ['water that stood too short', situation({ lines: [at({ stagnation: lead }, 'lead', { stagnation: 1799 })] }), ['stagnation-short']],
    ['water that stood too long', situation({ lines: [at({ stagnation: lead }, 'lead', { stagnation: 2701 })] }), ['stagnation-long']],
    [
      'water of which nobody knows how long it stood',
      situation({ lines: [at({ stagnation: lead }, 'lead', { stagnation: null })] }),
      ['stagnation-missing'],
    ],
    ['water that stood as the lab wants it', situation({ lines: [at({ stagnation: lead }, 'lead', { stagnation: 2700 })] }), []],
    ['what the lab does not do', situation({ lines: [at({ takes: ['general'] })] }), ['not-offered']],
    ['what it is not accredited for', situation({ lines: [at({ accredited: ['general'] })] }), ['not-accredited']],
    ['that, for one’s own knowledge', situation({ lines: [at({ accredited: ['general'] }, 'bacteria', { isForCompliance: false })] }), []],
    [
      'a reporting limit over the limit',
      situation({ lines: [at({ reportsFrom: { arsenic: 0.02 } }, 'metals', { limits: { arsenic: 0.01 } })] }),
      ['reports-too-high'],
    ],
    ['one of three vials', situation({ lines: [line('volatiles', { copies: 3 })] }), ['set-broken']],
    [
      'a blank that is missing',
      situation({ lines: [line('pfas533', { blanks: [{ name: 'Field blank', isThere: false }] })] }),
      ['blank-missing'],
    ],
    ['a field that the lab wants', situation({ lines: [at({ form: [{ field: 'water' }] })] }), ['field-missing']],
    ['a field that nobody typed', situation({ lines: [at({ form: [{ field: 'quote' }] })] }), ['form-incomplete']],
    ['one that always says the same', situation({ lines: [at({ form: [{ field: 'quote', always: 'Q-7' }] })] }), []],
    ['another count', situation({ counted: 2 }), ['count-differs']],
    ['no seal where the lab asks for one', situation({ lines: [at({ asksForSeal: true })] }), ['no-seal']],
    ['a broken seal', situation({ box: { seal: '0419', sealIs: 'broken' } }), ['seal-broken']],
  ])('%s', (_, of, expected) => expect(codes(of)).toEqual(expected));

  it('knows what is not known yet from what a lab would refuse', () => {
    const asking = { ...lab, asksForSeal: true, form: [{ field: 'quote' as const }], holding: { bacteria: 0.5 } };
    const lines = [line('bacteria', { lab: asking })];
    const found = foretell(situation({ lines, box: { temperature: null, seal: '' } }));
    expect(sayUnknown(found)).toBe('temperature, seal, “Quote or order”');
    expect(found.filter((one) => !isUnknownYet(one)).length).toBeGreaterThan(0);
  });

  it('stops only where the lab does: a missing blank is asked about at one that takes the bottles all the same', () => {
    const lines = (isAsked: boolean) => [
      at({ asksForBlanks: isAsked ? ['pfas533'] : [] }, 'pfas533', { blanks: [{ name: 'Field blank', isThere: false }] }),
    ];
    const severity = (one: boolean) => foretell(situation({ lines: lines(one) }))[0]!.severity;
    expect([severity(false), severity(true)]).toEqual(['question', 'stop']);
  });

  it('says once for a box what holds for all of its bottles, and names them', () => {
    const [warm, ...more] = foretell(situation({ box: { temperature: 12 }, lines: [line(), line('plate'), line('enterococci')] }));
    expect(warm).toMatchObject({ code: 'too-warm', field: 'box ', bottles: ['A-bacteria', 'A-plate', 'A-enterococci'] });
    expect(more).toEqual([]);
    expect(foretoldOf([warm!]).map(({ bottle }) => bottle)).toEqual(['A-bacteria', 'A-plate', 'A-enterococci']);
  });

  it('asks each bottle by the rules of its own lab', () => {
    const other = { ...lab, id: idOf(22), name: 'Lab of the coast', temperature: { bacteria: { least: 1, most: 5 } } };
    const [warm, ...more] = foretell(situation({ box: { temperature: 8 }, lines: [line(), line('plate', { lab: other })] }));
    expect([warm!.bottles, more]).toEqual([['A-plate'], []]);
  });
});

describe('a box', () => {
  it('suits all that stand in it, where it can', () => {
    expect(bandOfBox([line(), line('nitrogen')])).toEqual({ least: 1, most: 6 });
    expect(bandOfBox([line('totalMetals')])).toBeNull();
  });

  it('of 41 °C is a slip of units that the form does not swallow: 41 °F is 5 °C', () => {
    const read = (text: string, unit: 'degC' | 'degF') =>
      boxRead.payload.safeParse({ box: { box: '', name: 'Cooler' }, when: 'arrival', temperature: { text, unit } });
    expect([read('41', 'degC').success, read('61', 'degC').success, read('41', 'degF').success]).toEqual([true, false, true]);
    expect(codes(situation({ box: { temperature: 41 } }))).toEqual(['too-warm']);
  });
});

describe('a change of hands', () => {
  const refused = (more: object) =>
    handedOver.payload.safeParse({ ...handing(['A', 'B']), ...more }).error?.issues.map(({ path }) => path.join('.'));
  const hand = [[100, 200, 300, 100, 500, 250]];

  it('is counted and signed by both who stand there', () => {
    expect(refused({})).toBeUndefined();
    expect(refused({ counted: 1 })).toEqual(['counted']);
    expect(refused({ signed: { name: 'I. F.' } })).toEqual(['signed.name']);
    expect(refused({ to: { as: 'courier', name: 'Ana Reis' } })).toEqual(['received.name']);
    expect(refused({ to: { as: 'courier', name: 'Ana Reis' }, received: { name: 'ana reis' } })).toBeUndefined();
    expect(refused({ to: { as: 'courier', name: 'Ana Reis' }, received: { name: 'Inês Faria' } })).toEqual(['received.name']);
  });

  it('leaves a place that is locked unsigned, and takes from it with one signature', () => {
    const fridge = { as: 'place', name: 'Fridge of the market hall, key at the town hall' };
    expect(refused({ to: fridge, takenBy: '' })).toBeUndefined();
    expect(
      refused({ from: fridge, signed: undefined, to: { as: 'courier', name: 'Ana Reis' }, received: { name: 'Ana Reis', drawn: hand } }),
    ).toBeUndefined();
  });

  it('takes no dot for a signature, nor what lies outside of its field', () => {
    const drawn = (strokes: number[][]) => refused({ signed: { name: 'Inês Faria', drawn: strokes } });
    expect(drawn(hand)).toBeUndefined();
    expect(drawn([[500, 250]])).toEqual(['signed.drawn']);
    expect(drawn([[500, 250, 503, 252]])).toEqual(['signed.drawn']);
    expect(drawn([[500, 900, 100, 100]])).toEqual(['signed.drawn.0']);
    expect(drawn([...hand, [500, 200, 100]])).toEqual(['signed.drawn.1']);
  });

  it('is drawn again as it was signed', () => {
    expect(
      strokesPath([
        [0, 0, 30, 40],
        [7, 9],
      ]),
    ).toBe('M0 0L30 40M7 9h1');
    expect(drawnLength([[0, 0, 30, 40]])).toBe(50);
  });
});

it('compares what was foretold with what the lab answered', () => {
  const form = handedOver.payload.parse(
    handing(['A', 'B', 'C', 'D'], {
      foretold: [
        { bottle: 'A', code: 'too-warm' },
        { bottle: 'B', code: 'leaking' },
        { bottle: 'D', code: 'sample-spoilt' },
      ],
    }),
  );
  const bottles = [
    { bottle: 'A', accepted: false, reason: 'Warm' },
    { bottle: 'B', accepted: true },
    { bottle: 'C', accepted: false, reason: 'Wrong bottle' },
    { bottle: 'D', accepted: true },
  ];
  const answer = { at: 0, reference: 'L-1', bottles, taken: null };
  expect(comparedWith({ form, answer }).map(({ as }) => as)).toEqual(['foretold', 'false-alarm', 'missed', 'as-expected']);
  expect(comparedWith({ form, answer: null })).toEqual([]);
});
