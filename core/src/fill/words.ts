import type { Words } from '../findings/index.ts';
import { inBook, type Says } from '../book/index.ts';
import { bottleDiscarded, bottleFilled, discardReasons } from './entries.ts';

export const fillWords: Words = {
  'no-such-bottle': 'No such bottle at this point.',
  'thrown-away': 'This bottle was thrown away.',
  'handed-over': 'This bottle was handed over.',
  'not-yet': 'This is later than now.',
  'filled-already': 'This bottle is filled already.',
  'end-purge-first': 'End the purge first, with the flow cell detached.',
  'not-at-filling': ({ title }) => `“${title}” is not at its filling step.`,
};

export const fillSays: readonly Says[] = [
  inBook(bottleFilled, ({ bottle, stated }) =>
    stated ? `${bottle}, at ${stated.collected.utc.slice(0, 16).replace('T', ' ')} UTC: ${stated.reason}` : `${bottle}.`,
  ),
  inBook(bottleDiscarded, ({ bottle, reason, note }) => `${bottle}: ${discardReasons[reason].toLowerCase()}.${note ? ` ${note}` : ''}`),
];
