import { inBook, type Says } from '../book/index.ts';
import { sayFinding, type FindingWords, type Words } from '../findings/index.ts';
import { parameter, readingFindings } from '../parameters/index.ts';
import { showNumber, showTyped, unitLabel, type UnitId } from '../units/index.ts';
import { testBegun, testDropped, testRead, type Shown } from './entries.ts';
import type { Told } from './judge.ts';
import { method, type MethodId } from './methods.ts';
import type { Doubt } from './room.ts';

const with2 = (value: unknown, unit: unknown, decimals = 2) => `${showNumber(Number(value), decimals)} ${unitLabel(unit as UnitId)}`.trim();

export const fieldTestFindings: FindingWords = {
  'free-above-total': [
    ({ free, other }) =>
      `Free and total chlorine cannot be ${showNumber(Number(free), 2)} and ${showNumber(Number(other), 2)} mg/L: no more is free than there is in all.`,
    'Do both again, each with a fresh zero and a new portion.',
  ],
  'chlorine-in-raw': [
    ({ low }) => `${showNumber(Number(low), 2)} mg/L of chlorine in raw water.`,
    'Is it the right tap? Was the well chlorinated? Take no sample until it reads zero.',
  ],
  'over-saturated': [({ percent }) => `${percent} % of what air gives.`, 'A bubble at the sensor, or a bad calibration? Read again.'],
  'instrument-range': [
    ({ from, to, unit }) => `The instrument is for ${with2(from, unit)} to ${with2(to, unit)}.`,
    'Take another range or instrument, or dilute.',
  ],
  'not-from-zero': [({ high, unit }) => `Less than ${with2(high, unit)}: not told from zero.`],
  dilute: [
    ({ low, unit }) => `More than ${with2(low, unit)}, and nobody knows how much more.`,
    'Take the higher range, or make a new portion up with water that has none of it, and test that.',
  ],
  'end-of-dye': [
    ({ least, most }) => `The dye tells ${showNumber(Number(least), 1)} from ${showNumber(Number(most), 1)}, and nothing beyond.`,
    'Read it with a probe.',
  ],
  'between-steps': [({ to, unit }) => `Between two steps: it counts as up to ${with2(to, unit)}.`],
};

export const fieldTestWords: Words = {
  'no-such-test': 'No such test is running here.',
  'reagent-first': 'Begin the test first: its clock runs from the reagent on.',
  'no-reagent': ({ name }) => `${name} has no reagent to wait for.`,
  'other-reading': ({ name }) => `That is no reading of ${name}.`,
  'no-such-step': 'The chart has no such step.',
  'no-range': 'It has no range to be over.',
  'say-compensation': 'Does the meter state it at 25 °C?',
  'say-temperature': 'How warm is the water?',
  'lot-expired': ({ lot }) => `Lot ${lot} is out of date. Take another, or say why it is used.`,
  'too-early': 'Read before its time: the colour is not there yet. Wait, or say why.',
  'too-late': 'Read after its time: the colour goes on changing. Do it again, or say why it stands.',
  'test-cannot-be': (data) => sayFinding({ ...readingFindings, ...fieldTestFindings }, { code: String(data['finding']), data }).says,
  'test-asked': (data) => {
    const { says, advice } = sayFinding({ ...readingFindings, ...fieldTestFindings }, { code: String(data['finding']), data });
    return `${says} ${advice ?? ''} If it is right, say why.`;
  },
};

/** What was read, as it was. */
export function sayShown(by: MethodId, shown: Shown): string {
  if (shown.is === 'number') return showTyped(shown.reading);
  if (shown.is === 'over') return 'over its range';
  const { unit } = method(by);
  const at = (value: number) => String(value);
  return shown.from === shown.to
    ? `step ${at(shown.from)} ${unitLabel(unit)}`
    : `steps ${at(shown.from)} to ${at(shown.to)} ${unitLabel(unit)}`;
}

/** What a test tells of the water, in the parameter's own unit. */
export function sayTold({ parameter: of, form, low, high }: Told): string {
  const { unit, decimals } = parameter(of);
  const number = (value: number) => showNumber(value, decimals);
  const label = unitLabel(unit);
  const text = {
    value: number(low),
    below: `< ${number(high)}`,
    above: `> ${number(low)}`,
    class: low === high ? number(low) : `${number(low)} to ${number(high)}`,
  };
  return `${text[form]} ${label}`.trim();
}

/** Why less may be believed of a test, as a sentence. */
export function sayDoubt({ code, says }: Doubt): string {
  const because = says ? ` ${says}` : '';
  return {
    otherwise: `Not as the method asks:${because}.`,
    expired: `The reagent was out of date:${because}.`,
    'too-early': `Read too early:${because}.`,
    'too-late': `Read too late:${because}.`,
    unchecked: 'The instrument had no good check that day.',
    'by-eye': 'A class by eye, no number. Near a limit or over it, have an accredited lab look before anything is done.',
    'free-above-total': 'More free chlorine than in all: do both again.',
  }[code].replace(/\.\.$/, '.');
}

export const fieldTestSays: readonly Says[] = [
  inBook(
    testBegun,
    ({ method: by, instrument, lot, parts, otherwise }) =>
      `${method(by).name}${instrument ? `, with ${instrument.name}` : ''}.${lot ? ` Lot ${lot.lot}, until ${lot.expires}.` : ''}${parts > 1 ? ` Made up to ${parts} parts.` : ''}${otherwise ? ` Otherwise: ${otherwise}` : ''}`,
  ),
  inBook(
    testRead,
    ({ method: by, shown, departure, kept }) =>
      `${method(by).name}: ${sayShown(by, shown)}.${departure ? ` Departs: ${departure}` : ''}${kept ? ` Kept: ${kept}` : ''}`,
  ),
  inBook(testDropped, ({ reason }) => reason),
];
