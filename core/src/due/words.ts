import { inBook, type Says } from '../book/index.ts';
import type { DueState } from './due.ts';
import { programmeRegistered, periodName } from './programme.ts';
import type { SampleOfRecord } from './samples.ts';

export const dueNames: Record<DueState, string> = {
  done: 'Done',
  planned: 'Planned',
  due: 'To be taken',
  behind: 'Behind an even spread',
  'not-now': 'Not in season now',
  'out-of-use': 'Out of use',
};
export const owedNames: Record<SampleOfRecord['state'], string> = {
  planned: 'planned',
  taken: 'taken',
  special: 'was special',
  spoilt: 'was spoilt',
  refused: 'was refused or thrown away',
  dry: 'was not taken: the well was dry',
};

export const dueSays: readonly Says[] = [
  inBook(
    programmeRegistered,
    ({ name, points, analyses, times, per, counts }) =>
      `${name}: ${analyses.length} analyses, ${times} times in each ${periodName(per)}, ${counts === 'each' ? 'at each of' : 'over'} ${points.length} points.`,
  ),
];
