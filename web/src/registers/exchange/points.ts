import { newId } from '@fonte/core/book';
import { largestPage, pointRegistered, registerLists, type Point } from '@fonte/core/registers';
import { call } from '../../api/call.ts';
import { sendNow } from '../../book/send.ts';
import { penned } from '../../book/pen.ts';
import { now } from '../../time/clock.ts';

/** Every point of the register, page by page. */
export async function allPoints(): Promise<Point[]> {
  const points: Point[] = [];
  for (;;) {
    const last = points.at(-1)?.id;
    const page = await call(registerLists.points, { query: { limit: largestPage, ...(last ? { after: last } : {}) } });
    points.push(...page);
    if (page.length < largestPage) return points;
  }
}

export const freshIds = (count: number): string[] => Array.from({ length: count }, () => newId(now()));

/** So many points are signed and sent at once. */
const batch = 500;

/** A point that the server did not take, and why. */
export interface NotTaken {
  point: Point;
  why: string;
}

/**
 * Writes points down, each in its own book, in pieces. What was written stands, also where a later piece is not: who begins anew with
 * the same file finds those the same.
 * @throws NoConnection, ApiProblem
 */
export async function writePoints(points: readonly Point[], author: string, tell: (done: number) => void): Promise<NotTaken[]> {
  const refused: NotTaken[] = [];
  for (let from = 0; from < points.length; from += batch) {
    const piece = points.slice(from, from + batch);
    const entries = await Promise.all(piece.map((point) => penned(pointRegistered, point, { book: point.id, author, moment: now() })));
    const sent = await sendNow(entries);
    const why = new Map(sent.refused.map(({ entry, problem }) => [entry.id, problem.message]));
    const taken = new Set(sent.written.map(({ id }) => id));
    for (const entry of entries)
      if (!taken.has(entry.id))
        refused.push({ point: entry.payload as Point, why: why.get(entry.id) ?? 'The server could not store it now.' });
    tell(from + piece.length);
  }
  return refused;
}
