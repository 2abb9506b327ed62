import type { Stage } from '../bottles/index.ts';
import { arriveAsks } from '../arrive/index.ts';
import { fillAsks } from '../fill/index.ts';
import { say, type Coded, type Words } from '../findings/index.ts';
import { kitAsks } from '../kit/index.ts';
import { levelAsks } from '../level/index.ts';
import { purgeAsks } from '../purge/index.ts';
import { tapAsks } from '../tap/index.ts';
import type { ResultsExpected } from './lines.ts';

const many = (one: string, more: (count: number) => string) => (data: Readonly<Record<string, string | number>>) =>
  data['count'] === 1 ? one : more(Number(data['count']));

/** The words of every room for what is asked next, and those for what concerns the whole round. */
export const askWords: Words = {
  ...arriveAsks,
  ...levelAsks,
  ...purgeAsks,
  ...tapAsks,
  ...fillAsks,
  ...kitAsks,
  'choose-analyses': 'Choose analyses',
  settle: many('Settle what stands aside: 1 entry', (count) => `Settle what stands aside: ${count} entries`),
  'hand-over': many('Hand over 1 bottle', (count) => `Hand over ${count} bottles`),
  'ask-lab': 'Ask the lab for its answer',
  'read-culture': many('Count what grows on the bench', (count) => `Count what grows on the bench: ${count} cultures`),
  'read-report': 'Read the report',
  'follow-up': many('Follow up: 1 thing to do', (count) => `Follow up: ${count} things to do`),
  'wait-for-report': 'Wait for the report',
  'settle-rows': many('Look at 1 row that was not understood', (count) => `Look at ${count} rows that were not understood`),
};

/** What to do next, in the imperative. */
export const sayNext = (ask: Coded): string => say(askWords, ask);

/** What a lab is asked for, and by which names it knows it. */
export function sayExpected({ lab, reference, bottles }: ResultsExpected): { what: string; about: string } {
  const named = bottles.slice(0, 3).map(({ bottle, code }) => (code === null ? bottle : `${bottle}, theirs ${code}`));
  const more = bottles.length - named.length;
  return {
    what: `Ask ${lab} for the results of ${bottles.length === 1 ? '1 bottle' : `${bottles.length} bottles`}`,
    about: [...named, ...(more > 0 ? [`and ${more} more`] : []), ...(reference ? [`their number ${reference}`] : [])].join('; '),
  };
}

export const stageNames: Record<Stage, string> = {
  planned: 'Planned',
  ready: 'Ready',
  measured: 'Measured',
  filled: 'Filled',
  'handed-over': 'Handed over',
  reported: 'Reported',
  judged: 'Judged',
};
