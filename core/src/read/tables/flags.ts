/** What a lab says beside a number, or in its place. */
export const flagMeaningNames = [
  /** Not detected: the number, if there is one, is the bound. */
  'below',
  'above',
  'uncountable',
  /** The number is not exact. */
  'estimated',
  /** It was measured too late or not quite in order: the lab gives the number, and it proves little. */
  'late',
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
  // A run of the diluted sample: the number is of the water all the same.
  D: ['nothing'],
  R: ['rejected'],
  REJ: ['rejected'],
  // Exceeds the range of the count or of the instrument.
  '>RANGE': ['above'],
  '=': ['nothing'],
};

/**
 * Flags that labs mean in several ways: B found in the lab's blank, or between two limits; E beyond the calibration, or estimated; H held too long; Q out of control, or qualified. Only the file's own legend tells, or a person.
 */
export const ambiguousFlags: ReadonlySet<string> = new Set(['B', 'E', 'H', 'Q', 'N', 'S', 'X', '*']);

/** What a legend makes of a flag, by its words: the first that fits. */
export const legendMeanings: readonly [RegExp, FlagMeaning][] = [
  [/reject|unusable|do not use|invalid|rejei|rechaz|rejet|verworfen|ung[üu]ltig|use (the )?dilut|see (the )?dilut/i, 'rejected'],
  [/holding|hold time|too late|fora do prazo|fuera de plazo|hors d[ée]lai|frist|outside|out of control|qc (limits|out)/i, 'late'],
  [/not det|non.?det|undet|n[ãa]o det|no det|non d[ée]t|nicht nachw|nicht best/i, 'below'],
  [
    /estim|approx|aprox|gesch[äa]tzt|blank|branco|blanco|blanc\b|blindwert|between|entre|zwischen|below (the )?(rl|report|quant)|exceed|calibra/i,
    'estimated',
  ],
  [/numerous|uncount|incont|z[äa]hlbar|d[ée]nombrable/i, 'uncountable'],
];

/** Words by which a legend shows that it gives a flag the meaning that the table has; without one of them the flag is asked about. */
export const legendWords: Readonly<Record<FlagMeaning, RegExp>> = {
  below: /not det|non.?det|undet|below|less|<|inferior|abaixo|n[ãa]o det|no det|non d[ée]t|nicht|unter|debajo|menor|limit/i,
  above: /above|over|exceed|greater|more than|>|acima|superior|[üu]ber|supérieur|por encima|mayor|range/i,
  uncountable: /numerous|count|cont|z[äa]hl|compt/i,
  estimated: /estim|approx|aprox|calibra|blank|branco|blanco|blanc|between|entre|gesch[äa]tzt|range|below|less|limit/i,
  late: /holding|late|time|prazo|plazo|d[ée]lai|frist|outside|control/i,
  rejected: /reject|unus|invalid|rejei|rechaz|rejet|verworfen|holding|hold time|out of|outside|quality|prazo|plazo|d[ée]lai|frist/i,
  nothing: /./,
};
