import type { z } from 'zod';
import { misfit, type Room } from '../book/index.ts';
import type { BottleOnItsWay } from '../bottles/index.ts';
import type { Party } from '../custody/index.ts';
import { millis } from '../time/index.ts';
import { kitGiven, kitPutOut, kitTakenBack } from './entries.ts';

/** A kit that a household has: whose it is, and whether it stands outside. */
export interface KitBook {
  given: ({ entry: string; at: number } & z.infer<typeof kitGiven.payload>) | null;
  putOut: { entry: string; at: number; note: string } | null;
}

export interface KitAround {
  /** So many visits the round has. */
  visits: number;
  /** Whether any of its bottles was filled. */
  isFilled: boolean;
}

interface KitView {
  kit: KitBook;
  bottles: readonly (BottleOnItsWay & { filledAt: number | null; holder: { party: Party } | null })[];
}

/** The household that has the bottles of a kit until somebody takes them; null where there is no kit. */
export const household = ({ given }: KitBook): Party | null => given && { as: 'household', name: given.name };

export const kitRoom: Room<KitBook, KitAround, KitView> = {
  kinds: [kitGiven, kitPutOut, kitTakenBack],
  empty: { given: null, putOut: null },
  fits: (kit, entry, around) => {
    if (kitGiven.is(entry)) {
      if (around.visits !== 1) return misfit('kit-of-one-point', 'payload.person');
      // What somebody else has filled is not theirs.
      return around.isFilled && kit.given?.person !== entry.payload.person ? misfit('kit-filled', 'payload.person') : null;
    }
    if (!kit.given) return misfit('no-kit', 'kind');
    if (kitTakenBack.is(entry)) return around.isFilled ? misfit('kit-filled', 'kind') : null;
    if (kit.putOut) return misfit('put-out-already', 'kind');
    return around.isFilled ? null : misfit('nothing-filled', 'kind');
  },
  advance: (kit, entry) => {
    if (kitTakenBack.is(entry)) return kitRoom.empty;
    const at = millis(entry.at);
    if (kitGiven.is(entry)) return { ...kit, given: { entry: entry.id, at, ...entry.payload } };
    return kitPutOut.is(entry) ? { ...kit, putOut: { entry: entry.id, at, note: entry.payload.note } } : kit;
  },
  next: {
    'hand-over': ({ kit: { given, putOut }, bottles }) => {
      if (!given) return null;
      const data = { name: given.name, note: putOut?.note ?? '', ...given.pickUp };
      if (bottles.some(({ holder, filledAt, lost }) => filledAt !== null && !lost && holder?.party.as === 'household'))
        return putOut ? { code: 'pick-up', data } : { code: 'kit-soon', data };
      return bottles.every(({ filledAt }) => filledAt === null) ? { code: 'kit-out', data } : null;
    },
  },
};
