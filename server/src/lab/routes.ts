import { writeEntry } from '@fonte/core/book';
import { labAnswered } from '@fonte/core/custody';
import type { RoundState } from '@fonte/core/round';
import type { Express } from 'express';
import { Problem } from '../app/problem.ts';
import type { Services } from '../app/services.ts';
import { Mutex } from '../book/mutex.ts';
import { serverAuthor } from '../book/books.ts';
import type { LabDesk, LabDesks } from './desk.ts';
import { intakeRequest } from './intake.ts';

/** The desk of a round's lab. @throws Problem 409 when the lab has none that this server reaches. */
export function deskOf(round: RoundState, desks: LabDesks): LabDesk {
  const desk = round.plan.lab && desks.get(round.plan.lab.id);
  if (!desk) throw new Problem(409, 'no-desk', 'This lab has no desk that Fonte can reach. Take its report in as a file.');
  return desk;
}

export function labRoutes(app: Express, { books, desks, clock }: Services): void {
  const asking = new Mutex();

  /** Sends a hand-over to the lab's desk and writes its answer down. Asking again brings the answer that is there. */
  app.post('/api/rounds/:round/hand-overs/:entry/intake', async (request, response) => {
    const { round: id, entry } = request.params;
    await asking.run(async () => {
      const round = await books.round(id);
      const handOver = round.handOvers.find((candidate) => candidate.entry === entry);
      if (!handOver) throw new Problem(404, 'no-hand-over', 'There is no such hand-over.');
      if (!handOver.answer) {
        const answer = await deskOf(round, desks).takeIn(intakeRequest(round, handOver));
        await books.appendOwn(
          writeEntry({ book: id, author: serverAuthor, now: clock(), offset: 0 }, labAnswered, { handOver: entry, ...answer }),
        );
      }
    });
    response.json({ answered: true });
  });
}
