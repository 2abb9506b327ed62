import { madeAt, type BookEntry, type Entry } from './entry.ts';
import { millis, minute, second } from '../time/index.ts';

/** Up to this difference, in ms, two clocks are taken to agree. */
export const clockAllowance = 2 * minute;

/** An entry as a fold sees it: with the sending clock once it is in a book, and the first time where a correction moved it. */
export type Timed = Entry & { sentAt?: string | null; written?: Entry['at'] };

/** A time up to so much, in ms, from the clock was taken from it; more was stated by a person. */
const promptly = 5 * second;

const unlessPrompt = (apart: number) => (apart > promptly ? apart : 0);

/**
 * How long before the device made it an entry claims to have been, in ms; 0 when its time was taken as it happened. Its id
 * may be older than its time, as a form keeps one ready.
 * @example backdatedBy({ id: newId(1796000000000), at: instantAt(1796000000000 - 3600_000, 0) }) // 3600000
 */
export function backdatedBy(entry: Timed): number {
  const at = millis(entry.at);
  return unlessPrompt(Math.max(madeAt(entry.id) - at, entry.written ? millis(entry.written) - at : 0));
}

/** How long after it was sent, or first written, an entry claims to have been, in ms; 0 when its time was taken as it happened. */
export function postdatedBy(entry: Timed): number {
  const at = millis(entry.at);
  return unlessPrompt(Math.max(entry.sentAt ? at - Date.parse(entry.sentAt) : 0, entry.written ? at - millis(entry.written) : 0));
}

/** Entries of one device that came while its clock and the server's disagreed, or that say they were after they came. */
export interface ClockQuestion {
  device: string;
  /** ms that the device's clock, or the time of an entry, was ahead of the server's: the largest difference, negative for behind. */
  ahead: number;
  entries: string[];
}

/** Where the clocks of devices and server disagreed, device by device. Nothing is refused for it; a person judges. */
export function clockQuestions(entries: readonly (Entry & Partial<BookEntry>)[]): ClockQuestion[] {
  const found = new Map<string, ClockQuestion>();
  for (const { id, device, at, sentAt, receivedAt } of entries) {
    if (!sentAt || !receivedAt) continue;
    const received = Date.parse(receivedAt);
    const clock = Date.parse(sentAt) - received;
    // A time from before the entry came is nothing odd: a day without signal may lie between.
    const claimed = millis(at) - received;
    const ahead = claimed > Math.max(clock, clockAllowance) ? claimed : clock;
    if (Math.abs(ahead) <= clockAllowance) continue;
    const before = found.get(device);
    if (!before) found.set(device, { device, ahead, entries: [id] });
    else {
      before.entries.push(id);
      if (Math.abs(ahead) > Math.abs(before.ahead)) before.ahead = ahead;
    }
  }
  return [...found.values()];
}
