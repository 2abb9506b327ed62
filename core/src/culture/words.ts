import { inBook, type Says } from '../book/index.ts';
import { countFindings } from '../counts/index.ts';
import { sayFinding, type Words } from '../findings/index.ts';
import { showNumber, showTyped } from '../units/index.ts';
import { cultureBegun, cultureDropped, cultureRead, type Counted } from './entries.ts';
import type { Count } from './judge.ts';
import { cultureMethod } from './methods.ts';
import type { CultureDoubt } from './room.ts';

export const cultureWords: Words = {
  'not-to-grow': ({ bottle }) => `${bottle} is not a filled bottle of bacteria that is still at hand.`,
  'say-filtered': 'Say how much was filtered; of wells nothing is filtered.',
  'culture-warmth': 'The incubator is too cold or too warm for this method. Put it right, or say why it was used.',
  'culture-medium': 'The medium is out of date. Take another, or say why it was used.',
  'no-such-culture': 'No such culture is growing.',
  'not-in-culture': ({ bottle }) => `${bottle} is not in this culture.`,
  'counted-already': ({ bottle }) => `${bottle} was counted already.`,
  'no-such-thing': 'Nothing of the kind went along, or it was looked at already.',
  'other-count': 'That is not what this method counts.',
  'more-than-wells': ({ wells, positive }) => `${positive} positive of ${wells}: count again.`,
  'more-ecoli': 'More E. coli than coliforms: each of them is one of the coliforms.',
  'nothing-yet': 'Before its time nothing follows from what has not grown. Wait.',
  'culture-too-early': 'Counted before its time. Wait, or say why; what is positive is at least so much.',
  'culture-too-late': 'Counted after its time: what turned late may be something else. Say why it stands.',
  'count-asked': (data) => {
    const { says, advice } = sayFinding(countFindings, { code: String(data['finding']), data });
    return `${says} ${advice ?? ''}`;
  },
};

/** A count as a person says it. */
export function sayCount({ form, value }: Count): string {
  const number = value === null ? '' : showNumber(value, value >= 100 ? 0 : 1);
  return {
    value: number,
    below: `< ${number}`,
    above: `> ${number}`,
    least: `≥ ${number}`,
    present: 'found',
    absent: 'not found',
    uncountable: 'too many to count',
    open: 'not known yet',
  }[form];
}

/** Its limits, as a sentence; nothing where there are none. */
export function sayLimits({ from, to }: Count): string {
  if (from === null && to === null) return '';
  const shown = (value: number) => showNumber(value, value >= 100 ? 0 : 1);
  return `95 %: ${from === null ? '0' : shown(from)} to ${to === null ? 'no end' : shown(to)} per 100 mL.`;
}

/** Why less may be believed of a count, as a sentence. */
export function sayCultureDoubt({ code, says = '' }: CultureDoubt): string {
  return {
    'no-blank': 'No blank went along: nobody knows what grows by itself.',
    'no-control': 'No positive control went along: nobody knows whether anything would have grown.',
    'blank-grew': 'The blank grew: what is positive proves nothing. Find out where it came from, and do it all again.',
    'control-silent': 'The positive control did not grow: what is negative proves nothing. Do it all again.',
    'too-early': `Counted too early: ${says}.`,
    'too-late': `Counted too late: ${says}.`,
    warmth: `The incubator was too cold or too warm: ${says}.`,
    medium: `The medium was out of date: ${says}.`,
    held: `Begun after the holding time: ${says}.`,
  }[code].replace(/\.\.$/, '.');
}

function sayCounted(counted: Counted): string {
  if (counted.of === 'growth') return counted.grew ? 'grew' : 'did not grow';
  if (counted.of === 'wells') return `positive ${counted.coliforms.join(' · ')}, of them E. coli ${counted.ecoli.join(' · ')}`;
  const many = (count: number | null) => (count === null ? 'too many to count' : String(count));
  return `${many(counted.coliforms)} colonies, of them E. coli ${many(counted.ecoli)}`;
}

export const cultureSays: readonly Says[] = [
  inBook(
    cultureBegun,
    ({ method, bottles, hasBlank, hasControl, medium, warmth, departure }) =>
      `${cultureMethod(method).name}: ${bottles.join(', ')}${hasBlank ? ', a blank' : ''}${hasControl ? ', a positive control' : ''}. Medium ${medium.lot}, until ${medium.expires}; ${showTyped(warmth)}.${departure ? ` Departs: ${departure}` : ''}`,
  ),
  inBook(
    cultureRead,
    ({ what, counted, departure, kept }) =>
      `${what.is === 'bottle' ? what.bottle : what.is === 'blank' ? 'Blank' : 'Positive control'}: ${sayCounted(counted)}.${departure ? ` Departs: ${departure}` : ''}${kept ? ` Kept: ${kept}` : ''}`,
  ),
  inBook(cultureDropped, ({ reason }) => reason),
];
