import type { SeriesKind } from '../../registers/index.ts';
import type { UnitId } from '../../units/index.ts';

/** How units stand in the names of columns, apart or in brackets. Common practice. */
export const unitWords: readonly (readonly [RegExp, UnitId])[] = [
  [/\bcm\s?-?(h2o|ws|wc|of water)\b/, 'cmH2O'],
  [/\bm\s?-?(h2o|ws|wc|of water)\b/, 'mH2O'],
  [/\bft\s?-?(h2o|of water)\b/, 'ftH2O'],
  [/\bin\s?-?(h2o|of water)\b/, 'inH2O'],
  [/\bmm\s?hg\b/, 'mmHg'],
  [/\bin\s?hg\b/, 'inHg'],
  [/\bkpa\b/, 'kPa'],
  [/\bhpa\b/, 'hPa'],
  [/\bmbar\b/, 'mbar'],
  [/\bbar\b/, 'bar'],
  [/\bpsi[ag]?\b/, 'psi'],
  [/\bpa\b/, 'Pa'],
  [/(°\s?c\b|\bdeg\.?\s?c\b|\bcelsius\b)/, 'degC'],
  [/(°\s?f\b|\bdeg\.?\s?f\b|\bfahrenheit\b)/, 'degF'],
  [/\bcm\b/, 'cm'],
  [/\bmm\b/, 'mm'],
  [/(\bft\b|\bfeet\b)/, 'ft'],
  [/(\bm\b|\bmet(er|re)s?\b)/, 'm'],
];

/** What the name of a column says that it holds; a pressure that does not say whether it is vented says nothing. */
export const columnWords: readonly (readonly [RegExp, SeriesKind])[] = [
  [/\b(baro\w*|air pressure|atmospher\w*|luftdruck|press[ãa]o atmosf[ée]rica)\b/, 'air'],
  [/\b(abs(olute)?|psia)\b/, 'absolute'],
  [/\b(gauge|gage|vented|psig|relative pressure)\b/, 'gauge'],
  [/\btemp(erature|eratura|eratur)?\b/, 'cold'],
  [/\b(depth to water|dtw|below (the )?(mark|toc|measuring point))\b/, 'depth'],
  [/\b(head|water column|submergence|height of water|water above (the )?sensor)\b/, 'head'],
];
