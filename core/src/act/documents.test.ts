import { describe, expect, it } from 'vitest';
import { followUpTables } from './tables/rules.ts';

/*
 * By when each follow-up is due, typed in the words of the rules (from memory): hours, or the end of the day. 40 CFR 141.858: repeats
 * within 24 hours of the notice; 141.402: within 24 hours; 141.861: by the end of the day; 141.85(d): within three days. The rest is
 * common practice of the house, in days.
 */
const due: Record<string, number | 'end of the day'> = {
  'ecoli-authority': 'end of the day',
  'ecoli-at-once': 'end of the day',
  'coliform-repeats': 24,
  'coliform-source': 24,
  'action-level-people': 3 * 24,
  // Common practice.
  'coliform-cause': 24,
  'coliform-special': 24,
  'raw-coliforms': 24,
  'doubtful-again': 24,
  'duplicate-again': 24,
  'chemical-authority': 'end of the day',
  'private-germs': 'end of the day',
  'private-chemical': 'end of the day',
  'ask-which-holds': 'end of the day',
  'monitoring-coordinator': 3 * 24,
  'ask-lower-limit': 3 * 24,
  'action-level-operator': 3 * 24,
  'proves-nothing': 3 * 24,
  legionella: 'end of the day',
  'plumbing-germ': 24,
  'other-germ': 24,
  'use-suffers': 3 * 24,
};

describe('follow-ups of every edition', () => {
  it.each(followUpTables.all.map((table) => [table.edition, table.rules] as const))('of %s are due when their rule says', (_, rules) => {
    const said = rules.map(({ id, due: by }) => [id, 'hours' in by ? by.hours : 'end of the day']);
    expect(said).toEqual(rules.map(({ id }) => [id, due[id]]));
  });
});
