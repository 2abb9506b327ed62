import { actWords } from '../act/index.ts';
import { bookWords, type Ask, type Misfit, type MisfitWords } from '../book/index.ts';
import { custodyWords } from '../custody/index.ts';
import { fillAsks, fillWords } from '../fill/index.ts';
import { levelAsks, levelWords } from '../level/index.ts';
import { planWords } from '../plan/index.ts';
import { purgeAsks, purgeWords } from '../purge/index.ts';
import { readWords } from '../read/index.ts';
import { tapAsks, tapWords } from '../tap/index.ts';

/** The words of every room for its misfits. */
export const misfitWords: MisfitWords = {
  ...bookWords,
  ...planWords,
  ...levelWords,
  ...purgeWords,
  ...tapWords,
  ...fillWords,
  ...custodyWords,
  ...readWords,
  ...actWords,
};

const many = (one: string, more: (count: number) => string) => (data: Readonly<Record<string, string | number>>) =>
  data['count'] === 1 ? one : more(Number(data['count']));

/** The words of every room for what is asked next, and those for what concerns the whole round. */
export const askWords: MisfitWords = {
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

function say(words: MisfitWords, code: string, data: Misfit['data']): string {
  const found = Object.hasOwn(words, code) ? words[code] : undefined;
  return typeof found === 'function' ? found(data ?? {}) : (found ?? code);
}

/** A misfit as a sentence. */
export const sayMisfit = ({ code, data }: Misfit): string => say(misfitWords, code, data);

/** What to do next, in the imperative. */
export const sayNext = ({ code, data }: Ask): string => say(askWords, code, data);
