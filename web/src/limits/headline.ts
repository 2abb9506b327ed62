import { boundsOf, type VerdictState } from '@fonte/core/limits';
import { inText, parameter, type ParameterId } from '@fonte/core/parameters';
import type { HandOutcome } from '@fonte/core/read';
import type { RoundVerdict } from '@fonte/core/round';

const isGerm = (id: ParameterId) => parameter(id).unit === 'per100mL';
const plural = (number: number, one: string, many: string) => (number === 1 ? `1 ${one}` : `${number} ${many}`);

/** What is not known yet, in a few words each: it comes before anything that is well. */
function gapsIn({ gaps, visits }: RoundVerdict): string[] {
  const open = gaps.pending.flatMap(({ parameters }) => parameters);
  const germs = [...new Set(open.filter(isGerm))];
  const others = open.filter((id) => !isGerm(id)).length;
  const known = visits.flatMap((visit) => visit.judged).map(({ result }) => result.parameter);
  // Of what was told of one of them the headline speaks already.
  const waited = germs.filter((id) => !known.includes(id) || gaps.pending.filter(({ parameters }) => parameters.includes(id)).length > 1);
  const isAll = waited.length > 1;
  const judged = visits.flatMap((visit) => visit.judged);
  const preliminary = judged.filter(({ report, isPreliminary }) => report !== null && isPreliminary).length;
  return [
    ...(isAll ? ['bacteria pending'] : waited.map((id) => `${inText(id)} pending`)),
    ...(others > 0
      ? [`${plural(others, waited.length > 0 ? 'more result' : 'result', waited.length > 0 ? 'more results' : 'results')} pending`]
      : []),
    ...(gaps.rows > 0 ? [`${plural(gaps.rows, 'row', 'rows')} not understood`] : []),
    ...(gaps.without > 0 ? [`${plural(gaps.without, 'result', 'results')} will not come`] : []),
    ...(gaps.byHand > 0 ? [`${plural(gaps.byHand, 'sample is', 'samples are')} to be compared by hand`] : []),
    ...(preliminary > 0 ? [`${plural(preliminary, 'result is', 'results are')} preliminary`] : []),
  ];
}

/** Germs that were found, or of which nobody can tell, whatever a set says of them. */
function germsIn(verdict: RoundVerdict): { found: string[]; open: string[] } {
  const germs = verdict.visits.flatMap((visit) => visit.judged).filter(({ result }) => isGerm(result.parameter));
  const named = (all: typeof germs, what: string) =>
    [...new Set(all.map(({ result }) => result.parameter))].map((id) => {
      const isOfBench = all.every(({ result, bench }) => result.parameter !== id || bench !== undefined);
      return `${inText(id)} ${what}${isOfBench ? ' on the own bench' : ''}`;
    });
  const isFound = ({ result }: (typeof germs)[number]) => boundsOf(result).low > 0;
  const isOpen = ({ result, verdict: one }: (typeof germs)[number]) =>
    !['meets', 'proves-nothing'].includes(one.state) && result.form !== 'absent' && result.value !== 0;
  return {
    found: named(germs.filter(isFound), 'found'),
    open: named(
      germs.filter((one) => !isFound(one) && isOpen(one)),
      'cannot be told',
    ),
  };
}

/**
 * The verdict in one sentence, true for somebody who reads nothing else: germs that were found first, then what is over a health
 * value, what is not known yet, and the rest.
 */
export function headline(verdict: RoundVerdict): string {
  const all = verdict.visits.flatMap((visit) => visit.judged);
  const rest = all.filter(({ result }) => !isGerm(result.parameter));
  const count = (state: VerdictState, of = rest) => of.filter((one) => one.verdict.state === state).length;
  const sums = verdict.visits.flatMap((visit) => visit.sums).filter((sum) => sum.state === 'over-health').length;
  let isFirst = true;
  const told = (number: number, what: string, [one, many] = ['is ', 'are ']) => {
    if (number === 0) return [];
    const results = isFirst ? plural(number, 'result ', 'results ') : `${number} `;
    isFirst = false;
    return [`${results}${number === 1 ? one : many}${what}`];
  };
  const germs = germsIn(verdict);
  const gaps = gapsIn(verdict);
  const byHand = (outcome: HandOutcome) => verdict.byHand.filter(({ given }) => given?.outcome === outcome).length;
  const parts = [
    ...germs.found,
    ...told(count('over-health'), 'over a health value'),
    ...(byHand('over') > 0 ? [`${plural(byHand('over'), 'sample', 'samples')} over a limit by hand`] : []),
    ...(sums > 0 && count('over-health') === 0 ? ['nitrate and nitrite together are over'] : []),
    ...gaps,
    ...germs.open,
    ...(byHand('cannot-tell') > 0 ? [`${plural(byHand('cannot-tell'), 'sample', 'samples')} cannot be told by hand`] : []),
    ...(verdict.blanks.some(({ isHit }) => isHit) ? ['a blank was not clean'] : []),
    ...told(count('over-action'), 'over an action level'),
    ...told(count('cannot-tell'), 'cannot be told', ['', '']),
    ...told(count('proves-nothing', all), '', ['proves nothing', 'prove nothing']),
    ...told(count('over-indicator'), 'over an indicator value'),
    ...told(count('over-aesthetic'), 'over a value for taste or looks'),
  ];
  const unset = count('no-value');
  if (parts.length === 0 && all.length === 0) return 'What was compared by hand meets its limits.';
  if (parts.length === 0)
    return unset > 0 ? `Every result that has a value meets it; ${plural(unset, 'has', 'have')} none.` : 'Every result meets its value.';
  const text = parts.join(', ');
  const meets = count('meets', all);
  // Only where nothing but gaps stands before it, it is said that the rest is well.
  const end = parts.length > gaps.length || meets === 0 ? '' : unset > 0 ? '; the rest meets where it has a value' : '; the rest meets';
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}${end}.`;
}
