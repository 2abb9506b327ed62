import type { Protocol, Step } from '../tap/index.ts';
import { fewWords, type FewWords, type KitWords } from './tables/few-words.ts';

/** Whether a household can walk a protocol with what is in a kit. */
export const isForHome = ({ id }: Pick<Protocol, 'id'>): boolean => id in fewWords;

/** What a household is told of a protocol; null for one that it is not given. */
export const wordsForHome = ({ id }: Pick<Protocol, 'id'>): KitWords | null => fewWords[id] ?? null;

/** A step as a household reads it, with its picture. One without few words stays as it is. */
export function atHome({ id }: Pick<Protocol, 'id'>, step: Step): { step: Step; few: FewWords | null } {
  const few = fewWords[id]?.steps[step.id] ?? null;
  if (!few) return { step, few };
  const { caution: _, ...rest } = step;
  const { act } = step;
  const items = few.items;
  return {
    few,
    step: {
      ...rest,
      say: few.say,
      why: few.why,
      ...(few.caution ? { caution: few.caution } : {}),
      act:
        act.type === 'checks' && items ? { ...act, items: act.items.map((one) => ({ ...one, label: items[one.id] ?? one.label })) } : act,
    },
  };
}
