import type { VerdictState } from '@fonte/core/limits';
import type { MarkKind } from '../theme/Mark.tsx';

/** A verdict's word, shape and tone. */
export const verdictWords: Record<VerdictState, [string, MarkKind, string]> = {
  'over-health': ['Over a health value', 'stop', 'stop'],
  'over-action': ['Over the action level', 'stop', 'stop'],
  'cannot-tell': ['Cannot tell', 'open', 'open'],
  'proves-nothing': ['Proves nothing', 'open', 'open'],
  'over-operational': ['Over an operational value', 'question', 'question'],
  'over-indicator': ['Over an indicator value', 'question', 'question'],
  'over-aesthetic': ['Over a value for taste or looks', 'question', 'question'],
  meets: ['Meets', 'good', 'good'],
  'no-value': ['No value set', 'note', 'soft'],
};
