import { z } from 'zod';
import { FollowUp } from '../act/index.ts';
import { reading } from '../endpoints/index.ts';
import { BottleInCooler, ResultsExpected, RoundOverview, VisitClock } from './lines.ts';
import { members } from '../roles/index.ts';

export const RoundLine = z.object({
  id: z.string(),
  code: z.string(),
  name: z.string(),
  date: z.string(),
  closed: z.boolean(),
  overview: RoundOverview,
});
export type RoundLine = z.infer<typeof RoundLine>;

/** The first of a sort over all rounds, soonest first, and how many there are. */
const agendaOf = <S extends z.ZodType>(item: S) =>
  z.object({ count: z.number().int(), first: z.array(z.object({ round: z.string(), item })) });

export const Today = z.object({
  rounds: z.array(RoundLine),
  clocks: agendaOf(VisitClock),
  bottles: agendaOf(BottleInCooler),
  actions: agendaOf(FollowUp),
  results: agendaOf(ResultsExpected),
});
export type Today = z.infer<typeof Today>;

export const listRounds = reading('/api/rounds', {
  summary: 'Rounds in short, newest first',
  by: members,
  query: z.object({
    state: z.enum(['open', 'closed', 'all']).default('all'),
    /** `date code` of the round after which the page begins. */
    after: z.string().max(60).optional(),
    limit: z.coerce.number().int().min(1).max(200).default(50),
  }),
  answer: z.array(RoundLine),
});

export const findFreeCode = reading('/api/rounds/free-code', {
  summary: 'A code for a round of that day that no other round has',
  by: members,
  query: z.object({ date: z.iso.date() }),
  answer: z.object({ code: z.string() }),
});

export const today = reading('/api/today', {
  summary: 'What is next, runs, waits and is due over all rounds',
  by: members,
  answer: Today,
});
