import { EntitySchema, type EntitySchemaColumnOptions } from 'typeorm';

/*
 * Types that mean the same in SQLite and PostgreSQL: 64-bit integers for milliseconds and counts, 64-bit floats, text.
 */
const text: EntitySchemaColumnOptions = { type: 'text' };
const optionalText: EntitySchemaColumnOptions = { type: 'text', nullable: true };
const float: EntitySchemaColumnOptions = { type: 'double precision' };
const optionalFloat: EntitySchemaColumnOptions = { type: 'double precision', nullable: true };
const integer: EntitySchemaColumnOptions = { type: 'bigint' };
const optionalInteger: EntitySchemaColumnOptions = { type: 'bigint', nullable: true };
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
const derived = { book: key, id: key };

export interface ThingRow extends DerivedRow {
  register: string;
  code: string | null;
  name: string;
  version: number;
  data: string;
}
export const ThingTable = new EntitySchema<ThingRow>({
  name: 'things',
  columns: { ...derived, register: text, code: optionalText, name: text, version: integer, data: text },
});

export interface RoundRow extends DerivedRow {
  code: string;
  name: string;
  date: string;
  system: string;
  closed: number;
  overview: string;
}
export const RoundTable = new EntitySchema<RoundRow>({
  name: 'rounds',
  columns: { ...derived, code: text, name: text, date: text, system: text, closed: integer, overview: text },
});

/** What runs, waits or is due in a round, by the moment (ms) that counts. */
export interface AgendaRow extends DerivedRow {
  what: 'clock' | 'bottle' | 'action';
  at: number;
  data: string;
}
export const AgendaTable = new EntitySchema<AgendaRow>({
  name: 'agenda',
  columns: { ...derived, what: text, at: integer, data: text },
});

export interface VisitRow extends DerivedRow {
  point: string;
  analyses: string;
  sample: string;
}
export const VisitTable = new EntitySchema<VisitRow>({
  name: 'visits',
  columns: { ...derived, point: text, analyses: text, sample: text },
});

export interface LevelRow extends DerivedRow {
  point: string;
  mark: string;
  at: number;
  depth: number;
  elevation: number;
  water: string;
}
export const LevelTable = new EntitySchema<LevelRow>({
  name: 'levels',
  columns: { ...derived, point: text, mark: text, at: integer, depth: float, elevation: float, water: text },
});

export interface ReadingRow extends DerivedRow {
  point: string;
  parameter: string;
  at: number;
  value: number;
  pumped: number;
}
export const ReadingTable = new EntitySchema<ReadingRow>({
  name: 'readings',
  columns: { ...derived, point: text, parameter: text, at: integer, value: float, pumped: float },
});

export interface BottleRow extends DerivedRow {
  visit: string;
  rule: string;
  stage: string;
  lost: string | null;
  filled: number | null;
  deadline: number | null;
}
export const BottleTable = new EntitySchema<BottleRow>({
  name: 'bottles',
  columns: {
    ...derived,
    visit: text,
    rule: text,
    stage: text,
    lost: optionalText,
    filled: optionalInteger,
    deadline: optionalInteger,
  },
});

export interface ResultRow extends DerivedRow {
  point: string;
  bottle: string;
  parameter: string;
  form: string;
  value: number | null;
  reporting: number | null;
  verdict: string;
}
export const ResultTable = new EntitySchema<ResultRow>({
  name: 'results',
  columns: {
    ...derived,
    point: text,
    bottle: text,
    parameter: text,
    form: text,
    value: optionalFloat,
    reporting: optionalFloat,
    verdict: text,
  },
});

/** The derived tables, in one order everywhere. */
export const derivedTables = [
  ThingTable,
  RoundTable,
  AgendaTable,
  VisitTable,
  LevelTable,
  ReadingTable,
  BottleTable,
  ResultTable,
] as unknown as readonly EntitySchema<DerivedRow>[];

export const tables = [EntryTable, BookTable, FileTable, AboutTable, ...derivedTables];

/** The columns of a table, in one order everywhere. */
export function columnsOf(table: EntitySchema<never> | EntitySchema<DerivedRow>): string[] {
  return Object.keys(table.options.columns);
}
