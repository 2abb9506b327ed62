import type { NumberStyle } from '../../units/index.ts';
import type { FlagMeaning } from '../tables/flags.ts';

/** How the cells of a file are written. */
export interface CellStyle extends NumberStyle {
  /** Which of the lab's limits a flag for “not detected” speaks of in this file, by {@link bareFlag}. */
  bounds?: Readonly<Record<string, 'reported' | 'seen'>>;
  /** A number with the other mark than most has it before its decimals: a person said so. */
  takesOther?: boolean;
  /** What flags mean in this file, by {@link bareFlag}; `unclear` where its own legend says something else than the table. */
  flags?: Readonly<Record<string, FlagMeaning | 'unclear'>>;
}
