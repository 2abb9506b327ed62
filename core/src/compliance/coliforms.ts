/** From so many samples a month on a share counts, under it a number. Source: 40 CFR 141.859(a)(1) (from memory). */
const manySamples = 40;

/** Over this share of positive samples, or from so many positive ones on, the system has to be looked over. The same. */
const shareMost = 0.05;
const fewMost = 1;

export interface ColiformMonth {
  /** `2026-11`. */
  month: string;
  /** Routine and repeat samples; special ones do not count. */
  samples: number;
  positive: number;
  ecoli: number;
  /** What it triggers by itself: `level-1` by its share; `ecoli` asks for more than numbers tell. */
  triggers: 'none' | 'level-1';
}

/**
 * What the coliform samples of a month trigger: with 40 or more a share of positive ones over 5.0 %, with fewer the second positive one.
 * Source: 40 CFR 141.859(a)(1) (from memory).
 * @example coliformMonth('2026-11', 39, 2, 0).triggers // 'level-1'
 */
export function coliformMonth(month: string, samples: number, positive: number, ecoli: number): ColiformMonth {
  const isOver = samples >= manySamples ? positive / samples > shareMost : positive > fewMost;
  return { month, samples, positive, ecoli, triggers: isOver ? 'level-1' : 'none' };
}

/** Whether a month is the second with a level 1 within twelve months: then a level 2 is due. Source: 40 CFR 141.859(a)(2)(ii) (from memory). */
export function isLevel2(months: readonly ColiformMonth[], month: string): boolean {
  const number = (text: string) => Number(text.slice(0, 4)) * 12 + Number(text.slice(5, 7));
  const triggered = months.filter(({ triggers }) => triggers === 'level-1').map((one) => number(one.month));
  const now = number(month);
  return triggered.includes(now) && triggered.some((other) => other < now && now - other < 12);
}
