import type { z } from 'zod';
import type { Entry } from '../book/index.ts';
import { millis } from '../time/index.ts';
import { handedOver, labAnswered } from './entries.ts';

export interface HandOver {
  entry: string;
  at: number;
  form: z.infer<typeof handedOver.payload>;
  answer: { at: number; reference: string; bottles: z.infer<typeof labAnswered.payload>['bottles'] } | null;
}

/** The hand-overs of a round with the lab's answers. `entries` are corrected ones of the round. */
export function foldCustody(entries: readonly Entry[]): HandOver[] {
  const answers = entries.filter(labAnswered.is);
  return entries.filter(handedOver.is).map((entry) => {
    const answer = answers.find((candidate) => candidate.payload.handOver === entry.id);
    return {
      entry: entry.id,
      at: millis(entry.at),
      form: entry.payload,
      answer: answer ? { at: millis(answer.at), reference: answer.payload.reference, bottles: answer.payload.bottles } : null,
    };
  });
}
