import type { MigrationInterface, QueryRunner } from 'typeorm';
import { keptByKey } from '../dialect.ts';

/** Checks of instruments, by instrument. The rows are derived from the books at the start. */
export class Checks1796500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE checks (book TEXT NOT NULL, id TEXT NOT NULL, instrument TEXT NOT NULL, at BIGINT NOT NULL,
      made TEXT NOT NULL, nominal DOUBLE PRECISION, reading DOUBLE PRECISION, outcome TEXT NOT NULL, PRIMARY KEY (book, id))${keptByKey}`);
    await runner.query('CREATE INDEX checks_by_instrument ON checks (instrument, at)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE checks');
  }
}
