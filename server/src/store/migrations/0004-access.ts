import type { MigrationInterface, QueryRunner } from 'typeorm';
import { changedOnlyTo, keptByKey, neverChanged } from '../dialect.ts';

const columns = ['salt', 'content', 'clock', 'key', 'signature', 'doubt'];
const before = [
  'id',
  'book',
  'seq',
  'visit',
  'kind',
  'version',
  'utc',
  'minutes',
  'author',
  'device',
  'sent',
  'received',
  'previous',
  'hash',
];
const tables = ['accounts', 'sessions', 'invitations', 'passkeys', 'tries'];

/** Signatures beside the entries, and what lets people in: secrets, which stand in no book. */
export class Access1796200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const statements = [
      ...columns.map((column) => `ALTER TABLE entries ADD COLUMN ${column} TEXT`),
      ...changedOnlyTo('entries', { loses: 'salt', may: 'payload', keeps: [...before, ...columns] }),
      `CREATE TABLE accounts (person TEXT PRIMARY KEY, name TEXT NOT NULL UNIQUE, passphrase TEXT, seen BIGINT)${keptByKey}`,
      `CREATE TABLE sessions (id TEXT PRIMARY KEY, person TEXT NOT NULL, device TEXT, opened BIGINT NOT NULL, seen BIGINT NOT NULL,
        proven TEXT NOT NULL, scope TEXT, said TEXT NOT NULL)${keptByKey}`,
      `CREATE INDEX sessions_by_person ON sessions (person)`,
      `CREATE TABLE invitations (id TEXT PRIMARY KEY, person TEXT NOT NULL, round TEXT, until BIGINT NOT NULL)${keptByKey}`,
      `CREATE TABLE passkeys (id TEXT PRIMARY KEY, person TEXT NOT NULL, key TEXT NOT NULL, counter BIGINT NOT NULL, transports TEXT NOT NULL,
        made BIGINT NOT NULL)${keptByKey}`,
      `CREATE TABLE tries (id TEXT PRIMARY KEY, failures BIGINT NOT NULL, until BIGINT NOT NULL)${keptByKey}`,
    ];
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of tables) await runner.query(`DROP TABLE ${table}`);
    await runner.query('DROP TRIGGER entries_never_updated');
    for (const column of columns) await runner.query(`ALTER TABLE entries DROP COLUMN ${column}`);
    await runner.query(neverChanged('entries')[0]!);
  }
}
