import { mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import { DataSource } from 'typeorm';
import { Book1795000000000 } from './migrations/0001-book.ts';
import { tables } from './schema.ts';

export * from './schema.ts';

interface Pragmas {
  pragma: (statement: string) => unknown;
}

/**
 * Opens the database file, makes it if it is not there, and brings it up to date by migrations. Every commit is on the
 * disk before it is acknowledged (`synchronous=FULL`).
 */
export async function openStore(file: string): Promise<DataSource> {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const store = new DataSource({
    type: 'better-sqlite3',
    driver: createRequire(import.meta.url)('libsql') as unknown,
    database: file,
    entities: tables,
    migrations: [Book1795000000000],
    migrationsRun: true,
    prepareDatabase: (database: Pragmas) => {
      for (const statement of ['journal_mode=WAL', 'synchronous=FULL', 'foreign_keys=ON', 'busy_timeout=5000']) database.pragma(statement);
    },
  });
  return store.initialize();
}
