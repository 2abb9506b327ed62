import type { MigrationInterface, QueryRunner } from 'typeorm';
import { keptByKey } from '../dialect.ts';

/** What became of every analysis that was planned, by day. The rows are derived from the books at the start. */
export class Samples1796600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE samples (book TEXT NOT NULL, id TEXT NOT NULL, visit TEXT NOT NULL, point TEXT NOT NULL,
      analysis TEXT NOT NULL, date TEXT NOT NULL, state TEXT NOT NULL, PRIMARY KEY (book, id))${keptByKey}`);
    await runner.query('CREATE INDEX samples_by_date ON samples (date)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE samples');
  }
}
