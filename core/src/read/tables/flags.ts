/** What a lab says beside a number, or in its place. */
export const flagMeaningNames = [
  /** Not detected: the number, if there is one, is the bound. */
  'below',
  'above',
  'uncountable',
  /** The number is not exact. */
  'estimated',
  /** The lab itself does not stand by it. */
  'rejected',
  /** It says nothing about the number. */
  'nothing',
] as const;
export type FlagMeaning = (typeof flagMeaningNames)[number];

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
  NQ: ['below'],
  '<LDM': ['below'],
  '<LC': ['below'],
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
  // Exceeds the range of the count or of the instrument.
  '>RANGE': ['above'],
  R: ['rejected'],
  REJ: ['rejected'],
  // Analysed too late, or with quality control out of bounds.
  H: ['rejected'],
  Q: ['rejected'],
  '=': ['nothing'],
};

/** Words by which a legend shows that it gives a flag the meaning that the table has; without one of them the flag is asked about. */
export const legendWords: Readonly<Record<FlagMeaning, RegExp>> = {
  below: /not det|non.?det|undet|below|less|<|inferior|abaixo|n[ãa]o det|no det|non d[ée]t|nicht|unter|debajo|menor|limit/i,
  above: /above|over|exceed|greater|more than|>|acima|superior|[üu]ber|supérieur|por encima|mayor|range/i,
  uncountable: /numerous|count|cont|z[äa]hl|compt/i,
  estimated: /estim|approx|aprox|calibra|blank|branco|blanco|blanc|between|entre|gesch[äa]tzt|range|below|less|limit/i,
  rejected: /reject|unus|invalid|rejei|rechaz|rejet|verworfen|holding|hold time|out of|outside|quality|prazo|plazo|d[ée]lai|frist/i,
  nothing: /./,
};
