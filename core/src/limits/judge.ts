import type { LabResult } from '../read/index.ts';
import { isCounted, parameter, type ParameterId } from '../parameters/index.ts';
import { convert } from '../units/index.ts';
import type { SampleKind } from '../bottles/index.ts';
import { limitKinds, type LimitKind, type LimitPlace, type LimitRow, type LimitSet } from './tables/limit-set.ts';

export type { LimitKind, LimitPlace, LimitRow, LimitSet, SumRule } from './tables/limit-set.ts';
export { limitKinds };

export type VerdictState = 'meets' | `over-${LimitKind}` | 'cannot-tell' | 'proves-nothing' | 'no-value';

/** From the worst to what says nothing. What cannot be told comes after what is unsafe, before what is only unpleasant. */
export const verdictStates: readonly VerdictState[] = [
  'over-health',
  'over-action',
  'cannot-tell',
  'over-operational',
  'over-indicator',
  'over-aesthetic',
  'proves-nothing',
  'meets',
  'no-value',
];

/**
 * Why a result under a value is no proof that the water meets it: the sample was special or spoilt, what hangs on particles was
 * filtered off, the pipes had been flushed of what comes from them, or somebody else took it. A number over a value is over it all the same.
 */
export const weaknesses = [
  'invalid',
  'special',
  'contradicted',
  'duplicate',
  'dissolved',
  'flushed',
  'told',
  'screened',
  'doubted',
  'brought',
  'late',
  'own-bench',
] as const;
export type Weakness = (typeof weaknesses)[number];

/** What is known of a sample besides its number. */
export interface Sampled {
  sample: SampleKind;
  /** Told, and not yet reported. */
  isTold: boolean;
  /** Something else was told than is reported. */
  isContradicted: boolean;
  /** Counted on the own bench and in no lab. */
  isOwnBench?: boolean;
  /** Measured too late or not quite in order, as the lab says. */
  isLate?: boolean;
  /** Filtered water of a supply: what people drink is not. */
  isDissolved: boolean;
  /** Not the water that stood in the pipes. */
  isFlushed: boolean;
}

/** Why a result of a parameter would be no proof where it lies under a value; null where it is one. */
export function weaknessOf(
  id: ParameterId,
  { sample, isTold, isContradicted, isOwnBench = false, isLate = false, isDissolved, isFlushed }: Sampled,
): Weakness | null {
  if (sample !== 'routine') return sample;
  if (isContradicted) return 'contradicted';
  if (isLate) return 'late';
  if (isDissolved) return 'dissolved';
  if (isFlushed && parameter(id).fromPipes) return 'flushed';
  return isTold ? 'told' : isOwnBench ? 'own-bench' : null;
}

/** What a result says against one value, as a code with its numbers in the parameter's own unit. */
export interface Because {
  code: 'no-value' | 'over' | 'under' | 'none-found' | 'not-detected' | 'only-below' | 'only-above' | 'guarded' | 'within';
  most: number | null;
  least: number | null;
  bound: number | null;
}

/** What a result says against a set. `share` is the result as a part of the upper limit, for the scale. */
export interface Verdict {
  state: VerdictState;
  /** Meets the limit, with four fifths of it used up or more. */
  close: boolean;
  /** The value that decides: the one that is broken or left open, else the one that is nearest. */
  limit: LimitRow | null;
  /** Upper and lower limit in the parameter's own unit. */
  most: number | null;
  least: number | null;
  share: number | null;
  /** The limit lies within the uncertainty that the lab states. Simple acceptance (ILAC-G8:09/2019, from memory): the number itself decides. */
  isWithinUncertainty: boolean;
  /** Why it is no proof, where it is none. */
  weakness: Weakness | null;
  because: Because;
}

/** From this share of a limit on, a result that meets it is called close. Common practice. */
export const closeFrom = 0.8;

const rowsById = new WeakMap<LimitSet, Map<ParameterId, LimitRow[]>>();

/** The rows of a parameter, looked for once a set: a long list of results asks for them again and again. */
function rowsOf(set: LimitSet, id: ParameterId): readonly LimitRow[] {
  const known = rowsById.get(set);
  if (known) return known.get(id) ?? [];
  const rows = new Map<ParameterId, LimitRow[]>();
  for (const row of set.rows) rows.set(row.parameter, [...(rows.get(row.parameter) ?? []), row]);
  rowsById.set(set, rows);
  return rows.get(id) ?? [];
}

/** The rows that hold for a parameter on the day of sampling (`YYYY-MM-DD`). */
export function limitsFor(set: LimitSet, id: ParameterId, sampledOn: string): LimitRow[] {
  return rowsOf(set, id).filter((row) => (!row.from || sampledOn >= row.from) && (!row.until || sampledOn <= row.until));
}

const placed = new WeakMap<LimitSet, Map<string, LimitSet>>();

/** A set as it holds at a place: without the values that hold only elsewhere. The very same where nothing is left out. */
export function limitSetAt(set: LimitSet, { kind, isTreated }: LimitPlace): LimitSet {
  const holds = (row: LimitRow) => (row.at?.includes(kind) ?? true) && (row.isTreated ?? isTreated) === isTreated;
  if (set.rows.every(holds)) return set;
  const known = placed.get(set) ?? new Map<string, LimitSet>();
  placed.set(set, known);
  const key = `${kind} ${isTreated}`;
  const there = known.get(key) ?? { ...set, rows: set.rows.filter(holds) };
  known.set(key, there);
  return there;
}

/** What of a result its bounds follow from. */
export type Bounded = Pick<LabResult, 'parameter' | 'form' | 'value' | 'reportingLimit' | 'inclusive' | 'detectionLimit'>;

/** More than nothing, and nobody knows how much. */
const trace = Number.MIN_VALUE;

