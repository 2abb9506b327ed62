import { boundsOf, type VerdictState } from '@fonte/core/limits';
import { parameter } from '@fonte/core/parameters';
import type { RoundVerdict } from '@fonte/core/round';

/** The verdict in one sentence: bacteria first, found or not whatever a set says of them; then what is over, and what cannot be told. */
export function headline(verdict: RoundVerdict): string {
  const all = verdict.visits.flatMap((visit) => visit.judged);
  const germs = all.filter(({ result }) => parameter(result.parameter).unit === 'per100mL');
  const rest = all.filter((one) => !germs.includes(one));
  const count = (state: VerdictState) => rest.filter((one) => one.verdict.state === state).length;
  const sums = verdict.visits.flatMap((visit) => visit.sums).filter((sum) => sum.state === 'over-health').length;
  const plural = (number: number, one: string, many: string) => (number === 1 ? `1 ${one}` : `${number} ${many}`);
  let isFirst = true;
  const told = (state: VerdictState, what: string, [one, many] = ['is ', 'are ']) => {
    const number = count(state);
    if (number === 0) return [];
    const results = isFirst ? plural(number, 'result ', 'results ') : `${number} `;
    isFirst = false;
    return [`${results}${number === 1 ? one : many}${what}`];
  };
  const found = germs.flatMap(({ result, verdict: one }) => {
    const name = parameter(result.parameter).name;
    if (boundsOf(result).low > 0) return [`${name} found`];
    return one.state === 'meets' || result.form === 'absent' || result.value === 0 ? [] : [`${name} cannot be told`];
  });
  const parts = [
    ...new Set(found),
    ...(verdict.blanks.some(({ isHit }) => isHit) ? ['a blank was not clean'] : []),
    ...told('over-health', 'over a health value'),
    ...(sums > 0 && count('over-health') === 0 ? ['nitrate and nitrite together are over'] : []),
    ...told('over-action', 'over an action level'),
    ...told('cannot-tell', 'cannot be told', ['', '']),
    ...told('over-indicator', 'over an indicator value'),
    ...told('over-aesthetic', 'over a value for taste or looks'),
  ];
  const text = parts.join(', ');
  const unset = count('no-value');
  if (text === '')
    return unset > 0 ? `Every result that has a value meets it; ${plural(unset, 'has', 'have')} none.` : 'Every result meets its value.';
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}
