import { describe, expect, it } from 'vitest';
import { lab } from '../../test/script.ts';
import { bottleTables, cardOf, type RuleId } from '../bottles/index.ts';
import type { FieldBottle } from '../fill/index.ts';
import { atWall, hour } from '../time/index.ts';
import {
  checkForm,
  handedOver,
  holdingOf,
  intakesOn,
  isIntakeOpen,
  latestHandOver,
  nextIntake,
  questionReach,
  type FormDraft,
} from './index.ts';

const card = (rule: RuleId) => cardOf(bottleTables.newest[0]!, rule);
const azores = (date: string, time: string) => atWall(date, time, 'Atlantic/Azores');
const monday = azores('2026-11-23', '11:00');
const bottle = (rule: FieldBottle['rule'], filledAt = monday - hour): FieldBottle => ({
  id: `A-${rule}`,
  visit: 'v',
  rule,
  purpose: 'sample',
  supply: null,
  set: `A-${rule}`,
  card: card(rule),
  place: `A-${rule}`,
  spare: false,
  state: 'filled',
  filledAt,
  discarded: null,
  entry: null,
});
const draft = (more: Partial<FormDraft> = {}, filled = bottle('bacteria')): FormDraft => ({
  lines: [
    {
      bottle: filled,
      pointName: 'Market hall',
      requests: ['Coliforms + E. coli'],
      sampleType: 'routine',
      reasons: [],
      residual: '0.45 mg/L',
    },
  ],
  conditions: {},
  coolerTemperature: 4,
  seal: '',
  now: monday,
  ...more,
});
const codes = (form: FormDraft, at = lab) => checkForm(form, at).map((finding) => finding.code);

describe('holding', () => {
  it('lets the shorter of rule and lab stand', () => {
    expect(holdingOf('bacteria', card('bacteria'), 0, null)).toMatchObject({ hours: 24, by: 'rule' });
    expect(holdingOf('bacteria', card('bacteria'), 0, lab)).toMatchObject({ hours: 18, by: 'lab', deadline: 18 * hour });
    expect(holdingOf('bacteria', card('bacteria'), 0, { ...lab, holding: { bacteria: 30 } })).toMatchObject({ hours: 24, by: 'rule' });
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
    const unknown = draft(
      { now: azores('2026-11-28', '23:00'), coolerTemperature: null },
      bottle('bacteria', azores('2026-11-27', '22:00')),
    );
    expect(checkForm(unknown, null).map(({ code }) => code)).toEqual(['no-temperature', 'holding-over']);
    expect(checkForm({ ...unknown, now: azores('2026-11-28', '12:00'), coolerTemperature: 14 }, null)).toEqual([]);
  });

  it('is signed with the name, with or without its accents, and with no other', () => {
    const signed = (signature: string) =>
      handedOver.payload.safeParse({
        to: 'Lab of the next island',
        releasedBy: 'Inês Faria',
        receivedBy: 'Boat',
        coolerTemperature: { text: '4', unit: 'degC' },
        bottles: [{ bottle: 'A', condition: 'good' }],
        signature,
      }).success;
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

  it('is said to be too long before the bottle is filled', () => {
    const thursday = azores('2026-11-26', '13:00');
    expect(questionReach('bacteria', card('bacteria'), thursday, lab)).toMatchObject([
      { code: 'cannot-reach', severity: 'stop', data: { hours: 18, opens: 91 * hour } },
    ]);
    expect(questionReach('bacteria', card('bacteria'), monday, lab)).toEqual([]);
    expect(questionReach('metals', card('metals'), thursday, lab)).toEqual([]);
  });

  it('takes a bottle in at the very end of its time, not later', () => {
    const filled = bottle('bacteria', monday - 18 * hour);
    expect(codes(draft({}, filled))).not.toContain('holding-over');
    expect(codes(draft({ now: monday + 1 }, filled))).toContain('holding-over');
  });
});

describe('what the lab would refuse', () => {
  it('finds nothing on a good form', () => expect(codes(draft())).toEqual([]));

  it.each([
    ['an empty cooler', draft({ lines: [] }), ['no-bottles']],
    ['no temperature', draft({ coolerTemperature: null }), ['no-temperature']],
    ['a warm cooler', draft({ coolerTemperature: 10.1 }), ['too-warm']],
    ['a frozen cooler', draft({ coolerTemperature: -1 }), ['too-cold']],
    ['a cooler too warm for chemistry only', draft({ coolerTemperature: 8 }, bottle('nitrogen')), ['too-warm']],
    ['a leak', draft({ conditions: { 'A-bacteria': 'leaking' } }), ['leaking']],
    ['a closed door', draft({ now: azores('2026-11-23', '17:00') }), ['intake-closed']],
    ['holding time over', draft({}, bottle('bacteria', monday - 19 * hour)), ['holding-over']],
    ['holding time short', draft({}, bottle('bacteria', monday - 17.5 * hour)), ['holding-short']],
    ['a spoilt sample', draft({ lines: [{ ...draft().lines[0]!, sampleType: 'invalid' }] }), ['sample-spoilt']],
    ['no residual', draft({ lines: [{ ...draft().lines[0]!, residual: null }] }), ['residual-missing']],
  ])('%s', (_, form, expected) => expect(codes(form)).toEqual(expected));

  it('asks for a seal only where the lab does', () => {
    expect(codes(draft(), { ...lab, asksForSeal: true })).toEqual(['no-seal']);
    expect(codes(draft({ seal: '0419' }), { ...lab, asksForSeal: true })).toEqual([]);
  });
});

it('takes a signature only from who hands over', () => {
  const form = {
    to: 'lab',
    releasedBy: 'Inês Faria',
    receivedBy: 'Desk',
    coolerTemperature: { text: '4', unit: 'degC' },
    bottles: [{ bottle: 'A', condition: 'good' }],
  };
  expect(handedOver.payload.safeParse({ ...form, signature: 'inês faria ' }).success).toBe(true);
  expect(handedOver.payload.safeParse({ ...form, signature: 'I. F.' }).error?.issues[0]?.path).toEqual(['signature']);
});
