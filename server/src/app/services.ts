import type { Clock } from '@fonte/core/time';
import type { Logger } from 'pino';
import type { Books } from '../book/books.ts';
import type { LabDesks } from '../lab/desk.ts';
import type { ReportReader } from '../read/reader.ts';
import type { Store } from '../store/index.ts';

/** What the routes work with. One of each per server. */
export interface Services {
  store: Store;
  books: Books;
  desks: LabDesks;
  reader: ReportReader;
  clock: Clock;
  log: Logger;
  /** The person in whose name a page writes that has not said who it is, until there are accounts. */
  author: string;
}
