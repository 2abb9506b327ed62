import { canonicalJson, writeEntry } from '@fonte/core/book';
import { askIntake, labAnswered } from '@fonte/core/custody';
import { Problem, route, type Route, type Services } from '../http/index.ts';
import { serverPen, type Books } from '../book/books.ts';
import type { LabDesk, LabDesks } from './desk.ts';
import { intakeRequest } from './intake.ts';

/** Whatever goes wrong at a desk is the desk's fault, and said to be. */
async function atDesk<T>(work: Promise<T>): Promise<T> {
  try {
    return await work;
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw new Problem(502, 'lab-fault', 'Something went wrong at the lab’s desk. Nothing is lost: ask again later.');
  }
}

/** The desk of a lab. @throws Problem 409 when it has none that this server reaches, 502 for its faults. */
export function deskOf(lab: string | undefined, desks: LabDesks): LabDesk {
  const desk = lab === undefined ? undefined : desks.get(lab);
  if (!desk) throw new Problem(409, 'no-desk', 'This lab has no desk that Fonte can reach. Take its report in as a file.');
  return {
    takeIn: (request) => atDesk(desk.takeIn(request)),
    report: (reference) => atDesk(desk.report(reference)),
  };
}

export interface LabServices extends Services {
  books: Books;
  desks: LabDesks;
}

export function labRoutes({ books, desks, clock }: LabServices): Route[] {
  /** One question at a time for each hand-over: a lab that hangs holds up nobody else. */
  const asking = new Map<string, Promise<void>>();

  const ask = async (id: string, entry: string): Promise<void> => {
    const view = await books.view(id);
    const handOver = view?.round?.handOvers.find((candidate) => candidate.entry === entry);
    if (!view?.round || !handOver) throw new Problem(404, 'no-hand-over', 'There is no such hand-over.');
    const request = intakeRequest(view.round, handOver, { id, ...view.head! });
    const answer = await deskOf(handOver.form.to.lab, desks).takeIn(request);
    const known = handOver.answer;
    const isSaid = answer.bottles.every((line) =>
      known?.bottles.some((one) => one.bottle === line.bottle && one.accepted === line.accepted && one.reason === line.reason),
    );
    // What the lab says again is no news, also where it stands aside because it is about other bottles.
    const last = view.entries.all().findLast((one) => labAnswered.is(one) && one.payload.handOver === entry);
    const isLast = last !== undefined && canonicalJson(last.payload) === canonicalJson({ handOver: entry, ...answer });
    if ((known && isSaid) || isLast) return;
    // An answer comes after what it answers, also where a device's clock is ahead of this one.
    const pen = serverPen(id, Math.max(clock(), handOver.at + 1));
    await books.appendOwn(writeEntry(pen, labAnswered, { handOver: entry, ...answer }));
  };

  return [
    route(askIntake, async ({ in: { round, entry } }) => {
      const key = `${round} ${entry}`;
      if (!asking.has(key))
        asking.set(
          key,
          ask(round, entry).finally(() => asking.delete(key)),
        );
      await asking.get(key);
      return { answered: true as const };
    }),
  ];
}
