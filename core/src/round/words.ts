import { actWords } from '../act/index.ts';
import { bookWords } from '../book/index.ts';
import { custodyFindings, custodyWords } from '../custody/index.ts';
import { fillAsks, fillWords } from '../fill/index.ts';
import { say, sayFinding, type Coded, type FindingWords, type Words } from '../findings/index.ts';
import { levelAsks, levelFindings, levelWords } from '../level/index.ts';
import { pictureWords } from '../pictures/index.ts';
import { planWords } from '../plan/index.ts';
import { readingFindings } from '../parameters/index.ts';
import { purgeAsks, purgeFindings, purgeWords } from '../purge/index.ts';
import { readWords } from '../read/index.ts';
import type { Stage } from './bottle.ts';
import { tapAsks, tapWords } from '../tap/index.ts';

/** The words of every room for its misfits. */
export const misfitWords: Words = {
  ...bookWords,
  ...planWords,
  ...levelWords,
  ...purgeWords,
  ...tapWords,
  ...fillWords,
  ...pictureWords,
  ...custodyWords,
  ...readWords,
  ...actWords,
};

const many = (one: string, more: (count: number) => string) => (data: Readonly<Record<string, string | number>>) =>
  data['count'] === 1 ? one : more(Number(data['count']));

/** The words of every room for what is asked next, and those for what concerns the whole round. */
export const askWords: Words = {
  ...levelAsks,
  ...purgeAsks,
  ...tapAsks,
  ...fillAsks,
  'choose-analyses': 'Choose analyses',
  settle: many('Settle what stands aside: 1 entry', (count) => `Settle what stands aside: ${count} entries`),
  'hand-over': many('Hand over 1 bottle', (count) => `Hand over ${count} bottles`),
  'ask-lab': 'Ask the lab for its answer',
  'read-report': 'Read the report',
  'follow-up': many('Follow up: 1 thing to do', (count) => `Follow up: ${count} things to do`),
  'wait-for-report': 'Wait for the report',
};

/** The words of every room for its findings. */
export const findingWords: FindingWords = { ...readingFindings, ...levelFindings, ...purgeFindings, ...custodyFindings };

/** A misfit as a sentence. */
export const sayMisfit = (misfit: Coded): string => say(misfitWords, misfit);

/** What to do next, in the imperative. */
export const sayNext = (ask: Coded): string => say(askWords, ask);

/** A finding as a sentence, and what to do about it. */
export const sayAbout = (finding: Coded) => sayFinding(findingWords, finding);

export const stageNames: Record<Stage, string> = {
  planned: 'Planned',
  ready: 'Ready',
  measured: 'Measured',
  filled: 'Filled',
  'handed-over': 'Handed over',
  reported: 'Reported',
  judged: 'Judged',
};