/**
 * The least and the most a result can be in truth, in the parameter's own unit. A number below the lab's own reporting limit
 * is known to lie below that limit and no better; nothing found of what is not counted is known to lie below it.
 */
export function boundsOf({ parameter: id, form, value, reportingLimit }: Bounded): { low: number; high: number } {
  const unseen = reportingLimit ?? Infinity;
  switch (form) {
    case 'value':
      return { low: value ?? 0, high: isCounted(id) ? (value ?? 0) : Math.max(value ?? 0, reportingLimit ?? 0) };
    case 'below':
      return { low: 0, high: value ?? unseen };
    case 'above':
      return { low: value ?? 0, high: Infinity };
    case 'absent':
      return { low: 0, high: isCounted(id) ? 0 : unseen };
    case 'present':
    case 'uncountable':
      return { low: isCounted(id) ? 1 : trace, high: Infinity };
  }
}

/** More than another number, and not only by what binary fractions cannot hold: 700 µg/L is not over 0.7 mg/L. */
const exceeds = (a: number, b: number) => a > b && !(a - b <= Math.abs(b) * 1e-9);

/**
 * For germs counted in 100 mL with a limit of none, less than the smallest number that a method finds in 100 mL is none found: less than 1,
 * and less than 1.1 where ten tubes of 10 mL were looked at. A larger bound leaves it open. Source: ISO 8199; Standard Methods 9221 C (ten
 * tubes of 10 mL: < 1.1; from memory).
 */
const leastFound = 1.1;

function noneFound({ parameter: id, form, inclusive }: LabResult, high: number, most: number | null): boolean {
  return form === 'below' && isCounted(id) && most === 0 && (inclusive ? high < 1 : !exceeds(high, leastFound));
}

function judgeRow(result: LabResult, limit: LimitRow): Verdict {
  const { unit: own } = parameter(result.parameter);
  const most = limit.most === undefined ? null : convert(limit.most, limit.unit, own);
  const least = limit.least === undefined ? null : convert(limit.least, limit.unit, own);
  const { low, high } = boundsOf(result);
  const verdict = (state: VerdictState, code: Because['code'], bound: number | null = null): Verdict => {
    const known = Number.isFinite(high) ? high : low;
    const near = [most, least].some(
      (value) => value !== null && result.uncertainty !== undefined && Math.abs(low - value) <= result.uncertainty,
    );
    return {
      state,
      isWithinUncertainty: result.form === 'value' && near,
      weakness: null,
      because: { code, most, least, bound },
      limit,
      most,
      least,
      close: state === 'meets' && result.form === 'value' && most !== null && most > 0 && !exceeds(closeFrom * most, low) && least === null,
      share: most ? known / most : null,
    };
  };
  const over: VerdictState = `over-${limit.kind}`;
  // `> 10` is more than 10, and `< 6.5` less than 6.5.
  const isStrict = !result.inclusive;
  const isAbove = most !== null && (exceeds(low, most) || (result.form === 'above' && isStrict && !exceeds(most, low)));
  if (isAbove) return verdict(over, 'over');
  const isBelow = least !== null && (exceeds(least, high) || (result.form === 'below' && isStrict && !exceeds(high, least)));
  if (isBelow) return verdict(over, 'under');
  if (noneFound(result, high, most)) return verdict('meets', 'none-found');
  if (most !== null && exceeds(high, most)) {
    if (result.form === 'above') return verdict('cannot-tell', 'only-above', low);
    return Number.isFinite(high) ? verdict('cannot-tell', 'only-below', high) : verdict('cannot-tell', 'not-detected');
  }
  if (least !== null && exceeds(least, low)) return verdict('cannot-tell', 'only-below', high);
  return verdict('meets', 'within');
}

/**
 * Judges a result against the values of a set that held when it was sampled; of several, the one that says the worst
 * decides. A result known only to lie below a bound that is over the limit cannot be told: it neither meets nor breaks it.
 */
export function judgeResult(result: LabResult, set: LimitSet, sampledOn: string, weakness: Weakness | null = null): Verdict {
  const verdict = guarded(judgeByRows(result, set, sampledOn), set);
  return verdict.state === 'meets' && weakness ? { ...verdict, state: 'proves-nothing', close: false, weakness } : { ...verdict, weakness };
}

/**
 * A verdict beside that of another bottle of the same water, where the two differ by more than duplicates do: what the other puts over a
 * value is not met here.
 */
export function besideDuplicate(verdict: Verdict, other: Verdict): Verdict {
  return verdict.state === 'meets' && other.state.startsWith('over-')
    ? { ...verdict, state: 'proves-nothing', close: false, weakness: 'duplicate' }
    : verdict;
}

/** A number that meets a value by less than the lab's uncertainty, in a set that asks for more than that. */
function guarded(verdict: Verdict, { isGuarded }: LimitSet): Verdict {
  if (!isGuarded || verdict.state !== 'meets' || !verdict.isWithinUncertainty) return verdict;
  return { ...verdict, state: 'cannot-tell', close: false, because: { ...verdict.because, code: 'guarded' } };
}

function judgeByRows(result: LabResult, set: LimitSet, sampledOn: string): Verdict {
  const badness = ({ state }: Verdict) => verdictStates.indexOf(state);
  const [worst] = limitsFor(set, result.parameter, sampledOn)
    .map((row) => judgeRow(result, row))
    .sort((a, b) => badness(a) - badness(b) || (b.share ?? 0) - (a.share ?? 0));
  const nothing = { most: null, least: null };
  return (
    worst ?? {
      state: 'no-value',
      close: false,
      limit: null,
      share: null,
      isWithinUncertainty: false,
      weakness: null,
      ...nothing,
      because: { code: 'no-value', bound: null, ...nothing },
    }
  );
}
