import type { z } from 'zod';
import { misfit, type Entry, type Misfit, type Room } from '../book/index.ts';
import type { BottleOnItsWay, RuleId } from '../bottles/index.ts';
import type { Lab } from '../registers/index.ts';
import { millis } from '../time/index.ts';
import { answerTaken, boxRead, handedOver, labAnswered } from './entries.ts';
import { latestHandOver } from './intake.ts';
import { boxRecorded } from './record/index.ts';
import { isSameParty, type Party } from './party.ts';
import type { WaitingBottle } from './waiting.ts';

type AnsweredBottle = z.infer<typeof labAnswered.payload>['bottles'][number];

/** What a lab said of a hand-over: the last word on each bottle. */
export interface LabAnswer {
  /** When it last said something, in ms. */
  at: number;
  reference: string;
  bottles: readonly AnsweredBottle[];
  /** Taken down by a person, not by the lab's own desk: the entry, for corrections, and how it came. */
  taken: { entry: string; how: z.infer<typeof answerTaken.payload>['how']; whom: string } | null;
}

/** A leg of the chain of custody; with the lab's answer where it ends there. */
export interface HandOver {
  entry: string;
  at: number;
  form: z.infer<typeof handedOver.payload>;
  answer: LabAnswer | null;
}

/** What was read of a box. */
export interface BoxReading extends z.infer<typeof boxRead.payload> {
  entry: string;
  at: number;
}

/** What a logger recorded in a box. */
export interface BoxRecording extends z.infer<typeof boxRecorded.payload> {
  entry: string;
  at: number;
}

/** What a book says of the way of its bottles, in the order of work. */
export interface CustodyBook {
  legs: readonly HandOver[];
  boxes: readonly BoxReading[];
  records: readonly BoxRecording[];
}

export interface CustodyAround {
  /** The lab that a bottle goes to; null where the round has none for it. */
  labOf: (bottle: string) => Lab | null;
  /** Whether a bottle is filled and in somebody's hands. */
  isInCooler: (bottle: string) => boolean;
  /** Who has what is filled until it is passed on, where that is not us. */
  household: Party | null;
}

/** What the way to the lab depends on. */
interface CustodyView {
  plan: { lab: Lab | null };
  bottles: readonly (BottleOnItsWay & { rule: RuleId; filledAt: number | null; lab: Lab | null; holder: { party: Party } | null })[];
  handOvers: readonly HandOver[];
  reports: readonly unknown[];
}

const isInTheCooler = ({ stage, lost }: BottleOnItsWay) => stage === 'filled' && !lost;

/** The legs that end at a lab. */
export const deliveries = ({ legs }: CustodyBook): HandOver[] => legs.filter(({ form }) => form.to.as === 'lab');

/** Who holds a bottle, and since when (ms); null while it is with those who took it. */
export function holderOf({ legs }: Pick<CustodyBook, 'legs'>, bottle: string): { party: Party; since: number } | null {
  const leg = legs.findLast(({ form }) => form.bottles.some((line) => line.bottle === bottle));
  return leg ? { party: leg.form.to, since: leg.at } : null;
}

/** That a bottle was not found when the others changed hands, and has not turned up since; null where it was. */
export function missingSince({ legs }: Pick<CustodyBook, 'legs'>, bottle: string): HandOver | null {
  const last = legs.findLast(({ form }) => [...form.bottles, ...form.left].some((line) => line.bottle === bottle));
  return last?.form.left.some((line) => line.bottle === bottle && line.why === 'missing') ? last : null;
}

