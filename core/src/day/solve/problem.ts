/** From one moment to another, in ms. */
export interface Span {
  from: number;
  to: number;
}

/** A bottle that is filled at a stop and has to reach the lab. */
export interface DayBottle {
  id: string;
  /** ms from the beginning of the work there until it is full. */
  filledAfter: number;
  /** ms at most from then until it is handed over. */
  keeps: number;
  /** What kind it is, where doors are open for some longer than for others. */
  rule?: string;
}

/** A stop of a day's drive. */
export interface DayStop {
  id: string;
  name: string;
  /** How long the work there takes, in ms. */
  lasts: number;
  /** When one is let in: the work begins and ends within one of them. At any time where there is none. */
  windows: readonly Span[];
  bottles: readonly DayBottle[];
  /** Stops, by their number, that have to come before it. */
  after: readonly number[];
}

/** A pause between two stops, begun within a span. */
export interface Lunch extends Span {
  lasts: number;
}

/** A door at which bottles are handed over. */
export interface Door {
  /** When all bottles of the day are taken in; with no lab, any time up to the end of the day. */
  intake: readonly Span[];
  /** The same for each kind of bottle: what part of a day brings may be taken in for longer than all of it. */
  byRule?: Readonly<Record<string, readonly Span[]>> | undefined;
  /** When what is left there is at the lab, whenever it was left (ms); where it is left out, the door is the lab's own. */
  reaches?: number | undefined;
}

/** The cooler is emptied on the way, after a stop, and the day goes on from there. */
export interface Midway extends Door {
  after: number;
}

/** Handing over on the way takes so long (ms). Common practice. */
export const givingLasts = 10 * 60_000;

/** A day's drive: from a place, to stops in an order that is sought, to the door where it ends. All times in ms. */
export interface DayProblem extends Door {
  stops: readonly DayStop[];
  /** From row to column: the stops, then the place where the day begins, then the door where it ends, then the one on the way. */
  travel: readonly (readonly number[])[];
  /** Nobody sets out before. */
  start: number;
  lunch: Lunch | null;
  midway?: Midway | undefined;
}

/** The moment from `from` on at which all of a stop's work fits into one of its windows; Infinity where there is none. */
export function beginAt({ windows, lasts }: DayStop, from: number): number {
  if (windows.length === 0) return from;
  let best = Infinity;
  for (const window of windows) {
    const begin = Math.max(from, window.from);
    if (begin + lasts <= window.to && begin < best) best = begin;
  }
  return best;
}

/** The moment from `from` on at which the lab takes things in; Infinity where it does not any more. */
export function takenInAt(intake: readonly Span[], from: number): number {
  let best = Infinity;
  for (const span of intake) if (from <= span.to) best = Math.min(best, Math.max(from, span.from));
  return best;
}

/**
 * What two lists of spans have in common.
 * @example inBoth([{ from: 1, to: 5 }], [{ from: 3, to: 9 }]) // [{ from: 3, to: 5 }]
 */
export function inBoth(some: readonly Span[], others: readonly Span[]): Span[] {
  return some.flatMap((one) =>
    others.flatMap((other) => {
      const [from, to] = [Math.max(one.from, other.from), Math.min(one.to, other.to)];
      return from <= to ? [{ from, to }] : [];
    }),
  );
}

/** What is filled before this moment is too old when it is handed over at another: the work may not begin earlier. */
export function notBefore({ bottles }: DayStop, { reaches }: Door, handOver: number): number {
  const aged = reaches ?? handOver;
  return bottles.reduce((latest, { filledAfter, keeps }) => Math.max(latest, aged - keeps - filledAfter), -Infinity);
}

/** When the pause begins for somebody who is free from a moment on; Infinity where it is too late for it. */
export function pauseAt(lunch: Lunch, from: number): number {
  const begin = Math.max(from, lunch.from);
  return begin <= lunch.to ? begin : Infinity;
}

/**
 * The least moment of handing over at which nothing is too old. Handing over later makes what was filled first older, so that it must
 * be filled later, and the arrival, as `arrive` tells it, is never earlier for it: the least fixed point is the answer (Knaster–Tarski).
 * @param arrive the earliest arrival at the lab if it is handed over at a moment; Infinity where that cannot be
 * @returns Infinity where there is none
 */
export function leastHandOver(intake: readonly Span[], arrive: (handOver: number) => number): number {
  let handOver = takenInAt(intake, arrive(-Infinity));
  while (handOver < Infinity) {
    const next = takenInAt(intake, arrive(handOver));
    if (next <= handOver) return handOver;
    handOver = next;
  }
  return Infinity;
}
