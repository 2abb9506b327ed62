import type { UnitId } from '../../units/index.ts';

/**
 * What a parameter is. `germ` lives, and one of it may be too many; `count` is a number of colonies that says how clean the water
 * is kept; `aggregate` is defined by the way it is measured.
 */
export const parameterKinds = [
  'physical',
  'disinfectant',
  'germ',
  'count',
  'ion',
  'nutrient',
  'metal',
  'aggregate',
  'by-product',
  'organic',
  'PFAS',
  'pesticide',
  'radiological',
] as const;
export type ParameterKind = (typeof parameterKinds)[number];

type Range = readonly [number, number];

export interface ParameterRow {
  name: string;
  /** A formula or the short name that reports use: `NO₃`, `PFOS`. */
  symbol?: string;
  /** Registry number of the substance, where it is one. */
  cas?: string;
  kind: ParameterKind;
  /** The unit results are kept and compared in. */
  unit: UnitId;
  decimals: number;
  /** What nature and instruments can produce; outside it the number is refused as a slip. In `unit`. */
  possible: Range;
  /** What fresh groundwater and drinking water usually show; outside it the number is asked about. In `unit`. */
  usual?: Range;
  /** What labs usually find in groundwater and drinking water where they find anything: outside it the unit may be wrong. In `unit`. */
  usualAtLab?: Range;
  /** The ways in which a result is expressed, each with the factor that takes it to the kept one. A report has to say which. */
  expressedAs?: Readonly<Record<string, number>>;
  /** It may hang on particles: what passed a filter is another result than all of it. */
  isBound?: true;
  /** It comes out of pipes and fittings: only water that stood in them shows it. */
  fromPipes?: true;
  /** What is read is what the treatment puts in: it keeps germs down, and fades. */
  isDisinfectant?: true;
}

type Own = Omit<ParameterRow, 'name' | 'symbol' | 'cas' | 'kind' | 'possible'> & { possible?: Range };

/** Makes rows of one kind that have a range of possible numbers in common. */
export const rowsOfKind =
  (kind: ParameterKind, possible: Range, shared: Partial<ParameterRow> = {}) =>
  (name: string, symbol: string | null, cas: string | null, own: Own): ParameterRow => ({
    name,
    ...(symbol === null ? {} : { symbol }),
    ...(cas === null ? {} : { cas }),
    kind,
    possible,
    ...shared,
    ...own,
  });
