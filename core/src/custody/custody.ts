import type { z } from 'zod';
import { misfit, type Room } from '../book/index.ts';
import type { BottleOnItsWay, RuleId } from '../bottles/index.ts';
import type { Lab } from '../registers/index.ts';
import { millis } from '../time/index.ts';
import { handedOver, labAnswered } from './entries.ts';
import { latestHandOver } from './intake.ts';
import type { WaitingBottle } from './waiting.ts';

export interface HandOver {
  entry: string;
  at: number;
  form: z.infer<typeof handedOver.payload>;
  answer: { at: number; reference: string; bottles: z.infer<typeof labAnswered.payload>['bottles'] } | null;
}

/** What a book says of its hand-overs, in the order of work, with the lab's answers. */
export type CustodyBook = readonly HandOver[];

export interface CustodyAround {
  /** The lab the round was planned for. */
  lab: string | null;
  /** Whether a bottle is filled and in the cooler. */
  isInCooler: (bottle: string) => boolean;
}

/** What the way to the lab depends on. */
interface CustodyView {
  plan: { lab: Lab | null };
  bottles: readonly (BottleOnItsWay & { rule: RuleId; filledAt: number | null })[];
  handOvers: readonly HandOver[];
  reports: readonly unknown[];
}

const isInTheCooler = ({ stage, lost }: BottleOnItsWay) => stage === 'filled' && !lost;

export const custodyRoom: Room<CustodyBook, CustodyAround, CustodyView, WaitingBottle> = {
  next: {
    'hand-over': ({ bottles }) => {
      const count = bottles.filter(isInTheCooler).length;
      return count > 0 ? { code: 'hand-over', data: { count } } : null;
    },
    // Without a registered lab nobody can be asked: its report is waited for.
    intake: ({ plan, reports, handOvers }) =>
      plan.lab && reports.length === 0 && handOvers.some((handOver) => !handOver.answer) ? { code: 'ask-lab' } : null,
  },
  waiting: ({ bottles, plan: { lab } }) =>
    bottles.flatMap((bottle) => {
      if (!isInTheCooler(bottle) || !bottle.holding) return [];
      const { deadline } = bottle.holding;
      const handOverBy = lab ? latestHandOver(lab, bottle.filledAt ?? deadline, deadline, bottle.rule) : deadline;
      return [{ bottle: bottle.id, visit: bottle.visit, deadline, handOverBy }];
    }),
  kinds: [handedOver, labAnswered],
  empty: [],
  fits: (handOvers, entry, around) => {
    if (labAnswered.is(entry)) {
      const handOver = handOvers.find((candidate) => candidate.entry === entry.payload.handOver);
      if (!handOver) return misfit('no-such-hand-over', 'payload.handOver');
      return handOver.answer ? misfit('lab-answered', 'payload.handOver') : null;
    }
    if (!handedOver.is(entry)) return null;
    const { bottles, to } = entry.payload;
    if (around.lab !== null && to !== around.lab) return misfit('other-lab', 'payload.to');
    const ids = bottles.map((line) => line.bottle);
    if (new Set(ids).size !== ids.length) return misfit('bottle-twice', 'payload.bottles');
    const wrong = ids.find((id) => !around.isInCooler(id));
    return wrong === undefined ? null : misfit('not-in-cooler', 'payload.bottles', { bottle: wrong });
  },
  advance: (handOvers, entry) => {
    const at = millis(entry.at);
    if (handedOver.is(entry)) return [...handOvers, { entry: entry.id, at, form: entry.payload, answer: null }];
    if (!labAnswered.is(entry)) return handOvers;
    const { handOver, reference, bottles } = entry.payload;
    return handOvers.map((one) => (one.entry === handOver ? { ...one, answer: { at, reference, bottles } } : one));
  },
};
