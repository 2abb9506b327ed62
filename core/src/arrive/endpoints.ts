import { z } from 'zod';
import { reading } from '../endpoints/index.ts';
import { hazardIds } from '../registers/index.ts';
import { members } from '../roles/index.ts';
import type { ArriveBook } from './arrive.ts';
import { faultIds } from './fitness.ts';

/** What was found at a point on an earlier arrival. */
export const EarlierArrival = z.object({
  round: z.string(),
  visit: z.string(),
  /** ms since 1970 in UTC. */
  at: z.number(),
  hazards: z.array(z.enum(hazardIds)),
  found: z.array(z.object({ fault: z.enum(faultIds), isDone: z.boolean() })),
  odd: z.string(),
});
export type EarlierArrival = z.infer<typeof EarlierArrival>;

export const arrivalsAt = reading('/api/points/:point/arrivals', {
  summary: 'What was found at a point on arrival, newest first, at most twenty',
  by: members,
  answer: z.array(EarlierArrival),
});

/** What an arrival has to tell whoever comes next; null where nothing was found. */
export function earlierArrival(round: string, visit: string, { risk, fitness }: ArriveBook): EarlierArrival | null {
  const hazards = [...(risk?.hazards ?? [])];
  const found = [...(fitness?.found ?? [])];
  const odd = fitness?.odd ?? '';
  const at = fitness?.at ?? risk?.at;
  return at === undefined || hazards.length + found.length + odd.length === 0 ? null : { round, visit, at, hazards, found, odd };
}
