import { createRequire } from 'node:module';
import { setTimeout as wait } from 'node:timers/promises';
import { DataSource, type DataSourceOptions } from 'typeorm';
import { failureOf } from './dialect.ts';
import { migrations } from './migrations/index.ts';
import { tables } from './schema.ts';

interface Pragmas {
  pragma: (statement: string) => unknown;
}

/** How long a lock of another process is waited for, in ms, without holding up anything else. */
export const patience = 5000;

/** A connection, once no other process keeps it from being made. */
async function opened(options: DataSourceOptions): Promise<DataSource> {
  const until = performance.now() + patience;
  for (;;) {
    try {
      return await new DataSource(options).initialize();
    } catch (error) {
      if (failureOf(error) !== 'busy' || performance.now() > until) throw error;
      await wait(20);
    }
  }
}

/** A connection to a database file, with what is said to SQLite before its first statement. */
export function connectTo(file: string, pragmas: readonly string[], migrate: boolean): Promise<DataSource> {
  return opened({
    type: 'better-sqlite3',
    driver: createRequire(import.meta.url)('libsql') as unknown,
    database: file,
    entities: [...tables],
    migrations: [...migrations],
    migrationsRun: migrate,
    timeout: 0,
    prepareDatabase: (database: Pragmas) => {
      for (const pragma of ['busy_timeout=0', 'synchronous=FULL', 'foreign_keys=ON', ...pragmas]) database.pragma(pragma);
    },
  });
}
