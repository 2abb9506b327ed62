import { actWords } from '../act/index.ts';
import { bookWords, type Misfit, type MisfitWords } from '../book/index.ts';
import { custodyWords } from '../custody/index.ts';
import { fillWords } from '../fill/index.ts';
import { levelWords } from '../level/index.ts';
import { planWords } from '../plan/index.ts';
import { purgeWords } from '../purge/index.ts';
import { readWords } from '../read/index.ts';
import { tapWords } from '../tap/index.ts';

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

/** A misfit as a sentence. */
export function sayMisfit({ code, data }: Misfit): string {
  const words = Object.hasOwn(misfitWords, code) ? misfitWords[code] : undefined;
  return typeof words === 'function' ? words(data ?? {}) : (words ?? code);
}
