import type { MigrationInterface, QueryRunner } from 'typeorm';
import { keptByKey } from '../dialect.ts';

/** How wells were set up to be purged, by well. The rows are derived from the books at the start. */
export class SetUps1797200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE setups (book TEXT NOT NULL, id TEXT NOT NULL, point TEXT NOT NULL, at BIGINT NOT NULL,
      data TEXT NOT NULL, PRIMARY KEY (book, id))${keptByKey}`);
    await runner.query('CREATE INDEX setups_by_point ON setups (point, at)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE setups');
  }
}
