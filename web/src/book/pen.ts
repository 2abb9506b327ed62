import { writeEntry, type Entry, type EntryKind, type Pen } from '@fonte/core/book';
import type { z } from 'zod';
import { connection } from '../api/connection.ts';
import { ownDevice, signed } from '../session/device.ts';
import { offsetAt } from '../time/clock.ts';

/** Who writes in which book, and when. */
export interface Writing {
  book: string;
  author: string;
  /** ms. */
  moment: number;
  visit?: string | null;
  id?: string;
}

/** An entry as it would be, for a look ahead: not signed, and of no device yet. */
export function draftOf<K extends string, S extends z.ZodType>(
  kind: EntryKind<K, S>,
  payload: z.input<S>,
  { book, author, moment, visit = null, id }: Writing,
  device = author,
): Entry {
  const pen: Pen = { book, author, device, now: moment, offset: offsetAt(moment), clock: connection().clock };
  return writeEntry(pen, kind, payload, { visit, ...(id ? { id } : {}) });
}

/** An entry as it is kept and sent: written on this device, and signed by it. */
export async function penned<K extends string, S extends z.ZodType>(
  kind: EntryKind<K, S>,
  payload: z.input<S>,
  writing: Writing,
): Promise<Entry> {
  const { id } = await ownDevice();
  return signed(draftOf(kind, payload, writing, id));
}
