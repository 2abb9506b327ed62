/**
 * Contradictions within a file that nobody can settle from itself: each is asked about once, and the answer holds for all its rows. They are
 * taken as they are printed, or left out.
 */
export const confirmCodes = [
  /** A number that was found lies below the lab's own limit, and no flag says so. */
  'under-own-limit',
  /** “Less than” a number that is itself below the reporting limit. */
  'bound-under-limit',
  /** A number far from what is usual, in another unit than the limit beside it. */
  'unit-slip',
  /** The interval that stands beside a number does not hold it. */
  'outside-interval',
  /** More of a part than of the whole. */
  'part-over-whole',
  /** A number with the decimal mark that the others do not have. */
  'other-decimal',
  /** Two columns of results say different things. */
  'two-columns',
  /** The row names another point than its label. */
  'point-contradicts',
  /** One number of the lab stands for two samples. */
  'lab-number-twice',
  /** The row names no client in a file of several. */
  'no-client',
] as const;
export type ConfirmCode = (typeof confirmCodes)[number];

export const confirmAnswers = ['printed', 'out'] as const;
