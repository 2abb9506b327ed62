import { labAnswered } from '../src/custody/index.ts';
import { fold } from '../src/round/index.ts';
import type { Script } from './script.ts';

/** Hands over what is filled, and the lab refuses all of it. */
export function refuseAll(book: Script): void {
  const filled = fold(book.entries)!
    .bottles.filter(({ state }) => state === 'filled')
    .map(({ id }) => id);
  const form = book.handOver(filled);
  book.write(labAnswered, {
    handOver: form.id,
    reference: 'L1',
    bottles: filled.map((bottle) => ({ bottle, accepted: false, reason: 'too warm' })),
  });
}
