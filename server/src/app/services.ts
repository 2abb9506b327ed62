import type { Clock } from '@fonte/core/time';
import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import type { Books } from '../book/books.ts';
import type { LabDesks } from '../lab/desk.ts';
import type { ReportReader } from '../read/reader.ts';

/** What the routes work with. One of each per server. */
export interface Services {
  store: DataSource;
  books: Books;
  desks: LabDesks;
  reader: ReportReader;
  clock: Clock;
  log: Logger;
  /** The person in whose name entries are made, until there are accounts. */
  author: string;
}
