import type { Protocol, Step } from '../tap/index.ts';
import { purpose, type BottleRule, type PurposeId } from '../bottles/index.ts';
import { showHours } from '../time/index.ts';
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
      // How many hours it is stands in the protocol, and is said where they are counted.
      say: act.type === 'since' ? `${few.say}, for at least ${showHours(act.least * 1000)}` : few.say,
      why: few.why,
      ...(few.caution ? { caution: few.caution } : {}),
      act:
        act.type === 'checks' && items ? { ...act, items: act.items.map((one) => ({ ...one, label: items[one.id] ?? one.label })) } : act,
    },
  };
}

interface Filled {
  card: BottleRule;
  purpose: PurposeId;
}

/**
 * What a household must not do with its bottles, and how they wait, by what is in them: nothing is said of acid where there is none, and no
 * bottle that needs no cold goes into a fridge.
 */
export function careFor(bottles: readonly Filled[], protocols: readonly Pick<Protocol, 'id'>[]): { caution: string | null; cold: boolean } {
  const holds = bottles.some(({ card }) => card.preservative !== null);
  const bleach = protocols.some(({ id }) => Object.values(fewWords[id]?.steps ?? {}).some(({ picture }) => picture === 'bleach'));
  const caution = holds
    ? 'Some bottles hold acid or powder: do not rinse them, do not touch the inside. Keep children and pets away.'
    : bleach
      ? 'There is bleach in the kit: gloves on, nothing else into it. Keep children and pets away.'
      : null;
  const isCold = ({ card, purpose: of }: Filled) => purpose(of).isWater && card.temperature !== 'any';
  return { caution, cold: bottles.some(isCold) };
}
