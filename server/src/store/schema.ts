import { EntitySchema, type EntitySchemaColumnOptions } from 'typeorm';

const text: EntitySchemaColumnOptions = { type: 'text' };
const optionalText: EntitySchemaColumnOptions = { type: 'text', nullable: true };
const real: EntitySchemaColumnOptions = { type: 'real' };
const optionalReal: EntitySchemaColumnOptions = { type: 'real', nullable: true };
const integer: EntitySchemaColumnOptions = { type: 'integer' };
const optionalInteger: EntitySchemaColumnOptions = { type: 'integer', nullable: true };
const id: EntitySchemaColumnOptions = { type: 'text', primary: true };

export interface EntryRow {
  id: string;
  book: string;
  seq: number;
  kind: string;
  utc: string;
  offset: number;
  author: string;
  payload: string;
  receivedAt: string;
  previous: string;
  hash: string;
}
export const EntryTable = new EntitySchema<EntryRow>({
  name: 'entries',
  columns: {
    id,
    book: text,
    seq: integer,
    kind: text,
    utc: text,
    offset: integer,
    author: text,
    payload: text,
    receivedAt: text,
    previous: text,
    hash: text,
  },
});

export interface FileRow {
  sha256: string;
  bytes: Buffer;
}
export const FileTable = new EntitySchema<FileRow>({
  name: 'files',
  columns: { sha256: id, bytes: { type: 'blob' } },
});

/** Rows below are derived from the books and can be made again from them at any time. All have a text `id`. */
export interface DerivedRow {
  id: string;
  book: string;
}

export interface RegisterRow extends DerivedRow {
  register: string;
  ref: string;
  version: number;
  data: string;
  since: string;
}
export const RegisterTable = new EntitySchema<RegisterRow>({
  name: 'register_rows',
  columns: { id, book: text, register: text, ref: text, version: integer, data: text, since: text },
});

export interface RoundRow extends DerivedRow {
  code: string;
  name: string;
  date: string;
  system: string;
  closed: number;
}
export const RoundTable = new EntitySchema<RoundRow>({
  name: 'rounds',
  columns: { id, book: text, code: text, name: text, date: text, system: text, closed: integer },
});

export interface VisitRow extends DerivedRow {
  point: string;
  analyses: string;
  sample: string;
}
export const VisitTable = new EntitySchema<VisitRow>({
  name: 'visits',
  columns: { id, book: text, point: text, analyses: text, sample: text },
});

export interface LevelRow extends DerivedRow {
  point: string;
  measuringPoint: string;
  at: number;
  depth: number;
  elevation: number;
  water: string;
}
export const LevelTable = new EntitySchema<LevelRow>({
  name: 'levels',
  columns: { id, book: text, point: text, measuringPoint: text, at: integer, depth: real, elevation: real, water: text },
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
  columns: { id, book: text, point: text, parameter: text, at: integer, value: real, pumped: real },
});

export interface BottleRow extends DerivedRow {
  visit: string;
  rule: string;
  stage: string;
  lost: string | null;
  filledAt: number | null;
  deadline: number | null;
}
export const BottleTable = new EntitySchema<BottleRow>({
  name: 'bottles',
  columns: {
    id,
    book: text,
    visit: text,
    rule: text,
    stage: text,
    lost: optionalText,
    filledAt: optionalInteger,
    deadline: optionalInteger,
  },
});

export interface ResultRow extends DerivedRow {
  point: string;
  bottle: string;
  parameter: string;
  form: string;
  value: number | null;
  reportingLimit: number | null;
  verdict: string;
}
export const ResultTable = new EntitySchema<ResultRow>({
  name: 'results',
  columns: {
    id,
    book: text,
    point: text,
    bottle: text,
    parameter: text,
    form: text,
    value: optionalReal,
    reportingLimit: optionalReal,
    verdict: text,
  },
});

export const tables = [EntryTable, FileTable, RegisterTable, RoundTable, VisitTable, LevelTable, ReadingTable, BottleTable, ResultTable];