function legFits(book: CustodyBook, { bottles, left, from, to, boxes }: HandOver['form'], around: CustodyAround): Misfit | null {
  const ids = [...bottles, ...left].map((line) => line.bottle);
  const twice = ids.find((id, at) => ids.indexOf(id) !== at);
  if (twice !== undefined) return misfit('bottle-twice', 'payload.bottles', { bottle: twice });
  for (const id of ids) {
    if (!around.isInCooler(id)) return misfit('not-in-cooler', 'payload.bottles', { bottle: id });
    const holder = holderOf(book, id)?.party ?? around.household;
    if (holder && !isSameParty(holder, from)) return misfit('held-by-other', 'payload.from', { bottle: id, holder: holder.name });
    const lab = around.labOf(id);
    if (to.as === 'lab' && lab && to.lab !== lab.id) return misfit('other-lab', 'payload.to', { bottle: id, lab: lab.name });
  }
  const loose = bottles.find((line) => !boxes.some(({ box }) => box === line.box));
  return loose ? misfit('no-such-box', 'payload.boxes', { bottle: loose.bottle }) : null;
}

type Answer = Entry<string, z.infer<typeof labAnswered.payload>>;
const isAnswer = (entry: Entry): entry is Answer => labAnswered.is(entry) || answerTaken.is(entry);

/** An answer is to a form of this round, under the reference it has, and says something of bottles that stand on it. */
function answerFits({ legs }: CustodyBook, { payload }: Answer): Misfit | null {
  const leg = legs.find(({ entry, form }) => entry === payload.handOver && form.to.as === 'lab');
  if (!leg) return misfit('no-such-hand-over', 'payload.handOver');
  const { answer, form } = leg;
  if (answer && answer.reference !== payload.reference)
    return misfit('other-reference', 'payload.reference', { reference: answer.reference });
  const other = payload.bottles.find(({ bottle }) => !form.bottles.some((line) => line.bottle === bottle));
  if (other) return misfit('not-on-form', 'payload.bottles', { bottle: other.bottle });
  const says = (line: AnsweredBottle) =>
    answer?.bottles.some((one) => one.bottle === line.bottle && one.accepted === line.accepted && one.reason === line.reason);
  return answer && payload.bottles.every(says) ? misfit('lab-answered', 'payload.handOver') : null;
}

function withAnswer(before: LabAnswer | null, entry: Answer): LabAnswer {
  const { reference, bottles } = entry.payload;
  const merged = new Map([...(before?.bottles ?? []), ...bottles].map((line) => [line.bottle, line]));
  const taken = answerTaken.is(entry) ? { entry: entry.id, how: entry.payload.how, whom: entry.payload.whom } : (before?.taken ?? null);
  return { at: millis(entry.at), reference, bottles: [...merged.values()], taken };
}

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
  waiting: ({ bottles }) =>
    bottles.flatMap((bottle) => {
      if (!isInTheCooler(bottle) || !bottle.holding) return [];
      const { deadline } = bottle.holding;
      const { lab } = bottle;
      const handOverBy = lab ? latestHandOver(lab, bottle.filledAt ?? deadline, deadline, bottle.rule) : deadline;
      const { holder } = bottle;
      const party = holder && { as: holder.party.as, name: holder.party.name };
      return [{ bottle: bottle.id, visit: bottle.visit, deadline, handOverBy, holder: party }];
    }),
  kinds: [handedOver, boxRead, boxRecorded, labAnswered, answerTaken],
  empty: { legs: [], boxes: [], records: [] },
  fits: (book, entry, around) => {
    if (isAnswer(entry)) return answerFits(book, entry);
    return handedOver.is(entry) ? legFits(book, entry.payload, around) : null;
  },
  advance: (book, entry) => {
    const at = millis(entry.at);
    if (handedOver.is(entry)) return { ...book, legs: [...book.legs, { entry: entry.id, at, form: entry.payload, answer: null }] };
    if (boxRead.is(entry)) return { ...book, boxes: [...book.boxes, { entry: entry.id, at, ...entry.payload }] };
    if (boxRecorded.is(entry)) return { ...book, records: [...book.records, { entry: entry.id, at, ...entry.payload }] };
    if (!isAnswer(entry)) return book;
    const { handOver } = entry.payload;
    return { ...book, legs: book.legs.map((one) => (one.entry === handOver ? { ...one, answer: withAnswer(one.answer, entry) } : one)) };
  },
};
