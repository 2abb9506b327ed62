import type { SampleReason } from '../bottles/index.ts';
import type { PurgeState } from './state.ts';
import { choiceOf, trouble } from './troubles.ts';

const reason = (code: SampleReason['code'], makes: SampleReason['makes'], data: SampleReason['data']): SampleReason => ({
  code,
  makes,
  data,
});

/**
 * What the purge makes of a sample that was filled after it: the last decision on each trouble, a purge that ended short, or none at all.
 * Purges that ended before anybody was asked how the bottles are filled are left as they were judged then.
 */
export function purgeReasons({ setUp, ended, decisions, ready }: PurgeState, filledAt: number | null): SampleReason[] {
  if (filledAt === null || !setUp || !ended) return [];
  const last = new Map(decisions.filter(({ at }) => at <= filledAt).map((one) => [one.trouble, one]));
  const decided = [...last.values()].flatMap(({ trouble: id, choice, reason: why }) => {
    const row = choiceOf(id, choice);
    const data = { trouble: trouble(id).name, choice: row?.do ?? choice, reason: why };
    return row ? [reason('purge-trouble', row.makes === 'noted' ? 'routine' : row.makes, data)] : [];
  });
  if (setUp.chosen.method === 'none') {
    // What a passive sampler takes is the water of the screen: noted beside the result, for whoever compares it with purged ones.
    const makes = setUp.chosen.sampler === 'passive' ? 'routine' : 'special';
    return [...decided, reason('not-purged', makes, { reason: setUp.chosen.reason })];
  }
  // Whoever decided at five volumes has said what comes of it.
  const isShort = !ready && ended.filling !== undefined && !last.has('five-volumes');
  return isShort ? [...decided, reason('purge-short', 'special', { reason: ended.reason ?? '' })] : decided;
}
