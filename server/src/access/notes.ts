import { accessBook, accessNoted, type AccessEvent } from '@fonte/core/access';
import { writeEntry } from '@fonte/core/book';
import type { Clock } from '@fonte/core/time';
import { serverPen, type Books } from '../book/books.ts';

export interface Note {
  person: string | null;
  by?: string | null;
  device?: string | null;
  how?: string;
}

/** Writes down what happens at the door, in a book of its own. */
export class Notes {
  constructor(
    private readonly books: Books,
    private readonly clock: Clock,
  ) {}

  async write(event: AccessEvent, { person, by = null, device = null, how = '' }: Note): Promise<void> {
    await this.books.appendOwn(writeEntry(serverPen(accessBook, this.clock()), accessNoted, { event, person, by, device, how }));
  }
}
