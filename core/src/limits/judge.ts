import type { LabResult } from '../read/index.ts';
import { parameter, type ParameterId } from '../parameters/index.ts';
import { convert, showNumber, unitLabel } from '../units/index.ts';
import type { LimitRow, LimitSet } from './tables/limit-set.ts';

export type { LimitKind, LimitRow, LimitSet, SumRule } from './tables/limit-set.ts';

export type VerdictState = 'meets' | 'over-health' | 'over-indicator' | 'cannot-tell' | 'no-value';

/** What a result says against a limit. `share` is the result as a part of the upper limit, for the scale. */
export interface Verdict {
  state: VerdictState;
  /** Meets the limit, with four fifths of it used up or more. */
  close: boolean;
  limit: LimitRow | null;
  /** Upper and lower limit in the parameter's own unit. */
  most: number | null;
  least: number | null;
  share: number | null;
  because: string;
}

/** From this share of a limit on, a result that meets it is called close. Common practice. */
export const closeFrom = 0.8;

/** The row that holds for a parameter on the day of sampling (`YYYY-MM-DD`), or null. */
export function limitFor(set: LimitSet, id: ParameterId, sampledOn: string): LimitRow | null {
  return (
    set.rows.find((row) => row.parameter === id && (!row.from || sampledOn >= row.from) && (!row.until || sampledOn <= row.until)) ?? null
  );
}

/** The least and the most a result can be in truth, in the parameter's own unit. */
export function boundsOf(result: Pick<LabResult, 'form' | 'value' | 'reportingLimit'>): { low: number; high: number } {
  const { form, value, reportingLimit } = result;
  switch (form) {
    case 'value':
      return { low: value ?? 0, high: value ?? 0 };
    case 'below':
      return { low: 0, high: value ?? reportingLimit ?? Infinity };
    case 'above':
      return { low: value ?? 0, high: Infinity };
    case 'absent':
      return { low: 0, high: 0 };
    case 'present':
      return { low: 1, high: Infinity };
    case 'uncountable':
      return { low: 1, high: Infinity };
  }
}

/**
 * For germs counted in 100 mL with a limit of none, "less than 1" is none found; a larger bound leaves it open.
 * Source: ISO 8199 (from memory).
 */
function noneFound(id: ParameterId, high: number, most: number | null): boolean {
  return parameter(id).unit === 'per100mL' && most === 0 && high <= 1;
}

/**
 * Judges a result against the value of a set that held when it was sampled. A result known only to lie below a bound
 * that is over the limit cannot be told: it neither meets nor breaks it.
 */
export function judgeResult(result: LabResult, set: LimitSet, sampledOn: string): Verdict {
  const limit = limitFor(set, result.parameter, sampledOn);
  const { unit: own, decimals } = parameter(result.parameter);
  if (!limit)
    return { state: 'no-value', close: false, limit: null, most: null, least: null, share: null, because: 'No value in this set.' };
  const most = limit.most === undefined ? null : convert(limit.most, limit.unit, own);
  const least = limit.least === undefined ? null : convert(limit.least, limit.unit, own);
  const { low, high } = boundsOf(result);
  const shown = (value: number) => `${showNumber(value, Number.isInteger(value) ? 0 : decimals)} ${unitLabel(own)}`.trim();
  const verdict = (state: VerdictState, because: string): Verdict => {
    const known = Number.isFinite(high) ? high : low;
    return {
      state,
      because,
      limit,
      most,
      least,
      close: state === 'meets' && result.form === 'value' && most !== null && most > 0 && low >= closeFrom * most && least === null,
      share: most ? known / most : null,
    };
  };
  const over = limit.kind === 'health' ? 'over-health' : 'over-indicator';

  const counted = result.form === 'below' && noneFound(result.parameter, high, most);
  if (most !== null && low > most) return verdict(over, `Over ${shown(most)}.`);
  if (least !== null && high < least) return verdict(over, `Under ${shown(least)}.`);
  if (counted) return verdict('meets', 'None found.');
  if (most !== null && high > most) {
    const bound = Number.isFinite(high)
      ? `Only known to be below ${shown(high)}, and the limit is ${shown(most)}.`
      : 'Not detected, but the lab does not say down to what.';
    return verdict('cannot-tell', result.form === 'above' ? `Only known to be over ${shown(low)}.` : bound);
  }
  if (least !== null && low < least) return verdict('cannot-tell', `Only known to be below ${shown(high)}.`);
  return verdict(
    'meets',
    most === null ? `At least ${shown(least ?? 0)}.` : least === null ? `Up to ${shown(most)}.` : `${shown(least)} to ${shown(most)}.`,
  );
}
