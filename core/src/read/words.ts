import type { MisfitWords } from '../book/index.ts';

export const readWords: MisfitWords = {
  'report-twice': 'This report is here already.',
  'no-such-report': 'There is no such report in this round.',
  'put-aside': 'This report is put aside already.',
};
