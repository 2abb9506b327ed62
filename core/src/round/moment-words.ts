import type { FindingWords } from '../findings/index.ts';
import { minute, showDate, showDuration } from '../time/index.ts';

/** What is asked about a moment that is said after its time. */
export const momentFindings: FindingWords = {
  'moment-ahead': [({ minutes }) => `That is ${showDuration(Number(minutes) * minute)} ahead of now.`, 'Check day and year.'],
  'moment-other-day': [
    ({ day, date }) => `That is on ${showDate(String(day))}; the round is on ${showDate(String(date))}.`,
    'Check day, month and year.',
  ],
  'moment-before-check': ['That is before the instruments were checked.', 'What was read then was read with an unchecked instrument.'],
  'moment-after-hand-over': ['That is after the bottles were handed over.', 'What was done then was not done to these bottles.'],
};
