import type { MigrationInterface, QueryRunner } from 'typeorm';
import { keptByKey } from '../dialect.ts';

/** What was found on arrival, by point. The rows are derived from the books at the start. */
export class Arrivals1796400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE arrivals (book TEXT NOT NULL, id TEXT NOT NULL, point TEXT NOT NULL, at BIGINT NOT NULL,
      hazards TEXT NOT NULL, found TEXT NOT NULL, odd TEXT NOT NULL, PRIMARY KEY (book, id))${keptByKey}`);
    await runner.query('CREATE INDEX arrivals_by_point ON arrivals (point, at)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE arrivals');
  }
}
