import { EntitySchema, type EntitySchemaColumnOptions } from 'typeorm';

/*
 * Types that mean the same in SQLite and PostgreSQL: 64-bit integers for milliseconds and counts, 64-bit floats, text.
 */
export const text: EntitySchemaColumnOptions = { type: 'text' };
export const optionalText: EntitySchemaColumnOptions = { type: 'text', nullable: true };
export const float: EntitySchemaColumnOptions = { type: 'double precision' };
export const optionalFloat: EntitySchemaColumnOptions = { type: 'double precision', nullable: true };
export const integer: EntitySchemaColumnOptions = { type: 'bigint' };
export const optionalInteger: EntitySchemaColumnOptions = { type: 'bigint', nullable: true };
const key: EntitySchemaColumnOptions = { type: 'text', primary: true };

export interface EntryRow {
  id: string;
  book: string;
  seq: number;
  visit: string | null;
  kind: string;
  version: number;
  utc: string;
  minutes: number;
  author: string;
  device: string;
  payload: string;
  sent: string | null;
  received: string;
  previous: string;
  hash: string;
  salt: string | null;
  content: string | null;
  /** JSON. */
  clock: string | null;
  key: string | null;
  signature: string | null;
  doubt: string | null;
}
export const EntryTable = new EntitySchema<EntryRow>({
  name: 'entries',
  columns: {
    id: key,
    book: text,
    seq: integer,
    visit: optionalText,
    kind: text,
    version: integer,
    utc: text,
    minutes: integer,
    author: text,
    device: text,
    payload: text,
    sent: optionalText,
    received: text,
    previous: text,
    hash: text,
    salt: optionalText,
    content: optionalText,
    clock: optionalText,
    key: optionalText,
    signature: optionalText,
    doubt: optionalText,
  },
});

/** What each book is of. */
export interface BookRow {
  id: string;
  type: string;
}
export const BookTable = new EntitySchema<BookRow>({ name: 'books', columns: { id: key, type: text } });

export interface FileRow {
  sha256: string;
  bytes: Buffer;
}
export const FileTable = new EntitySchema<FileRow>({ name: 'files', columns: { sha256: key, bytes: { type: 'blob' } } });

/** What the file says of itself: who made it. */
export interface AboutRow {
  name: string;
  value: string;
}
export const AboutTable = new EntitySchema<AboutRow>({ name: 'about', columns: { name: key, value: text } });

/**
 * Rows below are derived from the books and can be made again from them at any time. Their key is the book's and their own,
 * so that what one book calls its own can never be another's.
 */
export interface DerivedRow {
  book: string;
  id: string;
}
export const derived = { book: key, id: key };

/** The tables of the store itself; those derived from books belong to their rooms. */
export const tables = [EntryTable, BookTable, FileTable, AboutTable];

/** The columns of a table, in one order everywhere. */
export function columnsOf(table: EntitySchema<never> | EntitySchema<DerivedRow>): string[] {
  return Object.keys(table.options.columns);
}
