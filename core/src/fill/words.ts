import type { Words } from '../findings/index.ts';
import { inBook, type Says } from '../book/index.ts';
import { facts } from './facts.ts';
import { bottleDiscarded, bottleFilled, bottleLabelled, discardReasons } from './entries.ts';

export const fillWords: Words = {
  'no-such-bottle': 'No such bottle at this point.',
  'thrown-away': 'This bottle was thrown away.',
  'handed-over': 'This bottle was handed over.',
  'not-yet': 'This is later than now.',
  'code-of-other': ({ code, bottle }) => `${code} is ${bottle}: it cannot be the name of another bottle.`,
  'filled-already': 'This bottle is filled already.',
  'end-purge-first': 'End the purge first, with the flow cell detached.',
  'not-at-filling': ({ title }) => `“${title}” is not at its filling step.`,
};

export const fillSays: readonly Says[] = [
  inBook(bottleFilled, ({ bottle, stated, facts: looked = [], unfiltered }) =>
    [
      stated ? `${bottle}, at ${stated.collected.utc.slice(0, 16).replace('T', ' ')} UTC: ${stated.reason}` : `${bottle}.`,
      ...looked.map((id) => `${facts[id]}.`),
      unfiltered ? `Not filtered: ${unfiltered}.` : '',
    ]
      .filter(Boolean)
      .join(' '),
  ),
  inBook(
    bottleLabelled,
    ({ bottle, how, code }) => `${bottle}, ${how === 'scanned' ? 'scanned' : 'by eye'}${code ? `. The lab calls it ${code}` : ''}.`,
  ),
  inBook(bottleDiscarded, ({ bottle, reason, note }) => `${bottle}: ${discardReasons[reason].toLowerCase()}.${note ? ` ${note}` : ''}`),
];
