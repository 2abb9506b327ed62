/** What a lab says beside a number, or in its place. */
export type FlagMeaning =
  /** Not detected: the number, if there is one, is the bound. */
  | 'below'
  | 'above'
  | 'uncountable'
  /** The number is not exact. */
  | 'estimated'
  /** The lab itself does not stand by it. */
  | 'rejected'
  /** It says nothing about the number. */
  | 'nothing';

/**
 * Flags as labs write them, in capitals, without blanks and points. A flag that is not here is handed back with its row.
 * Sources: US EPA National Functional Guidelines for Superfund Methods Data Review (2020), data qualifiers U, J, UJ, R (from
 * memory); USGS NWIS remark codes <, >, E (from memory); the others are common practice.
 */
export const flagMeanings: Readonly<Record<string, readonly FlagMeaning[]>> = {
  '<': ['below'],
  '>': ['above'],
  U: ['below'],
  UJ: ['below', 'estimated'],
  ND: ['below'],
  NN: ['below'],
  BDL: ['below'],
  BRL: ['below'],
  BQL: ['below'],
  '<LOQ': ['below'],
  '<LOD': ['below'],
  '<RL': ['below'],
  '<MDL': ['below'],
  '<PQL': ['below'],
  '<LQ': ['below'],
  '<LD': ['below'],
  '<BG': ['below'],
  '<NG': ['below'],
  TNTC: ['uncountable'],
  J: ['estimated'],
  // Estimated, or beyond the calibration: either way the number is not exact.
  E: ['estimated'],
  // Found in the lab's blank too, or between its two limits: either way the number is not exact.
  B: ['estimated'],
  R: ['rejected'],
  REJ: ['rejected'],
  // Analysed too late, or with quality control out of bounds.
  H: ['rejected'],
  Q: ['rejected'],
  '=': ['nothing'],
};
