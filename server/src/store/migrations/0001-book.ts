import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The book, the files beside it, and the tables derived from it. */
export class Book1795000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const statements = [
      `CREATE TABLE entries (id TEXT PRIMARY KEY, book TEXT NOT NULL, seq INTEGER NOT NULL, kind TEXT NOT NULL, utc TEXT NOT NULL,
        "offset" INTEGER NOT NULL, author TEXT NOT NULL, payload TEXT NOT NULL, receivedAt TEXT NOT NULL, previous TEXT NOT NULL,
        hash TEXT NOT NULL UNIQUE, UNIQUE (book, seq)) STRICT`,
      `CREATE TRIGGER entries_are_never_changed BEFORE UPDATE ON entries BEGIN SELECT RAISE(ABORT, 'entries are never changed'); END`,
      `CREATE TRIGGER entries_are_never_deleted BEFORE DELETE ON entries BEGIN SELECT RAISE(ABORT, 'entries are never deleted'); END`,
      `CREATE TABLE files (sha256 TEXT PRIMARY KEY, bytes BLOB NOT NULL) STRICT`,
      `CREATE TABLE register_rows (id TEXT PRIMARY KEY, book TEXT NOT NULL, register TEXT NOT NULL, ref TEXT NOT NULL, version INTEGER NOT NULL, data TEXT NOT NULL, since TEXT NOT NULL) STRICT`,
      `CREATE INDEX register_rows_by_ref ON register_rows (register, ref, version)`,
      `CREATE TABLE rounds (id TEXT PRIMARY KEY, book TEXT NOT NULL, code TEXT NOT NULL UNIQUE, name TEXT NOT NULL, date TEXT NOT NULL, system TEXT NOT NULL, closed INTEGER NOT NULL) STRICT`,
      `CREATE TABLE visits (id TEXT PRIMARY KEY, book TEXT NOT NULL REFERENCES rounds (id) DEFERRABLE INITIALLY DEFERRED, point TEXT NOT NULL, analyses TEXT NOT NULL, sample TEXT NOT NULL) STRICT`,
      `CREATE TABLE levels (id TEXT PRIMARY KEY, book TEXT NOT NULL REFERENCES rounds (id) DEFERRABLE INITIALLY DEFERRED, point TEXT NOT NULL, measuringPoint TEXT NOT NULL, at INTEGER NOT NULL, depth REAL NOT NULL, elevation REAL NOT NULL, water TEXT NOT NULL) STRICT`,
      `CREATE INDEX levels_by_point ON levels (point, at)`,
      `CREATE TABLE readings (id TEXT PRIMARY KEY, book TEXT NOT NULL REFERENCES rounds (id) DEFERRABLE INITIALLY DEFERRED, point TEXT NOT NULL, parameter TEXT NOT NULL, at INTEGER NOT NULL, value REAL NOT NULL, pumped REAL NOT NULL) STRICT`,
      `CREATE INDEX readings_by_point ON readings (point, parameter, at)`,
      `CREATE TABLE bottles (id TEXT PRIMARY KEY, book TEXT NOT NULL REFERENCES rounds (id) DEFERRABLE INITIALLY DEFERRED, visit TEXT NOT NULL, rule TEXT NOT NULL, stage TEXT NOT NULL, lost TEXT, filledAt INTEGER, deadline INTEGER) STRICT`,
      `CREATE TABLE results (id TEXT PRIMARY KEY, book TEXT NOT NULL REFERENCES rounds (id) DEFERRABLE INITIALLY DEFERRED, point TEXT NOT NULL, bottle TEXT NOT NULL, parameter TEXT NOT NULL, form TEXT NOT NULL, value REAL, reportingLimit REAL, verdict TEXT NOT NULL) STRICT`,
      `CREATE INDEX results_by_point ON results (point, parameter)`,
    ];
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['results', 'bottles', 'readings', 'levels', 'visits', 'rounds', 'register_rows', 'files', 'entries']) {
      await runner.query(`DROP TABLE ${table}`);
    }
  }
}
