import { registerLists, type OwnLimitSet } from '@fonte/core/registers';
import { useAnswer } from '../api/useAnswer.ts';

/** The limit sets of the house as registered now; empty while they are being fetched. */
export function useOwnSets(): readonly OwnLimitSet[] {
  return useAnswer(registerLists.limits, { query: { limit: 500 } }).data ?? none;
}

const none: readonly OwnLimitSet[] = [];
