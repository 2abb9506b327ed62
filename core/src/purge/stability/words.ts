import { say, type Coded, type Words } from '../../findings/index.ts';
import { parameter, type ParameterId } from '../../parameters/index.ts';
import { showNumber, unitLabel } from '../../units/index.ts';
import type { Against, Allowed, Criterion, Tolerance } from './criterion.ts';

export const shown = (id: unknown, value: unknown) => {
  const { decimals } = parameter(id as ParameterId);
  return showNumber(Number(value), decimals + (decimals < 2 ? 1 : 0));
};
export const unitOf = (id: unknown) => unitLabel(parameter(id as ParameterId).unit);

const stabilityWords: Words = {
  'not-read': 'not read',
  'few-sets': ({ read, asked }) => `${read} of ${asked} sets`,
  'too-coarse': ({ parameter: id, step, allowed }) => `read in steps of ${shown(id, step)}, ± ${shown(id, allowed)} allowed: read finer`,
  'below-step': ({ parameter: id, step }) => `at or below ${shown(id, step)} ${unitOf(id)}: below what the meter can tell`,
  'at-floor': ({ parameter: id, floor }) => `all at or below ${floor} ${unitOf(id)}`,
  drifting: ({ parameter: id, by, sets, allowed }) =>
    `drifting: ${shown(id, by)} ${unitOf(id)} one way over ${sets} sets, ± ${shown(id, allowed)} allowed`,
  moved: ({ parameter: id, by, allowed }) => `moved ${shown(id, by)} ${unitOf(id)}, ± ${shown(id, allowed)} allowed`,
};

/** Why a parameter holds or not, in a few words. */
export const sayStability = (because: Coded): string => say(stabilityWords, because);

/** What a criterion allows of one parameter: `pH ± 0.1`. */
export function sayTolerance({ parameter: id, absolute, percent, floor, small, cases = [] }: Tolerance): string {
  const both = ({ absolute: by, percent: part }: Allowed) =>
    [...(by === undefined ? [] : [String(by)]), ...(part === undefined ? [] : [`${part} %`])].join(' or ');
  const levels = [...(small ? [small] : []), ...cases].map((one) => ` (± ${both(one)} up to ${one.most})`);
  return `${parameter(id).name} ± ${both({ ...(absolute === undefined ? {} : { absolute }), ...(percent === undefined ? {} : { percent }) })}${floor === undefined ? '' : ` (free at or below ${floor})`}${levels.join('')}`;
}

const againstWords: Record<Against, string> = {
  previous: 'each set against the one before',
  median: 'against the median of the sets',
  spread: 'the sets against one another',
};
export const sayAgainst = ({ sets, against }: Pick<Criterion, 'sets' | 'against'>): string => `${sets} sets, ${againstWords[against]}`;
