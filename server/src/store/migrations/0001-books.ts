import type { MigrationInterface, QueryRunner } from 'typeorm';
import { keptByKey, neverChanged } from '../dialect.ts';

const key = 'book TEXT NOT NULL, id TEXT NOT NULL';
const own = 'PRIMARY KEY (book, id)';
const end = `)${keptByKey}`;

/** The books, the files beside them, and the tables derived from them. In words that SQLite and PostgreSQL share. */
export class Books1795500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const statements = [
      `CREATE TABLE entries (id TEXT PRIMARY KEY, book TEXT NOT NULL, seq BIGINT NOT NULL, visit TEXT, kind TEXT NOT NULL,
        version BIGINT NOT NULL, utc TEXT NOT NULL, minutes BIGINT NOT NULL, author TEXT NOT NULL, device TEXT NOT NULL,
        payload TEXT NOT NULL, sent TEXT, received TEXT NOT NULL, previous TEXT NOT NULL, hash TEXT NOT NULL, UNIQUE (book, seq))`,
      ...neverChanged('entries'),
      `CREATE TABLE books (id TEXT PRIMARY KEY, type TEXT NOT NULL)`,
      `CREATE INDEX books_by_type ON books (type)`,
      `CREATE TABLE files (sha256 TEXT PRIMARY KEY, bytes BLOB NOT NULL)`,
      ...neverChanged('files'),
      `CREATE TABLE about (name TEXT PRIMARY KEY, value TEXT NOT NULL)`,
      `CREATE TABLE things (${key}, register TEXT NOT NULL, code TEXT, name TEXT NOT NULL, version BIGINT NOT NULL, data TEXT NOT NULL,
        ${own}, UNIQUE (register, code)${end}`,
      `CREATE INDEX things_by_name ON things (register, name, book)`,
      `CREATE TABLE rounds (${key}, code TEXT NOT NULL UNIQUE, name TEXT NOT NULL, date TEXT NOT NULL, system TEXT NOT NULL,
        closed BIGINT NOT NULL, overview TEXT NOT NULL, ${own}${end}`,
      `CREATE INDEX rounds_by_date ON rounds (closed, date, code)`,
      `CREATE TABLE agenda (${key}, what TEXT NOT NULL, at BIGINT NOT NULL, data TEXT NOT NULL, ${own}${end}`,
      `CREATE INDEX agenda_by_time ON agenda (what, at)`,
      `CREATE TABLE visits (${key}, point TEXT NOT NULL, analyses TEXT NOT NULL, sample TEXT NOT NULL, ${own}${end}`,
      `CREATE TABLE levels (${key}, point TEXT NOT NULL, mark TEXT NOT NULL, at BIGINT NOT NULL, depth DOUBLE PRECISION NOT NULL,
        elevation DOUBLE PRECISION NOT NULL, water TEXT NOT NULL, ${own}${end}`,
      `CREATE INDEX levels_by_point ON levels (point, at)`,
      `CREATE TABLE readings (${key}, point TEXT NOT NULL, parameter TEXT NOT NULL, at BIGINT NOT NULL, value DOUBLE PRECISION NOT NULL,
        pumped DOUBLE PRECISION NOT NULL, ${own}${end}`,
      `CREATE INDEX readings_by_point ON readings (point, parameter, at)`,
      `CREATE TABLE bottles (${key}, visit TEXT NOT NULL, rule TEXT NOT NULL, stage TEXT NOT NULL, lost TEXT, filled BIGINT,
        deadline BIGINT, ${own}${end}`,
      `CREATE TABLE results (${key}, point TEXT NOT NULL, bottle TEXT NOT NULL, parameter TEXT NOT NULL, form TEXT NOT NULL,
        value DOUBLE PRECISION, reporting DOUBLE PRECISION, verdict TEXT NOT NULL, ${own}${end}`,
      `CREATE INDEX results_by_point ON results (point, parameter)`,
    ];
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of [
      'results',
      'bottles',
      'readings',
      'levels',
      'visits',
      'agenda',
      'rounds',
      'things',
      'about',
      'files',
      'books',
      'entries',
    ])
      await runner.query(`DROP TABLE ${table}`);
  }
}
